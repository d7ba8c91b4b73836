/** A good plan where there are too many jobs for the best: by promise, then bettered by moving one job at a time. */
import { chanceFrom } from '../maths/chance';
import {
  compareCosts,
  minutesOn,
  NO_COST,
  suits,
  withJob,
  type Placed,
  type PlanCost,
  type QueueBench,
  type QueueJob,
} from './jobs';

interface Drawn {
  readonly placed: readonly Placed[];
  readonly cost: PlanCost;
}

/** So many orders are tried; with sixty jobs it takes less than a tenth of a second. */
const TRIES = 260;
const SEED = 20_260_105;

/** Begun jobs of a bench in order, as spans that are taken. */
type Taken = [number, number][];

/** The earliest gap of a bench that takes a job. */
function gapIn(
  { open }: QueueBench,
  taken: Taken,
  from: number,
  minutes: number,
): { readonly start: number; readonly at: number } | undefined {
  for (const [a, b] of open) {
    let start = Math.max(a, from);
    for (let at = 0; start + minutes <= b; at++) {
      const [begin, end] = taken[at] ?? [Infinity, Infinity];
      if (start + minutes <= begin) return { start, at };
      start = Math.max(start, end);
    }
  }
  return undefined;
}

/** Places jobs in an order, each where it is finished first; undefined where one finds no opening. */
function placeInOrder(
  benches: readonly QueueBench[],
  order: readonly QueueJob[],
  free: readonly number[],
): Drawn | undefined {
  const taken = benches.map((): Taken => []);
  const placed: Placed[] = [];
  let cost = NO_COST;
  for (const job of order) {
    let best:
      | { readonly b: number; readonly start: number; readonly at: number; readonly finish: number }
      | undefined;
    benches.forEach((bench, b) => {
      if (!suits(job, bench.name)) return;
      const minutes = minutesOn(job, bench.name);
      const gap = gapIn(bench, taken[b] as Taken, Math.max(job.ready, free[b] ?? 0), minutes);
      if (gap && (!best || gap.start + minutes < best.finish))
        best = { b, ...gap, finish: gap.start + minutes };
    });
    if (!best) return undefined;
    const { b, at, start, finish } = best;
    (taken[b] as Taken).splice(at, 0, [start, finish]);
    placed.push({
      number: job.number,
      bench: (benches[b] as QueueBench).name,
      start,
      finish,
      lateMin: Math.max(0, finish - job.promised),
    });
    cost = withJob(cost, finish, job.promised);
  }
  return { placed, cost };
}

const moved = <T>(list: readonly T[], from: number, to: number): T[] => {
  const rest = list.toSpliced(from, 1);
  rest.splice(to, 0, list[from] as T);
  return rest;
};

/**
 * A good plan, the same for the same jobs. Begins with the orders by promise, by what is left of it, and by readiness,
 * and moves the latest job or one by chance while that betters the plan.
 */
export function goodPlan(
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
  free: readonly number[],
): Drawn | undefined {
  const by = (key: (job: QueueJob) => number) =>
    jobs.toSorted((a, b) => key(a) - key(b) || a.promised - b.promised || a.number - b.number);
  const orders = [
    by(({ promised }) => promised),
    by(({ promised, minutes }) => promised - minutes),
    by(({ ready }) => ready),
    by(({ minutes }) => minutes),
  ];
  let best: (Drawn & { readonly order: readonly QueueJob[] }) | undefined;
  const look = (order: readonly QueueJob[]): boolean => {
    const drawn = placeInOrder(benches, order, free);
    if (!drawn || (best && compareCosts(drawn.cost, best.cost) >= 0)) return false;
    best = { ...drawn, order };
    return true;
  };
  orders.forEach(look);
  const chance = chanceFrom(SEED);
  for (let i = 0; best && jobs.length > 1 && i < TRIES; i++) {
    const latest = best.placed.findIndex(
      ({ lateMin }) => lateMin > 0 && lateMin === best?.cost.most,
    );
    const from = latest > 0 && i % 2 === 0 ? latest : chance.below(jobs.length);
    const to = latest > 0 && i % 2 === 0 ? chance.below(latest) : chance.below(jobs.length);
    if (from !== to) look(moved(best.order, from, to));
  }
  return best;
}
