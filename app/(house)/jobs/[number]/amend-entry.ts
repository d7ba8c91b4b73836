import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { typed, textIn } from '@/core/measure/typed';

/** Why a job is voided, and what became of its string. */
export const voidSchema = z.object({
  why: textIn
    .trim()
    .min(1, 'Write why in a few words: the wrong ticket was closed.')
    .max(400, 'Up to 400 letters.'),
  string: z.enum(['back', 'lost'], 'Say first what became of its string.'),
});
export type VoidEntry = { readonly why: string; readonly string: '' | 'back' | 'lost' };

/** A line that was forgotten. */
export const lineSchema = (currency: string) =>
  z.object({
    text: textIn.trim().min(1, 'Write what it is: an overgrip.').max(100, 'Up to 100 letters.'),
    amount: typed(parseMoney(currency)),
    /** Hundredths of a percent. */
    tax: z.number().int().min(0).max(10_000),
  });
export type LineEntry = z.input<ReturnType<typeof lineSchema>>;
