import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { parseLength } from '@/core/measure/parsing';
import { failure, success } from '@/core/terms/result';
import { noteText, optionalReading, reading } from '@/core/measure/reading';

/** What a tail that is left over can be at most, mm. */
const MOST_LEFT_MM = 10_000;

const leftOver = optionalReading((text) => {
  const length = parseLength(text, 'cm');
  if (!length.ok) return length;
  return length.value > MOST_LEFT_MM ? failure('tails.too long') : success(length.value);
});

export const handOverSchema = (currency: string) =>
  z.object({
    labour: reading(parseMoney(currency)),
    string: reading(parseMoney(currency)),
    /** By piece, in the order of the plan; empty where nobody measured. */
    leftOver: z.array(leftOver).max(2),
    remarks: noteText,
    /** Whether its owner takes it now, or it waits. */
    goes: z.enum(['now', 'waits']),
  });

export type HandOverEntry = z.input<ReturnType<typeof handOverSchema>>;
