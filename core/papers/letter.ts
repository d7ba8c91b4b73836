/** The letter that goes home with a racket. */
import type { AdviceRecord } from '../advice/record';
import type { ClientLetter } from '../advice/words';

/** Older words told the client how the stringer differed from the advice, which is nobody's business but theirs. */
const DIFFERENCE = / ?Your stringer chose .*? from the advice(, which is hardly felt)?\./;

/**
 * What the client is told, in parts; words of before the parts were kept stand as one.
 *
 * @example
 * letterOf({ letter: null, words: 'A. Your stringer chose ±0/−1 kg from the advice. B.' }) // { wentIn: 'A. B.', whyString: null, whyTension: null, expect: null, lasts: '', care: null }
 */
export const letterOf = ({ letter, words }: Pick<AdviceRecord, 'letter' | 'words'>): ClientLetter =>
  letter ?? {
    wentIn: words.replace(DIFFERENCE, ''),
    whyString: null,
    whyTension: null,
    expect: null,
    lasts: '',
    care: null,
  };
