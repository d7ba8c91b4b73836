import { z } from 'zod';

/** What became of a file of frames. */
export const importAnswerSchema = z.discriminatedUnion('ok', [
  z.object({ ok: z.literal(true) }),
  z.object({ ok: z.literal(false), notice: z.string() }),
]);
export type ImportAnswer = z.infer<typeof importAnswerSchema>;
