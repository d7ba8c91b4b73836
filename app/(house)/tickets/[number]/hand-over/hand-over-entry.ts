import { z } from 'zod';
import { parseLength, parseMoney } from '@/core/measure/parsing';
import { failure, success } from '@/core/terms/result';
import { noteText, optionalReading, reading } from '@/core/measure/reading';

/** What a tail that is left over can be at most, mm. */
const MOST_LEFT_MM = 10_000;

const leftOver = optionalReading((text) => {
  const length = parseLength(text, 'cm');
  if (!length.ok) return length;
  return length.value > MOST_LEFT_MM ? failure('tails.too long') : success(length.value);
});

export const handOverSchema = z.object({
  labour: reading(parseMoney),
  string: reading(parseMoney),
  /** By piece, in the order of the plan; empty where nobody measured. */
  leftOver: z.array(leftOver).max(2),
  remarks: noteText,
});

export type HandOverEntry = z.input<typeof handOverSchema>;
