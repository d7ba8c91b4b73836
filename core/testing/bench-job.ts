/** Jobs at the bench for tests: one usual frame, and everything of the library. */
import { studyFrame, type Bed } from '../frame/bed';
import { USUAL_MACHINE } from '../house/machine';
import type { BenchPlan } from '../bench/plan';
import { USUAL_HOUSE } from '../house/house-rules';
import { LIBRARY } from '../frame/library';
import { METHODS, type Method } from '../terms/method';
import { methodProblem, usualChoice } from '../cut/methods';
import { pathThrough } from '../path/path';
import { benchSequence, type Sequence } from '../bench/sequence';
import { ticketOf } from './advice-case';
import { bedOf, type SpecChanges } from './frame-spec';
import { waysOf } from './share';

export const FRAME: SpecChanges = {
  head: [7, 9],
  throat: [7, 9],
  tieOff: ['6H', '8H', '6T', '8T'],
};

export function benchPlan(
  changes: SpecChanges = FRAME,
  method: Method = 'two-piece',
  more: Partial<BenchPlan> = {},
): BenchPlan {
  const bed = bedOf(changes);
  return {
    bed,
    path: pathThrough(bed, { method, shortSide: 'left', crossStart: 'left' }),
    tension: ticketOf(52, 50, 'lb'),
    custom: USUAL_HOUSE,
    machine: USUAL_MACHINE,
    preStretch: [],
    shortMm: {},
    ...more,
  };
}

/** The sequence of a plan that is known to hold. */
export function sequenceFor(plan: BenchPlan): Sequence {
  const made = benchSequence(plan);
  if (!made.ok) throw new Error(made.problem);
  return made.value;
}

/** Every frame of the library, by each method that it takes or by one of them in turn (`share.ts`). */
export function everyJob(): readonly { name: string; method: Method; bed: Bed; plan: BenchPlan }[] {
  return LIBRARY.flatMap(({ name, spec }, turn) => {
    const { bed } = studyFrame(spec);
    if (!bed) throw new Error(`${name} makes no bed.`);
    const methods = METHODS.filter((method) => !methodProblem(bed, method, false));
    return waysOf(methods, turn).map((method) => {
      const path = pathThrough(bed, { ...usualChoice(bed, false), method });
      return { name, method, bed, plan: { ...benchPlan(), bed, path } };
    });
  });
}
