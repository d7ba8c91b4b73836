import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { optionalTyped, textIn } from '@/core/measure/typed';
import { failure } from '@/core/terms/result';

export const creditSchema = (currency: string) =>
  z.object({
    /** What is taken back; empty takes back all that is left. */
    amount: optionalTyped((text) => {
      const money = parseMoney(currency)(text);
      return money.ok && money.value === 0 ? failure('amount.unread') : money;
    }),
    why: textIn
      .trim()
      .min(1, 'Write why in a few words: it stands on the credit note.')
      .max(400, 'Up to 400 letters.'),
  });
export type CreditEntry = z.input<ReturnType<typeof creditSchema>>;
