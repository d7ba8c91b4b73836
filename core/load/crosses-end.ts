/** How far below what they are set to the crosses of a frame end, and how much of a higher pull reaches them. */
import type { CrossesEnd } from '../advice/rule';
import type { Bed } from '../frame/bed';
import type { HouseRules } from '../house/house-rules';
import { USUAL_PULL_N } from '../measure/pull-limits';
import { newtons } from '../measure/units';
import { success, type Result } from '../terms/result';
import { usualJobOn } from './usual-job';
import { figuresUnderLoad } from './ways';

/**
 * What crosses end at on a frame that is strung as is usual for its sport, by two jobs in thought. Errors: those of `frameLoad`.
 *
 * @param factor stiffness of the hoop, where it was measured
 *
 * @example
 * crossesEnd(usual.bed, usual.house, null).value.gain < 1 // true
 */
export function crossesEnd(bed: Bed, house: HouseRules, factor: number | null): Result<CrossesEnd> {
  const usualN = USUAL_PULL_N[bed.spec.sport];
  const raisedN = newtons(1, 'kg');
  const ends: number[] = [];
  for (const byN of [0, raisedN]) {
    const tension = { mainN: usualN, crossN: usualN + byN, unit: 'kg' } as const;
    const figures = figuresUnderLoad(usualJobOn(bed, house, { tension }), { factor: factor ?? 1 });
    if (!figures.ok) return figures;
    ends.push(figures.value.crossesN.final);
  }
  const [asSet = 0, higher = 0] = ends;
  return success({
    shortShare: 1 - asSet / usualN,
    gain: (higher - asSet) / raisedN,
    measured: factor !== null,
  });
}
