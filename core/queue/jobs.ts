/** What a queue is made of: benches with their hours, jobs with their minutes and promises, and a plan of both. */
import type { Span } from './clock';

export interface QueueBench {
  readonly name: string;
  /** In order and apart from each other, minutes of the workshop's clock. */
  readonly open: readonly Span[];
}

export interface QueueJob {
  readonly number: number;
  /** How long it takes, where no bench says otherwise. */
  readonly minutes: number;
  /** By bench, where its hand or machine makes a difference. */
  readonly minutesAt?: Readonly<Record<string, number>>;
  /** By when it was promised, minutes of the clock. */
  readonly promised: number;
  /** Before it the racket or its string is not here; `-Infinity` where all is here. */
  readonly ready: number;
  /** The benches that suit it; all where nothing is said. */
  readonly benches?: readonly string[];
  /** Somebody said that it comes at this turn on this bench, before all that nobody spoke of. */
  readonly fixed?: { readonly bench: string; readonly turn: number };
}

export interface Placed {
  readonly number: number;
  readonly bench: string;
  readonly start: number;
  readonly finish: number;
  /** Past its promise; 0 for one that is kept. */
  readonly lateMin: number;
}

/** What makes a plan better, the first that differs decides. */
export interface PlanCost {
  /** The largest lateness of all. */
  readonly most: number;
  readonly sum: number;
  /** Sum of the times at which they are finished: of two plans that keep the same promises, the earlier. */
  readonly finishes: number;
}

export const NO_COST: PlanCost = { most: 0, sum: 0, finishes: 0 };

/** A minute and less is no difference in a sum of minutes. */
const SAME = 1e-9;

/**
 * Below 0 where `a` is less in the first of their figures that differs, above where `b` is.
 *
 * @example
 * compareInTurn([0, 9], [1, 2]) // -1
 */
export function compareInTurn(a: readonly number[], b: readonly number[]): number {
  const first = a
    .map((each, i) => each - (b[i] ?? 0))
    .find((difference) => Math.abs(difference) > SAME);
  return Math.sign(first ?? 0);
}

/**
 * Below 0 where `a` is the better plan, above where `b` is.
 *
 * @example
 * compareCosts({ most: 0, sum: 0, finishes: 9 }, { most: 1, sum: 1, finishes: 2 }) // -1
 */
export const compareCosts = (a: PlanCost, b: PlanCost): number =>
  compareInTurn([a.most, a.sum, a.finishes], [b.most, b.sum, b.finishes]);

/**
 * A cost with one more job in it.
 *
 * @example
 * withJob(NO_COST, 30, 20) // { most: 10, sum: 10, finishes: 30 }
 */
export function withJob(
  { most, sum, finishes }: PlanCost,
  finish: number,
  promised: number,
): PlanCost {
  const late = Math.max(0, finish - promised);
  return { most: Math.max(most, late), sum: sum + late, finishes: finishes + finish };
}

export const minutesOn = (job: QueueJob, bench: string): number =>
  job.minutesAt?.[bench] ?? job.minutes;

export const suits = ({ benches, fixed }: QueueJob, bench: string): boolean =>
  fixed ? fixed.bench === bench : (benches?.includes(bench) ?? true);

/**
 * The earliest start of something that takes so many minutes and is not split over a break; undefined where no
 * opening is left that is long enough.
 *
 * @example
 * startIn([[0, 20], [40, 100]], 0, 30) // 40
 */
export function startIn(open: readonly Span[], from: number, minutes: number): number | undefined {
  for (const [a, b] of open) {
    const start = Math.max(a, from);
    if (start + minutes <= b) return start;
  }
  return undefined;
}
