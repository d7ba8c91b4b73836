/** How many minutes a ticket takes at the bench, before its sequence is worked out, and how far that spreads. */
import { stepSeconds, type Hand, type Pace, type TimedPart } from '../bench/times';
import type { Sport } from '../terms/sport';

/** What of a ticket says how long it takes. */
export interface Work {
  readonly sport: Sport;
  readonly mains: number;
  readonly crosses: number;
  /** One or two pieces of string. */
  readonly pieces: 1 | 2;
  /** Steps that are done. */
  readonly done: number;
}

/** Steps of a job beside its pulls and knots. */
const OTHER_STEPS = [
  'inspect',
  'cut out',
  'mount',
  'set tension',
  'straighten',
  'trim',
  'release',
  'last look',
] as const;

/**
 * Minutes at the bench: every main and cross is pulled once, each piece has two knots, and what is before and after.
 *
 * Source: the seconds of steps, from memory, corrected by the hand's own jobs (`bench/times`).
 *
 * @example
 * Math.round(workMinutes({ sport: 'tennis', mains: 16, crosses: 19, pieces: 2, done: 0 }, 'tournament', { before: 1, mains: 1, crosses: 1, knots: 1, after: 1 })) // 17
 */
export function workMinutes(
  { sport, mains, crosses, pieces, done }: Work,
  hand: Hand,
  pace: Pace,
): number {
  const of = (step: Parameters<typeof stepSeconds>[0]) => stepSeconds(step, sport, hand, pace);
  const knots = 2 * pieces;
  const seconds =
    OTHER_STEPS.reduce((sum, kind) => sum + of({ kind }), 0) +
    knots * of({ kind: 'tie' }) +
    mains * of({ kind: 'pull', string: 'M1L' }) +
    crosses * of({ kind: 'pull', string: 'C1' });
  const steps = OTHER_STEPS.length + knots + mains + crosses;
  // What is begun is never nothing: it still has to come off the machine.
  const left = Math.max(0.05, 1 - Math.min(done, steps) / steps);
  return (seconds / 60) * left;
}

/** How far a job spreads where nobody has measured, as the standard deviation of the logarithm. From memory. */
const USUAL_SPREAD = 0.2;
/** As many jobs as that counts for. */
const PRIOR_JOBS = 5;
const WIDEST = 0.6;

/**
 * How far whole jobs have spread around what was expected, as the standard deviation of the logarithm; drawn towards
 * what is usual while there are few.
 *
 * @param past each job's timed parts
 *
 * @example
 * spreadOf([]) // 0.2
 */
export function spreadOf(past: readonly (readonly TimedPart[])[]): number {
  const logs = past.flatMap((parts) => {
    const expected = parts.reduce((sum, { expectedS }) => sum + expectedS, 0);
    const took = parts.reduce((sum, { tookS }) => sum + tookS, 0);
    return expected > 0 && took > 0 ? [Math.log(took / expected)] : [];
  });
  const mean = logs.reduce((sum, log) => sum + log, 0) / (logs.length || 1);
  const squares = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0);
  return Math.min(
    WIDEST,
    Math.sqrt((squares + PRIOR_JOBS * USUAL_SPREAD ** 2) / (logs.length + PRIOR_JOBS)),
  );
}
