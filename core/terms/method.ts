/** The ways in which a racket can be strung. */
import { z } from 'zod';

export const methodSchema = z.enum([
  'two-piece',
  'one-piece',
  'one-piece-top-cross',
  'around-the-frame',
  'bottom-up',
]);

export type Method = z.infer<typeof methodSchema>;

export const METHODS: readonly Method[] = methodSchema.options;

/** Each method as one says it. */
export const METHOD_WORDS: Record<Method, string> = {
  'two-piece': 'two pieces',
  'one-piece': 'one piece',
  'one-piece-top-cross': 'one piece, top cross on the short side',
  'around-the-frame': 'one piece around the frame',
  'bottom-up': 'one piece, crosses from the throat up',
};
