import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { parseCount, parseLength } from '@/core/measure/parsing';
import { lineText, typed } from '@/core/measure/typed';
import { STOCK_KINDS } from '@/core/shelf/cutting';
import { failure, success } from '@/core/terms/result';

const MOST_AT_ONCE = 100;
const LONGEST_MM = 1_000_000;

const someLength = (least: number) => (text: string) => {
  const length = parseLength(text, 'm');
  if (!length.ok) return length;
  return length.value < least || length.value > LONGEST_MM
    ? failure('shelf.length')
    : success(length.value);
};

/** Longer than any set that is sold, shorter than any reel. */
const LONGEST_SET_MM = 30_000;

/** What was bought, as it is typed. */
export const boughtSchema = (currency: string) =>
  z
    .object({
      /** A string in a gauge, `id 1.25`. */
      stock: z.string().regex(/^[0-9a-f-]{36} \d\.\d{2}$/, 'Choose a string and its thickness.'),
      kind: z.enum(STOCK_KINDS),
      count: typed((text) => {
        const count = parseCount(text);
        if (!count.ok) return count;
        return count.value < 1 || count.value > MOST_AT_ONCE ? failure('shelf.count') : count;
      }),
      length: typed(someLength(500)),
      price: typed(parseMoney(currency)),
      supplier: lineText('the supplier'),
      place: lineText('the place'),
    })
    .superRefine(({ kind, length }, context) => {
      if ((kind === 'set' || kind === 'half set') && length > LONGEST_SET_MM)
        context.addIssue({
          code: 'custom',
          path: ['length'],
          message: 'That is too long for a set, which is 12.2 m or so: is it a reel?',
        });
    });

export type BoughtEntry = z.input<ReturnType<typeof boughtSchema>>;

export const NOTHING_BOUGHT: BoughtEntry = {
  stock: '',
  kind: 'set',
  count: '1',
  length: '',
  price: '',
  supplier: '',
  place: '',
};

/** What is left of a length, as it was counted or measured; nothing at all is a figure too. */
export const countedSchema = z.object({ left: typed(someLength(0)) });
