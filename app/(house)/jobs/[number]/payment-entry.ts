import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { lineText, reading } from '@/core/measure/reading';
import { PAY_WAYS } from '@/core/papers/payment';

export const paymentSchema = (currency: string) =>
  z
    .object({
      amount: reading(parseMoney(currency)),
      way: z.enum(PAY_WAYS),
      day: z.iso.date('Write the day as 2026-02-03.'),
      /** It was given back, or a payment here was wrong. */
      back: z.boolean(),
      note: lineText('the note'),
    })
    .superRefine(({ amount }, context) => {
      if (amount === 0)
        context.addIssue({ code: 'custom', path: ['amount'], message: 'Write what was paid.' });
    });

export type PaymentEntry = z.input<ReturnType<typeof paymentSchema>>;
