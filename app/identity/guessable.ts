/** Whether a password is one of those that are tried first: common ones, rows of keys, one's own name, and what is made of them. */
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import * as common from '@zxcvbn-ts/language-common';

/** Of 0 to 4; from 3 on, somebody who tries as fast as they can gives up (NIST SP 800-63B-4, 3.1.1.2, asks for a list). */
const GOOD_ENOUGH = 3;

let factory: ZxcvbnFactory | undefined;

export const GUESSABLE =
  'This one is among those that are tried first. Three or four words that do not belong together do well.';

/** `own` is what others know of the person: names, an address, the name of the workshop. */
export function isGuessable(password: string, own: readonly string[] = []): boolean {
  factory ??= new ZxcvbnFactory({
    dictionary: common.dictionary,
    graphs: common.adjacencyGraphs,
  });
  const known = own
    .flatMap((each) => {
      const parts = each.split(/[^\p{L}\p{N}]+/u);
      return [each, parts.join(''), ...parts];
    })
    .filter(Boolean);
  return factory.check(password, known).score < GOOD_ENOUGH;
}
