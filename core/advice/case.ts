/** What advice is given on, from what the talk, the workshop and the last record say. */
import type { HouseRules } from '../house-rules';
import type { Bed } from '../bed';
import type { JobRecord } from '../record';
import type { Talk } from '../talk';
import type { AdviceCase, LastJob } from './rule';
import { usualGaugeMm } from './strung';

interface CaseFacts {
  readonly bed: Pick<Bed, 'spec' | 'areaMm2'>;
  readonly talk: Talk;
  readonly house: HouseRules;
  /** Of the job before on the same racket, if this workshop did one. */
  readonly record: LastJob | undefined;
}

export const caseOf = ({ bed, talk, house, record }: CaseFacts): AdviceCase => ({
  spec: bed.spec,
  areaMm2: bed.areaMm2,
  talk,
  house,
  last: record ?? saidBefore(talk, bed),
});

/** The last job as its record has it. */
export function lastJobOf({ setup, advice }: Pick<JobRecord, 'setup' | 'advice'>): LastJob {
  const { mains, crosses, mainN, crossN, unit } = setup;
  const of = ({ family, gaugeMm, shape }: typeof mains) => ({ family, gaugeMm, shape });
  return {
    strung: { mains: of(mains), crosses: of(crosses) },
    tension: { mainN, crossN, unit },
    pull: advice?.house.benchPull ?? null,
    talk: advice?.talk ?? null,
  };
}

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
    pull: beforePull,
    talk: null,
  };
}
