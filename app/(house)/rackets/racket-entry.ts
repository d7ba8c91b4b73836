import { z } from 'zod';
import { lineText, noteText, pickedOrNone } from '@/core/measure/typed';

export const racketEntrySchema = z.object({
  mark: lineText('the mark'),
  frameId: pickedOrNone('the frame'),
  notes: noteText,
});

export type RacketEntry = z.input<typeof racketEntrySchema>;
