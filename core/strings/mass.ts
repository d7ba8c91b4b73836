/** What string weighs. */
import type { Family } from '../terms/family';

/** Density of the material, g/cm³: handbook values of gut, polyamide, polyester and aramid fibre, from memory. */
const DENSITY: Readonly<Record<Family, number>> = {
  'natural gut': 1.28,
  multifilament: 1.12,
  'synthetic gut': 1.14,
  monofilament: 1.38,
  aramid: 1.44,
};

/**
 * Mass of a metre of string, g; a string that was weighed goes by its own.
 *
 * @param gaugeMm thickness, mm
 *
 * @example
 * gramsAMetre('monofilament', 1.25) // 1.6935
 */
export const gramsAMetre = (family: Family, gaugeMm: number): number =>
  DENSITY[family] * Math.PI * (gaugeMm / 2) ** 2;
