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

/**
 * Whether mains and crosses are the same string of the same thickness; otherwise the bed is a hybrid.
 *
 * @example
 * isOneString({ name: 'A', gaugeMm: 1.25 }, { name: 'A', gaugeMm: 1.3 }) // false
 */
export const isOneString = (
  mains: Pick<JobString, 'name' | 'gaugeMm'>,
  crosses: Pick<JobString, 'name' | 'gaugeMm'>,
): boolean => mains.name === crosses.name && mains.gaugeMm === crosses.gaugeMm;
