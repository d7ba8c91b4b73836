/** What advice is given on, from what the talk, the workshop and the last record say. */
import type { HouseRules } from '../house/house-rules';
import type { Bed } from '../frame/bed';
import type { Talk } from './talk';
import type { AdviceCase, CrossesEnd, LastJob } from './rule';
import { usualGaugeMm } from './strung';

interface CaseFacts {
  readonly bed: Pick<Bed, 'spec' | 'areaMm2'>;
  readonly talk: Talk;
  readonly house: HouseRules;
  /** Of the job before on the same racket, if this workshop did one. */
  readonly record: LastJob | undefined;
  readonly crossesEnd?: CrossesEnd | undefined;
}

/**
 * @example
 * caseOf({ bed: usual.bed, talk: usual.about.talk, house: usual.house, record: undefined }).last // undefined
 */
export const caseOf = ({ bed, talk, house, record, crossesEnd }: CaseFacts): AdviceCase => ({
  spec: bed.spec,
  areaMm2: bed.areaMm2,
  talk,
  house,
  last: record ?? saidBefore(talk, bed),
  ...(crossesEnd && { crossesEnd }),
});

/** What the client says was in it, when there is no record. */
function saidBefore(
  { before, beforeFamily, beforePull }: Talk,
  { spec }: CaseFacts['bed'],
): LastJob | undefined {
  if (!before) return undefined;
  const string = beforeFamily && {
    family: beforeFamily,
    gaugeMm: usualGaugeMm(beforeFamily, spec.sport),
    shape: 'round' as const,
  };
  return {
    strung: string && { mains: string, crosses: string },
    tension: before,
    advised: null,
    pull: beforePull,
    talk: null,
  };
}
