/** Who strings what when, so that promises hold. */
import { failure, success, type Result } from '../terms/result';
import { leastLateness } from './bound';
import { bestPlan } from './exact';
import { goodPlan } from './good';
import {
  minutesOn,
  NO_COST,
  startIn,
  suits,
  withJob,
  type Placed,
  type PlanCost,
  type QueueBench,
  type QueueJob,
} from './jobs';

export interface QueuePlan {
  /** By their starts. */
  readonly placed: readonly Placed[];
  readonly cost: PlanCost;
  /** No plan is better. */
  readonly exact: boolean;
  /** The latest job is late by so much in every plan. */
  readonly leastLateMin: number;
}

/** How many begun plans are looked at while somebody waits for a page; nearly every day of a workshop needs fewer. */
export const PAGE_PATIENCE = 200_000;

/** Up to so many jobs the best plan is found. */
const EXACT_UP_TO = 12;

const costOf = (jobs: ReadonlyMap<number, QueueJob>, placed: readonly Placed[]): PlanCost =>
  placed.reduce(
    (cost, { number, finish }) => withJob(cost, finish, jobs.get(number)?.promised ?? Infinity),
    NO_COST,
  );

/**
 * The plan of a workshop's open jobs on its benches from `now` on: the largest lateness is least, then the sum of
 * lateness, then what is finished is finished earliest. A job is not split over a break. What somebody put first is
 * first, in its turn. Up to twelve jobs the plan is exact, where `patience` allows; beyond that it is good, and says what
 * no plan can better.
 *
 * Source: the earliest promise first is best for the largest lateness on one bench (Jackson 1955); branch and bound with
 * dominance for the rest, checked against going through all plans.
 * Errors: a job that fits no opening, or no bench.
 *
 * @example
 * planQueue(0, [{ name: 'A', open: [[0, 100]] }], [{ number: 1, minutes: 30, promised: 60, ready: 0 }]).value.placed[0].finish // 30
 */
export function planQueue(
  now: number,
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
  patience = Infinity,
): Result<QueuePlan> {
  for (const job of jobs) {
    const on = benches.filter(({ name }) => suits(job, name));
    if (on.length === 0) return failure('queue.no bench', { number: job.number });
    if (
      !on.some(
        (bench) =>
          startIn(bench.open, Math.max(now, job.ready), minutesOn(job, bench.name)) !== undefined,
      )
    )
      return failure('queue.no opening', {
        number: job.number,
        minutes: Math.round(Math.min(...on.map(({ name }) => minutesOn(job, name)))),
      });
  }
  const byNumber = new Map(jobs.map((job) => [job.number, job]));
  const first = placeFixed(now, benches, jobs);
  if (!first.ok) return first;
  const { placed, free } = first.value;
  const rest = jobs.filter(({ fixed }) => !fixed);
  const begun = { free, cost: costOf(byNumber, placed) };
  const good = goodPlan(benches, rest, free);
  const known = good && costOf(byNumber, [...placed, ...good.placed]);
  const better =
    rest.length <= EXACT_UP_TO ? bestPlan(benches, rest, begun, known, patience) : undefined;
  const chosen = better ?? good?.placed;
  if (!chosen) return failure('queue.full', { count: rest.length });
  const all = [...placed, ...chosen].toSorted(
    (a, b) => a.start - b.start || a.bench.localeCompare(b.bench) || a.number - b.number,
  );
  const cost = costOf(byNumber, all);
  const exact = rest.length <= EXACT_UP_TO && better !== undefined;
  const least = Math.max(begun.cost.most, leastLateness(benches, rest, free));
  return success({
    placed: all,
    cost,
    exact,
    leastLateMin: exact ? cost.most : Math.min(least, cost.most),
  });
}

/** What has its turn goes first on its bench, in turn. */
function placeFixed(
  now: number,
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
): Result<{ readonly placed: readonly Placed[]; readonly free: readonly number[] }> {
  const placed: Placed[] = [];
  const free = benches.map(() => now);
  const fixed = jobs
    .filter((job) => job.fixed)
    .toSorted((a, b) => (a.fixed?.turn ?? 0) - (b.fixed?.turn ?? 0) || a.number - b.number);
  for (const job of fixed) {
    const b = benches.findIndex(({ name }) => name === job.fixed?.bench);
    const bench = benches[b] as QueueBench;
    const minutes = minutesOn(job, bench.name);
    const start = startIn(bench.open, Math.max(free[b] ?? now, job.ready), minutes);
    if (start === undefined)
      return failure('queue.no opening', { number: job.number, minutes: Math.round(minutes) });
    const finish = start + minutes;
    free[b] = finish;
    placed.push({
      number: job.number,
      bench: bench.name,
      start,
      finish,
      lateMin: Math.max(0, finish - job.promised),
    });
  }
  return success({ placed, free });
}
