import { z } from 'zod';
import { lineText, noteText } from '@/core/reading';

export const racketEntrySchema = z.object({
  mark: lineText('the mark'),
  frameId: z.union([z.uuid(), z.literal('')]),
  notes: noteText,
});

export type RacketEntry = z.input<typeof racketEntrySchema>;
