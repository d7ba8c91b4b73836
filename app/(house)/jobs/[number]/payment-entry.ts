import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { lineText, typed } from '@/core/measure/typed';
import { OVERPAID, PAY_WAYS } from '@/core/papers/payment';

export const PAID_OR_NOT = ['paid', 'given back', 'slip'] as const;

export const paymentSchema = (currency: string) =>
  z
    .object({
      amount: typed(parseMoney(currency)),
      way: z.enum(PAY_WAYS),
      day: z.iso.date('Write the day as 2026-02-03.'),
      /** It is paid; it is given back; or one above was a slip, and was never paid. */
      kind: z.enum(PAID_OR_NOT),
      /** What becomes of what is paid above the price; empty where nothing is. */
      over: z.enum(OVERPAID).or(z.literal('')),
      note: lineText('the note'),
    })
    .superRefine(({ amount }, context) => {
      if (amount === 0)
        context.addIssue({ code: 'custom', path: ['amount'], message: 'Write what was paid.' });
    });

export type PaymentEntry = z.input<ReturnType<typeof paymentSchema>>;
