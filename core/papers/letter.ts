/** The letter that goes home with a racket. */
import { formatTicketInBoth } from '../measure/units';
import { strungParts, strungWords, type RecordedTension } from '../record/as-strung';
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

/**
 * The letter of a job of which something else is in the racket than was planned: it says what is, wherever it says a
 * figure, and no reasons for what was not.
 *
 * @example
 * letterAsStrung({ wentIn: 'A.', whyString: null, whyTension: 'T.', expect: null, lasts: 'B.', care: null }, { ...usual.record, strung: null }).whyTension // 'T.'
 */
export function letterAsStrung(letter: ClientLetter, record: RecordedTension): ClientLetter {
  const { setup, strung } = record;
  if (!strung) return letter;
  const { ticket } = strungParts(record, setup.unit);
  return {
    ...letter,
    wentIn: letter.wentIn.replace(formatTicketInBoth(setup), formatTicketInBoth(ticket)),
    whyTension: `In the racket is ${strungWords(record)}: the plan was changed while it was strung.`,
  };
}
