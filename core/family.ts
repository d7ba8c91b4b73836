import { z } from 'zod';
import type { Sport } from './sport';

export const familySchema = z.enum([
  'natural gut',
  'multifilament',
  'synthetic gut',
  'monofilament',
  'aramid',
]);

export type Family = z.infer<typeof familySchema>;

export const FAMILIES: readonly Family[] = familySchema.options;

/** Soft strings are stretched and advised alike; monofilament and aramid are not among them. */
export const isSoftFamily = (family: Family): boolean =>
  family !== 'monofilament' && family !== 'aramid';

/** The section of a string: anything but round is for bite, not for life. */
export const shapeSchema = z.enum(['round', 'angular', 'textured']);
export type Shape = z.infer<typeof shapeSchema>;
export const SHAPES: readonly Shape[] = shapeSchema.options;

/**
 * How much longer a string is under its playing pull than slack, as a fraction, tennis gauge.
 * From memory, and set low on purpose: a piece cut a little long harms nothing, one cut short is lost.
 */
const TENNIS_STRETCH: Record<Family, number> = {
  'natural gut': 0.05,
  multifilament: 0.06,
  'synthetic gut': 0.06,
  monofilament: 0.04,
  aramid: 0.01,
};

/** Badminton strings are pulled to a much higher stress for their section, so they stretch more. From memory. */
const SPORT_STRETCH: Record<Sport, number> = { tennis: 1, squash: 1, badminton: 1.8 };

/** Fraction by which a string of this family is longer under pull than slack. */
export const stretchUnderPull = (family: Family, sport: Sport): number =>
  TENNIS_STRETCH[family] * SPORT_STRETCH[sport];
