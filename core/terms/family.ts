import { z } from 'zod';

export const familySchema = z.enum([
  'natural gut',
  'multifilament',
  'synthetic gut',
  'monofilament',
  'aramid',
]);

export type Family = z.infer<typeof familySchema>;

export const FAMILIES: readonly Family[] = familySchema.options;

/**
 * Soft strings are stretched and advised alike; monofilament and aramid are not among them.
 *
 * @example
 * isSoftFamily('natural gut') // true
 * isSoftFamily('monofilament') // false
 */
export const isSoftFamily = (family: Family): boolean =>
  family !== 'monofilament' && family !== 'aramid';

/** The section of a string: anything but round is for bite, not for life. */
export const shapeSchema = z.enum(['round', 'angular', 'textured']);
export type Shape = z.infer<typeof shapeSchema>;
export const SHAPES: readonly Shape[] = shapeSchema.options;

/**
 * Stiffness of the material along the string, MPa, so that its stretch follows its pull and its thickness:
 * ε = T/EA. From memory, by what strings of a usual thickness stretch at a usual pull (23.5 kg: monofilament
 * 1.25 mm 4 %, nylon 1.30 mm 6 %, gut 5 %, aramid 1 %).
 */
const MODULUS_MPA: Record<Family, number> = {
  'natural gut': 3470,
  multifilament: 2900,
  'synthetic gut': 2900,
  monofilament: 4700,
  aramid: 18_800,
};

/**
 * No cut relies on more stretch than this: nylon of 0.66 to 0.70 mm gives 8 to 13 % at 24 to 36 lb (common practice), and
 * beyond it hardens.
 */
const MOST_STRETCH = 0.13;

/**
 * EA of a string, N: its pull for each whole of its length that it is stretched.
 *
 * @param gaugeMm thickness, mm
 *
 * @example
 * stringStiffnessN('monofilament', 1.25) // 5768
 */
export const stringStiffnessN = (family: Family, gaugeMm: number): number =>
  (MODULUS_MPA[family] * Math.PI * gaugeMm ** 2) / 4;

/**
 * Fraction by which a string is longer under a pull of `pullN` newtons than slack, as far as a cut may rely on it.
 *
 * @example
 * stretchUnderPull('monofilament', 1.25, 230.5) // 0.04
 */
export const stretchUnderPull = (family: Family, gaugeMm: number, pullN: number): number =>
  Math.min(MOST_STRETCH, pullN / stringStiffnessN(family, gaugeMm));
