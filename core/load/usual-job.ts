/** A frame as it is usually strung, for comparing what schools do to it. */
import { usualGaugeMm } from '../advice/strung';
import { jobOf, type Job } from '../bench/job';
import { USUAL_ASSUMPTIONS } from '../cut/lengths';
import { usualChoice } from '../cut/methods';
import type { Bed } from '../frame/bed';
import type { HouseRules } from '../house/house-rules';
import { USUAL_MACHINE } from '../house/machine';
import { USUAL_PULL_N } from '../measure/pull-limits';
import type { TicketTension } from '../measure/units';
import type { PathChoice } from '../path/path';
import type { Family } from '../terms/family';
import type { Sport } from '../terms/sport';

/** The family that is strung most. Common practice. */
const USUAL_FAMILY: Readonly<Record<Sport, Family>> = {
  tennis: 'monofilament',
  badminton: 'multifilament',
  squash: 'multifilament',
};

export interface UsualJobChanges {
  readonly tension?: TicketTension;
  readonly string?: { readonly family: Family; readonly gaugeMm: number };
  readonly choice?: Partial<PathChoice>;
}

/**
 * A frame strung as is usual for its sport, by the rules of a house; what is said otherwise stands.
 *
 * @example
 * usualJobOn(usual.bed, usual.house).tension.mainN // 230.456
 */
export function usualJobOn(
  bed: Bed,
  house: HouseRules,
  { tension, string, choice }: UsualJobChanges = {},
): Job {
  const { sport } = bed.spec;
  const pullN = USUAL_PULL_N[sport];
  const family = string?.family ?? USUAL_FAMILY[sport];
  const gaugeMm = string?.gaugeMm ?? usualGaugeMm(family, sport);
  const one = {
    name: family,
    family,
    shape: 'round',
    gaugeMm,
    setMm: 12_200,
    suppliedByClient: false,
    stretch: null,
  } as const;
  return jobOf({
    bed,
    mains: one,
    crosses: one,
    tension: tension ?? { mainN: pullN, crossN: pullN, unit: 'kg' },
    choice: { ...usualChoice(bed, false), ...choice },
    cutFrom: 'reel',
    remnantsMm: [],
    assumptions: USUAL_ASSUMPTIONS,
    learnt: {},
    house,
    machine: USUAL_MACHINE,
    notes: '',
  });
}
