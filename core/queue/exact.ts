/** The best of all plans, by going through them with what cannot be best left out (branch and bound). */
import { joined } from './clock';
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

const isNoWorse = (a: Begun, b: Begun): boolean =>
  a.cost.finishes <= b.cost.finishes &&
  a.cost.most <= b.cost.most &&
  a.cost.sum <= b.cost.sum &&
  a.free.every((minute, i) => minute <= (b.free[i] ?? Infinity));

/** The benches in groups that no job can tell apart. */
function alikeBenches(
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
): readonly (readonly number[])[] {
  const groups = new Map<string, number[]>();
  benches.forEach(({ name, open }, b) => {
    const key = JSON.stringify([
      open,
      jobs.map((job) => (suits(job, name) ? minutesOn(job, name) : null)),
    ]);
    groups.set(key, [...(groups.get(key) ?? []), b]);
  });
  return [...groups.values()];
}

/** Of benches that are alike, the one that is free first stands first: which of them it was makes no difference. */
function inOrder(
  free: readonly number[],
  alike: readonly (readonly number[])[],
): readonly number[] {
  const sorted = [...free];
  for (const group of alike) {
    const minutes = group.map((b) => free[b] ?? 0).toSorted((a, b) => a - b);
    group.forEach((b, i) => (sorted[b] = minutes[i] ?? 0));
  }
  return sorted;
}

/** Minutes in which any bench is open, counted from the first; and back to the clock. */
function openClock(benches: readonly QueueBench[]) {
  const spans = joined(benches.flatMap(({ open }) => open));
  const counted = spans.reduce<readonly (readonly [from: number, to: number, before: number])[]>(
    (all, [from, to]) => {
      const last = all.at(-1);
      return [...all, [from, to, last ? last[2] + last[1] - last[0] : 0]];
    },
    [],
  );
  return {
    opened(minute: number): number {
      const span = counted.findLast(([from]) => from <= minute);
      return span ? span[2] + Math.min(minute, span[1]) - span[0] : 0;
    },
    clock(opened: number): number {
      const span = counted.findLast(([, , before]) => before < opened) ?? counted[0];
      return span ? span[0] + opened - span[2] : opened;
    },
  };
}

/** Which of the benches that are alike does each job, as each becomes free. */
function named(
  steps: readonly Placed[],
  benches: readonly QueueBench[],
  begun: readonly number[],
  alike: readonly (readonly number[])[],
): readonly Placed[] {
  const free = [...begun];
  return steps.map((step) => {
    const group = alike.find((each) => each.some((b) => benches[b]?.name === step.bench)) ?? [];
    const b = group.find((each) => (free[each] ?? 0) <= step.start) ?? -1;
    free[b] = step.finish;
    return { ...step, bench: benches[b]?.name ?? step.bench };
  });
}

/**
 * The best plan that is better than `known`, or nothing where none is; undefined where there are too many to look at.
 *
 * Every plan in which no job could start earlier on its bench without changing the order is reached by placing jobs in
 * the order of their starts, so a bench is free from the start before at the earliest. Of two begun plans with the same
 * jobs, one whose benches are free as early and whose cost is as small in every part is enough: whatever follows the
 * other follows it at least as early.
 *
 * @param begun from when each bench is free, and what is spent already
 * @param patience how many begun plans are looked at
 */
export function bestPlan(
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
  begun: { readonly free: readonly number[]; readonly cost: PlanCost },
  known: PlanCost | undefined,
  patience: number,
): readonly Placed[] | null | undefined {
  const byShortest = jobs
    .map((job) =>
      Math.min(
        ...benches.filter(({ name }) => suits(job, name)).map(({ name }) => minutesOn(job, name)),
      ),
    )
    .map((minutes, i) => ({ minutes, i }))
    .toSorted((a, b) => a.minutes - b.minutes);
  const bound = known;
  const alike = alikeBenches(benches, jobs);
  const { opened, clock } = openClock(benches);

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
      free: inOrder(
        state.free.map((minute, k) => (k === b ? finish : Math.max(minute, start))),
        alike,
      ),
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
    // The shortest first on whatever is free first: no order finishes earlier in sum, even if jobs could be split
    // over a break and worked at wherever a bench is open.
    const free = state.free.map(opened);
    let { finishes } = state.cost;
    for (const { minutes, i } of byShortest) {
      if (state.placed & (1 << i)) continue;
      let first = 0;
      for (let b = 1; b < free.length; b++) if ((free[b] ?? 0) < (free[first] ?? 0)) first = b;
      free[first] = (free[first] ?? 0) + minutes;
      finishes += clock(free[first] ?? 0);
    }
    return { most, sum, finishes };
  };

  let layer: readonly Begun[] = [
    { placed: 0, free: inOrder(begun.free, alike), cost: begun.cost, last: undefined },
  ];
  let looked = 0;
  for (let size = 0; size < jobs.length; size++) {
    const kept = new Map<number, Begun[]>();
    for (const state of layer)
      for (let i = 0; i < jobs.length; i++) {
        if (state.placed & (1 << i)) continue;
        // Of benches that are alike the one that is free first: on another it starts no earlier and leaves less.
        for (const [b = 0] of alike) {
          if (++looked > patience) return undefined;
          const next = place(state, i, b);
          if (!next) continue;
          const least = atLeast(next);
          if (!least || (bound && compareCosts(least, bound) >= 0)) continue;
          const like = kept.get(next.placed) ?? [];
          if (like.some((each) => isNoWorse(each, next))) continue;
          const rest = like.filter((each) => !isNoWorse(next, each));
          kept.set(next.placed, [...rest, next]);
        }
      }
    layer = [...kept.values()].flat();
    if (layer.length === 0) return null;
  }
  const best = layer.reduce((a, b) => (compareCosts(a.cost, b.cost) <= 0 ? a : b));
  const steps: Placed[] = [];
  for (let at = best.last; at; at = at.before.last) steps.unshift(at.step);
  return named(steps, benches, begun.free, alike);
}
