import type { Bed } from '@/core/frame/bed';
import type { Skips } from '@/core/frame/holes';
import { skipWords } from '@/core/cut/wording';

interface ProposalsProps {
  readonly bed: Bed;
  /** Left out where nothing can be taken over. */
  readonly take?: ((skips: Skips) => void) | undefined;
}

const SURE_WORDS = {
  sure: 'The ruled holes leave no doubt.',
  likely: 'Likely, not certain: look at the old strings.',
  'near tie': 'A near tie: only the old strings can tell.',
  usual: 'Nothing was read yet: look at the old strings, or rule the holes.',
} as const;

/** A share of all stories; more than the solver calls sure is said only where it is. */
const shareWords = (share: number, isSure: boolean): string =>
  share > 0.99 && !isSure ? '99 %' : share > 0.999 ? '> 99.9 %' : `${(share * 100).toFixed(1)} %`;

/** Shares below this are not worth a line. */
const WORTH_SHOWING = 0.001;

/** The skips that fit best, with how likely each is. */
export function Proposals({ bed, take }: ProposalsProps) {
  const { answers, certainty } = bed.proposal;
  const same = (skips: Skips) =>
    String(skips.head) === String(bed.skips.head) &&
    String(skips.throat) === String(bed.skips.throat);
  if (answers.length === 0) {
    const usual = bed.proposedSkips;
    return (
      <section aria-label="Proposed skips" className="label">
        {same(usual)
          ? 'Read from the frame, and as the usual spacing would have it.'
          : `Read from the frame. The usual spacing would skip ${skipWords(usual.head, 'head')} · ${skipWords(usual.throat, 'throat')}.`}{' '}
        {take && !same(usual) && (
          <button type="button" className="underline" onClick={() => take(usual)}>
            take
          </button>
        )}
      </section>
    );
  }
  return (
    <section aria-label="Proposed skips">
      <h3 className="label">
        {bed.ruled ? 'From the ruled holes' : 'What is usual for this pattern'}.{' '}
        {SURE_WORDS[certainty]}
      </h3>
      <ol className="mt-1">
        {answers
          .filter(({ share }, i) => i === 0 || share >= WORTH_SHOWING)
          .slice(0, certainty === 'usual' ? 1 : 4)
          .map(({ skips, share }) => (
            <li
              key={`${String(skips.head)}|${String(skips.throat)}`}
              className="border-hair flex items-baseline gap-3 border-t py-1"
            >
              <span className="figure w-14 shrink-0 text-right">
                {certainty === 'usual' ? 'usual' : shareWords(share, certainty === 'sure')}
              </span>
              <span className="figure grow">
                {skipWords(skips.head, 'head')} · {skipWords(skips.throat, 'throat')}
              </span>
              {same(skips) ? (
                <span className="label">as drawn</span>
              ) : (
                take && (
                  <button type="button" className="underline" onClick={() => take(skips)}>
                    take
                  </button>
                )
              )}
            </li>
          ))}
      </ol>
    </section>
  );
}
