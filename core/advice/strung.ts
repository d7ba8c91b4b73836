/** Measures of what a bed is strung with, for rules that favour one over another. */
import type { Mm } from '../measure/quantities';
import type { Family } from '../terms/family';
import type { Sport } from '../terms/sport';
import { MAIN_SHARE, shareOf, type StringClass, type Strung } from './rule';
import type { Pulls } from '../measure/units';

/** How much of the feel comes from one family, 0 to 1. */
export const familyShare = (strung: Strung, family: Family): number =>
  shareOf(strung, (string) => string.family === family);

/**
 * The usual thickness, mm; soft strings of tennis are sold thicker than its monofilament. From memory.
 *
 * @example
 * usualGaugeMm('monofilament', 'tennis') // 1.25
 */
export const usualGaugeMm = (family: Family, sport: Sport): Mm =>
  sport === 'badminton'
    ? 0.68
    : sport === 'squash'
      ? 1.2
      : family === 'monofilament' || family === 'aramid'
        ? 1.25
        : 1.3;

/** A step of thickness, mm. From memory. */
export const GAUGE_STEP_MM: Record<Sport, number> = { tennis: 0.05, badminton: 0.02, squash: 0.05 };

const stepsAbove = ({ family, gaugeMm }: StringClass, sport: Sport): number =>
  (gaugeMm - usualGaugeMm(family, sport)) / GAUGE_STEP_MM[sport];

/**
 * How much thicker than usual a bed is, in steps of thickness.
 *
 * @example
 * gaugeAbove(usual.strung, 'tennis') // 0
 */
export const gaugeAbove = ({ mains, crosses }: Strung, sport: Sport): number =>
  MAIN_SHARE * stepsAbove(mains, sport) + (1 - MAIN_SHARE) * stepsAbove(crosses, sport);

/**
 * How firm a string of a family is beside a multifilament under the same pull. From memory; it serves
 * to compare beds, not to predict one.
 */
const FAMILY_FIRMNESS: Record<Family, number> = {
  'natural gut': 0.92,
  multifilament: 1,
  'synthetic gut': 1.06,
  monofilament: 1.22,
  aramid: 1.5,
};

/** How much firmer a step of thickness makes a string. From memory. */
const FIRMNESS_A_STEP = 0.015;

/**
 * How firm a bed feels, N: the mean pull weighed by what mains and crosses contribute, by family and by
 * thickness. Two beds of one racket compare by it. Our own measure, its weights from memory.
 */
export function firmness(strung: Strung, pulls: Pulls, sport: Sport): number {
  const of = (string: StringClass, n: number) =>
    n * FAMILY_FIRMNESS[string.family] * (1 + FIRMNESS_A_STEP * stepsAbove(string, sport));
  return (
    MAIN_SHARE * of(strung.mains, pulls.mainN) + (1 - MAIN_SHARE) * of(strung.crosses, pulls.crossN)
  );
}
