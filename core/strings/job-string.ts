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

/** What tells one string from another. */
type ToldApart = Pick<JobString, 'name' | 'gaugeMm'> & { readonly family: string };

/**
 * Whether mains and crosses are two strings, or two thicknesses of one: such a bed takes two pieces from two sets. Two strings
 * of a library may have one name, but not in one family and thickness.
 *
 * @example
 * isHybrid({ mains: { name: 'A', family: 'monofilament', gaugeMm: 1.25 }, crosses: { name: 'A', family: 'monofilament', gaugeMm: 1.3 } }) // true
 */
export const isHybrid = ({
  mains,
  crosses,
}: {
  readonly mains: ToldApart;
  readonly crosses: ToldApart;
}): boolean =>
  mains.name !== crosses.name ||
  mains.family !== crosses.family ||
  mains.gaugeMm !== crosses.gaugeMm;
