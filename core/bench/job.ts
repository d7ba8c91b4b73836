/** A job, made once from what its stations have settled: what is asked, and all that follows from it. */
import type { Mm } from '../measure/quantities';
import type { CutAssumptions } from '../cut/lengths';
import {
  checkSource,
  cutSource,
  planCut,
  type CutPlan,
  type CutSourceKind,
  type Learnt,
  type SourceCheck,
} from '../cut/plan';
import type { Bed } from '../frame/bed';
import { preStretches, type HouseRules } from '../house/house-rules';
import type { StringingMachine } from '../house/machine';
import type { TicketTension } from '../measure/units';
import type { PathChoice } from '../path/path';
import type { JobString } from '../strings/job-string';
import { isSoftFamily } from '../terms/family';
import type { Result } from '../terms/result';
import { benchNotes } from './notes';
import { benchSequence, type Sequence } from './sequence';

export interface JobQuestion {
  readonly bed: Bed;
  readonly mains: JobString;
  readonly crosses: JobString;
  readonly tension: TicketTension;
  readonly choice: PathChoice;
  /** What it is cut from, and the lengths of remnants, mm. */
  readonly cutFrom: CutSourceKind;
  readonly remnantsMm: readonly Mm[];
  readonly assumptions: CutAssumptions;
  readonly learnt: Learnt;
  readonly house: HouseRules;
  readonly machine: StringingMachine;
  /** Notes of the frame and of the racket, as they were written. */
  readonly notes: string;
}

export interface Job extends JobQuestion {
  /** The way of the string, in the order in which it is pulled, and its pieces. */
  readonly plan: CutPlan;
  /** How far what it is cut from reaches. */
  readonly supply: SourceCheck;
  /** The steps at the bench, or why frame, method, house and machine do not go together. */
  readonly sequence: Result<Sequence>;
}

/**
 * Plans a job from end to end. The Cut station, the work sheet, the bench, the hand-over and the record all
 * show this one.
 *
 * @param asked lengths in mm, pulls in N
 *
 * @example
 * jobOf(usual.job).plan.pieces.map(({ name }) => name) // ['mains', 'crosses']
 */
export function jobOf(asked: JobQuestion): Job {
  const { bed, mains, crosses, tension, choice, assumptions, learnt, house } = asked;
  const plan = planCut(
    bed,
    {
      mains: { ...mains, pullN: tension.mainN },
      crosses: { ...crosses, pullN: tension.crossN },
    },
    choice,
    assumptions,
    learnt,
    house,
  );
  const source = cutSource(asked.cutFrom, {
    mainSetMm: mains.setMm,
    crossSetMm: crosses.setMm,
    remnantsMm: asked.remnantsMm,
  });
  const supply = checkSource(source, plan.pieces, house);
  const stringOf = (piece: string) => (piece === 'crosses' ? crosses : mains);
  const sequence = benchSequence({
    bed,
    path: plan.path,
    tension,
    soft: isSoftFamily(mains.family) || isSoftFamily(crosses.family),
    notes: benchNotes(asked.notes),
    custom: house,
    machine: asked.machine,
    preStretch: plan.pieces
      .map(({ name }) => name)
      .filter((name) => preStretches(house, stringOf(name).family)),
    shortMm: Object.fromEntries(
      supply.pieces.flatMap(({ name, spareMm }) =>
        spareMm !== undefined && spareMm < 0 ? [[name, -spareMm]] : [],
      ),
    ),
  });
  return { ...asked, plan, supply, sequence };
}

/**
 * What a job was asked with, without what follows from it: so much has to be handed over for it to be planned again.
 *
 * @example
 * 'plan' in questionOf(usual.job) // false
 */
export const questionOf = ({
  bed,
  mains,
  crosses,
  tension,
  choice,
  cutFrom,
  remnantsMm,
  assumptions,
  learnt,
  house,
  machine,
  notes,
}: Job): JobQuestion => ({
  bed,
  mains,
  crosses,
  tension,
  choice,
  cutFrom,
  remnantsMm,
  assumptions,
  learnt,
  house,
  machine,
  notes,
});
