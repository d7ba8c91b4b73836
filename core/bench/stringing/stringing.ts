/**
 * Every pull and knot of a bed, from the centre mains to the last cross, made in passes over one list: the
 * moves in their order, the knots that may follow them, the clamps, holes opened in time, and bridges. The
 * ledger then proves what came out.
 */
import type { BenchPlan, BenchStep } from '../plan';
import { withBridges } from './bridges';
import { clampedSteps } from './clamping';
import { withOpenings } from './covered';
import { endsOf } from './ends';
import { withKnots } from './knots';
import { movesOf } from './moves';

/** The steps at the strings; the path has its strings in the order of the pulls. */
export function stringingSteps(plan: BenchPlan): readonly BenchStep[] {
  const ends = endsOf(plan);
  const moves = withKnots(movesOf(plan, ends), plan, ends);
  return withBridges(withOpenings(clampedSteps(moves, plan, ends), plan), plan);
}
