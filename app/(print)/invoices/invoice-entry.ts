import { z } from 'zod';
import { textIn } from '@/core/measure/reading';

export const creditSchema = z.object({
  why: textIn
    .trim()
    .min(1, 'Write why in a few words: it stands on the credit note.')
    .max(400, 'Up to 400 letters.'),
});
