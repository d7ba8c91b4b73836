/** From the court to the bench: when a player's rackets have to be ready, and who strings them. */
import type { WallTime } from '../measure/promised-time';
import { wallMinutes, wallOf } from '../queue/clock';
import { compareInTurn, type QueueBench, type QueueJob } from '../queue/jobs';
import { PAGE_PATIENCE, planQueue } from '../queue/plan';

/**
 * By when a player's rackets are promised: so many minutes before they go on court.
 *
 * @example
 * promiseBefore('2026-06-03T11:00', 45) // '2026-06-03T10:15'
 */
export const promiseBefore = (onCourt: WallTime, leadMin: number): WallTime =>
  wallOf(wallMinutes(onCourt) - leadMin);

/**
 * The jobs of a day with a bag at one bench alone.
 *
 * @example
 * bagAt([{ number: 4, minutes: 30, promised: 60, ready: 0 }], [4], 'A')[0].benches // ['A']
 */
export const bagAt = <J extends QueueJob>(
  jobs: readonly J[],
  bag: readonly number[],
  bench: string,
): readonly J[] =>
  jobs.map((job) => (bag.includes(job.number) ? { ...job, benches: [bench] } : job));

/** A day as it is planned, and the rackets of one player in it. */
interface BagInDay {
  readonly now: number;
  readonly benches: readonly QueueBench[];
  readonly jobs: readonly QueueJob[];
  /** Numbers of the player's tickets that nobody has begun. */
  readonly bag: readonly number[];
  /** Benches that could string it, by name. */
  readonly at: readonly string[];
}

/**
 * The bench that strings all rackets of a player who wants none by name: the one that keeps their promises, or breaks them
 * least; of those that do alike the one that makes others least late, then the one that has them ready first. Undefined
 * where there is nothing to give, or no bench could.
 *
 * Source: common practice at events (one person at one machine for a player), no source.
 *
 * @example
 * benchForBag({ now: 0, benches: [{ name: 'A', open: [[0, 600]] }], jobs: [{ number: 4, minutes: 30, promised: 60, ready: 0 }], bag: [4], at: ['A'] }) // 'A'
 */
export function benchForBag({ now, benches, jobs, bag, at }: BagInDay): string | undefined {
  const isInBag = ({ number }: { readonly number: number }) => bag.includes(number);
  if (!jobs.some(isInBag)) return undefined;
  const days = at.flatMap((bench) => {
    const patience = Math.round(PAGE_PATIENCE / at.length);
    const plan = planQueue(now, benches, bagAt(jobs, bag, bench), patience);
    if (!plan.ok) return [];
    const own = plan.value.placed.filter(isInBag);
    const finish = Math.max(...own.map((each) => each.finish));
    const late = own.map(({ lateMin }) => lateMin);
    const ownLate = late.reduce((sum, each) => sum + each, 0);
    return [{ bench, order: [Math.max(...late), ownLate, plan.value.cost.sum, finish] }];
  });
  return days.toSorted((a, b) => compareInTurn(a.order, b.order))[0]?.bench;
}

/**
 * The next tags of a bag: after the highest that was ever given out, so that no two rackets of an event share one.
 *
 * @example
 * nextTags([1, 2, 7], 2) // [8, 9]
 */
export const nextTags = (given: readonly number[], count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => Math.max(0, ...given) + 1 + i);
