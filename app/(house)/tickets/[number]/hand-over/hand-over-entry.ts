import { z } from 'zod';
import { parseMoney } from '@/core/notation';
import { noteText, reading } from '@/core/reading';

export const handOverSchema = z.object({
  labour: reading(parseMoney),
  string: reading(parseMoney),
  remarks: noteText,
});

export type HandOverEntry = z.input<typeof handOverSchema>;
