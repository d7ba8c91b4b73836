import { z } from 'zod';
import { textIn } from '@/core/measure/typed';

const MOST = 400;

export const withdrawalSchema = z.object({
  why: textIn
    .trim()
    .min(1, 'Write why in a few words: the frame is cracked, they bought another one.')
    .max(MOST, `Up to ${MOST} letters.`),
});

export const correctionSchema = z.object({
  text: textIn
    .trim()
    .min(1, 'Write what was found wrong, and what is right.')
    .max(2000, 'Up to 2000 letters.'),
});
