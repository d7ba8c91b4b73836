import { z } from 'zod';

/** What the server answers to a form. */
export const formAnswerSchema = z.discriminatedUnion('ok', [
  z.object({ ok: z.literal(true), go: z.string().optional() }),
  z.object({
    ok: z.literal(false),
    /** Sentences by field name. */
    problems: z.record(z.string(), z.string()).optional(),
    /** A sentence about the form as a whole. */
    notice: z.string().optional(),
  }),
]);
export type FormAnswer = z.infer<typeof formAnswerSchema>;
