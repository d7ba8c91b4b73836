/** How long a job takes at the bench: by step, sport and hand, corrected by what past jobs really took. */
import { z } from 'zod';
import type { BenchStep, StepKind } from './plan';
import { isMain } from '../terms/string-name';
import type { Sport } from '../terms/sport';

export const handSchema = z.enum(['learner', 'practised', 'tournament']);
export type Hand = z.infer<typeof handSchema>;

/**
 * How much longer a hand takes than one at a tournament, where tennis takes 15 to 20 minutes. A shop
 * job takes 15 to 60, a learner's 60 to 90. Common practice, no source.
 */
const SLOWER: Record<Hand, number> = { tournament: 1, practised: 1.7, learner: 4 };

export const stepGroupSchema = z.enum(['before', 'mains', 'crosses', 'knots', 'after']);
export type StepGroup = z.infer<typeof stepGroupSchema>;

/**
 * Parts of a job that a hand is quick or slow at.
 *
 * @example
 * groupOf({ kind: 'pull', string: 'C3' }) // 'crosses'
 */
export function groupOf({ kind, string }: Pick<BenchStep, 'kind' | 'string'>): StepGroup {
  switch (kind) {
    case 'inspect':
    case 'cut out':
    case 'pre-stretch':
    case 'mount':
    case 'set tension':
      return 'before';
    case 'tie':
      return 'knots';
    case 'straighten':
    case 'trim':
    case 'release':
    case 'last look':
      return 'after';
    default:
      return string !== undefined && !isMain(string) ? 'crosses' : 'mains';
  }
}

/** Seconds of each step at a tournament; from memory, so that whole jobs come to what practice says. */
const STEP_SECONDS: Record<Exclude<StepKind, 'pull' | 'pull again' | 'start'>, number> = {
  inspect: 30,
  'cut out': 40,
  'pre-stretch': 60,
  mount: 90,
  'set tension': 8,
  'open a hole': 10,
  bridge: 60,
  tie: 28,
  straighten: 60,
  trim: 20,
  release: 15,
  'last look': 25,
};

/** Seconds of a pull: a cross is woven first. Thin badminton string takes more care. From memory. */
const PULL_SECONDS: Record<Sport, { readonly main: number; readonly cross: number }> = {
  tennis: { main: 12, cross: 24 },
  squash: { main: 12, cross: 24 },
  badminton: { main: 12, cross: 30 },
};

/** How much longer than expected each part of a job took in the past; 1 where nothing is known. */
export type Pace = Readonly<Record<StepGroup, number>>;

export const EVEN_PACE: Pace = { before: 1, mains: 1, crosses: 1, knots: 1, after: 1 };

/**
 * Seconds that a step takes a hand, by its own pace.
 *
 * @example
 * stepSeconds({ kind: 'pull', string: 'C3' }, 'tennis', 'tournament') // 24
 */
export function stepSeconds(
  step: Pick<BenchStep, 'kind' | 'string'>,
  sport: Sport,
  hand: Hand,
  pace: Pace = EVEN_PACE,
): number {
  const { kind, string } = step;
  const pulls = kind === 'pull' || kind === 'pull again' || kind === 'start';
  const cross = string !== undefined && !isMain(string);
  const seconds = pulls ? PULL_SECONDS[sport][cross ? 'cross' : 'main'] : STEP_SECONDS[kind];
  return seconds * SLOWER[hand] * pace[groupOf(step)];
}

/**
 * Seconds of all steps from number `from` on.
 *
 * @example
 * Math.round(secondsLeft(usual.sequence.steps, 0, 'tennis', 'tournament') / 60) // 19
 */
export const secondsLeft = (
  steps: readonly BenchStep[],
  from: number,
  sport: Sport,
  hand: Hand,
  pace: Pace = EVEN_PACE,
): number => steps.slice(from).reduce((sum, step) => sum + stepSeconds(step, sport, hand, pace), 0);

/** What a part of one past job was expected to take and did take, s. */
export interface TimedPart {
  readonly group: StepGroup;
  readonly expectedS: number;
  readonly tookS: number;
}

/**
 * One job's steps that were timed, summed by part. Steps without a time are left out of both sums.
 *
 * @example
 * timedParts(usual.sequence.steps, new Map([[0, 60_000]]), 'tennis', 'tournament') // [{ group: 'before', expectedS: 30, tookS: 60 }]
 */
export function timedParts(
  steps: readonly BenchStep[],
  tookMs: ReadonlyMap<number, number>,
  sport: Sport,
  hand: Hand,
): readonly TimedPart[] {
  const sums = new Map<StepGroup, { expectedS: number; tookS: number }>();
  steps.forEach((step, i) => {
    const took = tookMs.get(i);
    if (took === undefined) return;
    const group = groupOf(step);
    const sum = sums.get(group) ?? { expectedS: 0, tookS: 0 };
    sums.set(group, {
      expectedS: sum.expectedS + stepSeconds(step, sport, hand),
      tookS: sum.tookS + took / 1000,
    });
  });
  return [...sums].map(([group, sum]) => ({ group, ...sum }));
}

/** As many jobs as the expectation itself counts for, so that one odd job does not move it far. */
const PRIOR_JOBS = 3;
/** A part that took more or less than this is a mistake of the clock, not a pace. */
const PLAUSIBLE = [0.25, 4] as const;

/**
 * The pace of a hand from its past jobs: the geometric mean of took over expected, drawn towards 1.
 *
 * @example
 * paceOf([]).mains // 1
 */
export function paceOf(past: readonly TimedPart[]): Pace {
  const of = (group: StepGroup): number => {
    const logs = past.flatMap((part) => {
      const ratio = part.tookS / part.expectedS;
      return part.group === group && ratio >= PLAUSIBLE[0] && ratio <= PLAUSIBLE[1]
        ? [Math.log(ratio)]
        : [];
    });
    return Math.exp(logs.reduce((sum, log) => sum + log, 0) / (logs.length + PRIOR_JOBS));
  };
  return {
    before: of('before'),
    mains: of('mains'),
    crosses: of('crosses'),
    knots: of('knots'),
    after: of('after'),
  };
}
