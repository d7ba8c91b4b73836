/** A string as it goes into a job. */
import { z } from 'zod';
import { familySchema, shapeSchema } from '../terms/family';

export const jobStringSchema = z.object({
  name: z.string(),
  family: familySchema,
  shape: shapeSchema.default('round'),
  gaugeMm: z.number(),
  suppliedByClient: z.boolean(),
  /** What a set of it holds, mm. */
  setMm: z.number(),
  /** Fraction by which it is longer under pull, as it was measured; null goes by its family. */
  stretch: z.number().nullable(),
});

export type JobString = z.infer<typeof jobStringSchema>;
