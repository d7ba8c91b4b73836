/** The best of all plans, by going through them with what cannot be best left out (branch and bound). */
import {
  compareCosts,
  minutesOn,
  startIn,
  suits,
  withJob,
  type Placed,
  type PlanCost,
  type QueueBench,
  type QueueJob,
} from './jobs';

/** A plan that is begun: what is placed, and from when each bench may go on. */
interface Begun {
  readonly placed: number;
  readonly free: readonly number[];
  readonly cost: PlanCost;
  readonly last: { readonly before: Begun; readonly step: Placed } | undefined;
}

/** So many begun plans of one size are looked at; more are given up. */
const MOST_BEGUN = 60_000;

const isNoWorse = (a: Begun, b: Begun): boolean =>
  a.cost.most <= b.cost.most &&
  a.cost.sum <= b.cost.sum &&
  a.cost.finishes <= b.cost.finishes &&
  a.free.every((minute, i) => minute <= (b.free[i] ?? Infinity));

/**
 * The best plan that is better than `known`, or nothing where none is; undefined where there are too many to look at.
 *
 * Every plan in which no job could start earlier on its bench without changing the order is reached by placing jobs in
 * the order of their starts, so a bench is free from the start before at the earliest. Of two begun plans with the same
 * jobs, one whose benches are free as early and whose cost is as small in every part is enough: whatever follows the
 * other follows it at least as early.
 *
 * @param begun from when each bench is free, and what is spent already
 */
export function bestPlan(
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
  begun: { readonly free: readonly number[]; readonly cost: PlanCost },
  known: PlanCost | undefined,
): readonly Placed[] | null | undefined {
  const byShortest = jobs
    .map((job) =>
      Math.min(
        ...benches.filter(({ name }) => suits(job, name)).map(({ name }) => minutesOn(job, name)),
      ),
    )
    .map((minutes, i) => ({ minutes, i }))
    .toSorted((a, b) => a.minutes - b.minutes);
  let bound = known;

  const place = (state: Begun, i: number, b: number): Begun | undefined => {
    const [job, bench] = [jobs[i] as QueueJob, benches[b] as QueueBench];
    if (!suits(job, bench.name)) return undefined;
    const minutes = minutesOn(job, bench.name);
    const from = Math.max(state.free[b] ?? 0, job.ready);
    const start = startIn(bench.open, from, minutes);
    if (start === undefined) return undefined;
    const finish = start + minutes;
    return {
      placed: state.placed | (1 << i),
      free: state.free.map((minute, k) => (k === b ? finish : Math.max(minute, start))),
      cost: withJob(state.cost, finish, job.promised),
      last: {
        before: state,
        step: {
          number: job.number,
          bench: bench.name,
          start,
          finish,
          lateMin: Math.max(0, finish - job.promised),
        },
      },
    };
  };

  /** No plan that goes on from here costs less; undefined where a job has no opening left. */
  const atLeast = (state: Begun): PlanCost | undefined => {
    let { most, sum } = state.cost;
    for (const [i, job] of jobs.entries()) {
      if (state.placed & (1 << i)) continue;
      let earliest = Infinity;
      benches.forEach(({ name, open }, b) => {
        if (!suits(job, name)) return;
        const minutes = minutesOn(job, name);
        const start = startIn(open, Math.max(state.free[b] ?? 0, job.ready), minutes);
        if (start !== undefined) earliest = Math.min(earliest, start + minutes);
      });
      if (earliest === Infinity) return undefined;
      const late = Math.max(0, earliest - job.promised);
      most = Math.max(most, late);
      sum += late;
    }
    // The shortest first on whatever is free first: no order finishes earlier in sum.
    const free = state.free.toSorted((a, b) => a - b);
    let { finishes } = state.cost;
    for (const { minutes, i } of byShortest) {
      if (state.placed & (1 << i)) continue;
      const finish = (free[0] ?? 0) + minutes;
      finishes += finish;
      free[0] = finish;
      free.sort((a, b) => a - b);
    }
    return { most, sum, finishes };
  };

  let layer: readonly Begun[] = [
    { placed: 0, free: begun.free, cost: begun.cost, last: undefined },
  ];
  for (let size = 0; size < jobs.length; size++) {
    const kept = new Map<number, Begun[]>();
    let count = 0;
    for (const state of layer)
      for (let i = 0; i < jobs.length; i++) {
        if (state.placed & (1 << i)) continue;
        for (let b = 0; b < benches.length; b++) {
          const next = place(state, i, b);
          if (!next) continue;
          const least = atLeast(next);
          if (!least || (bound && compareCosts(least, bound) >= 0)) continue;
          const like = kept.get(next.placed) ?? [];
          if (like.some((each) => isNoWorse(each, next))) continue;
          const rest = like.filter((each) => !isNoWorse(next, each));
          count += rest.length + 1 - like.length;
          if (count > MOST_BEGUN) return undefined;
          kept.set(next.placed, [...rest, next]);
        }
      }
    layer = [...kept.values()].flat();
    if (layer.length === 0) return null;
  }
  const best = layer.reduce((a, b) => (compareCosts(a.cost, b.cost) <= 0 ? a : b));
  bound = best.cost;
  const steps: Placed[] = [];
  for (let at = best.last; at; at = at.before.last) steps.unshift(at.step);
  return steps;
}
