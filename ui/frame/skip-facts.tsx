import type { Skips } from '@/core/frame/holes';
import { skipWords } from '@/core/cut/wording';
import { Fact } from '../facts';

/** What to leave empty at both ends, large enough to read at arm's length; stands among other facts. */
export function SkipFacts({ skips }: { readonly skips: Skips }) {
  return (
    <>
      <Fact name="Skip at the head" figure>
        {skipWords(skips.head, 'head')}
      </Fact>
      <Fact name="Skip at the throat" figure>
        {skipWords(skips.throat, 'throat')}
      </Fact>
    </>
  );
}
