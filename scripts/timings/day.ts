/** `npm run bench -- day`: how the plan of a day and the cuts off a shelf compare with what hands do without them. */
import { chanceFrom } from '@/core/maths/chance';
import {
  compareCosts,
  NO_COST,
  startIn,
  withJob,
  type PlanCost,
  type QueueBench,
  type QueueJob,
} from '@/core/queue/jobs';
import { planQueue } from '@/core/queue/plan';
import { drawnFactors } from '@/core/queue/certainty';
import { offersFor, planDays } from '@/core/queue/promise';
import { cutFirstFit, cutFrom, type StockLength } from '@/core/shelf/cutting';

const SPREAD = 0.2;

/** The second time: the first is spent on making the code fast. */
const timed = <T>(work: () => T): { readonly ms: number; readonly value: T } => {
  work();
  const begun = performance.now();
  const value = work();
  return { ms: performance.now() - begun, value };
};

const dayBenches = (count: number): readonly QueueBench[] =>
  Array.from({ length: count }, (_, i) => ({
    name: `bench ${i + 1}`,
    open: [
      [0, 240],
      [270, 720],
    ],
  }));

function everyOrder(benches: readonly QueueBench[], jobs: readonly QueueJob[]): PlanCost {
  let best: PlanCost | undefined;
  const go = (left: readonly QueueJob[], free: readonly number[], cost: PlanCost): void => {
    if (left.length === 0) {
      if (!best || compareCosts(cost, best) < 0) best = cost;
      return;
    }
    for (const job of left)
      benches.forEach((bench, b) => {
        const start = startIn(bench.open, Math.max(free[b] ?? 0, job.ready), job.minutes);
        if (start === undefined) return;
        const finish = start + job.minutes;
        go(
          left.filter((each) => each !== job),
          free.map((minute, i) => (i === b ? finish : minute)),
          withJob(cost, finish, job.promised),
        );
      });
  };
  go(
    jobs,
    benches.map(() => 0),
    NO_COST,
  );
  return best ?? NO_COST;
}

const someJobs = (count: number, seed: number, within: number): readonly QueueJob[] => {
  const chance = chanceFrom(seed);
  return Array.from({ length: count }, (_, i) => ({
    number: i + 1,
    minutes: 18 + chance.below(15),
    promised: 60 + chance.below(within),
    ready: chance.below(3) === 0 ? chance.below(120) : -Infinity,
  }));
};

/** A racket of a tournament: when it comes, when it is needed, when its player is told of another time. */
interface Entry extends QueueJob {
  readonly comes: number;
  readonly moved: { readonly at: number; readonly promised: number } | undefined;
}

function tournament(seed: number): readonly Entry[] {
  const chance = chanceFrom(seed);
  return Array.from({ length: 120 }, (_, i) => {
    const comes = chance.below(600);
    const promised = comes + 40 + chance.below(150);
    return {
      number: i + 1,
      minutes: 17 + chance.below(6),
      comes,
      promised,
      ready: comes,
      moved:
        chance.below(8) === 0
          ? {
              at: comes + chance.below(30),
              promised: Math.max(comes + 45, promised - 30 - chance.below(90)),
            }
          : undefined,
    };
  });
}

/** Twelve hours at four benches: whichever is free takes what `next` says; how many promises held. */
function played(
  entries: readonly Entry[],
  next: (now: number, waiting: readonly QueueJob[], free: readonly number[]) => number,
): number {
  const free = [0, 0, 0, 0];
  const factors = new Map(
    entries.map((entry) => [
      entry.number,
      drawnFactors({ number: entry.number, spread: SPREAD }, 2),
    ]),
  );
  const waiting = new Set(entries);
  let kept = 0;
  while (waiting.size > 0) {
    const bench = free.indexOf(Math.min(...free));
    const now = Math.max(free[bench] ?? 0, Math.min(...[...waiting].map(({ comes }) => comes)));
    const there = [...waiting]
      .filter(({ comes }) => comes <= now)
      .map((entry) => ({
        ...entry,
        promised: entry.moved && entry.moved.at <= now ? entry.moved.promised : entry.promised,
      }));
    const number = next(now, there, free);
    const entry = entries.find((each) => each.number === number) as Entry;
    waiting.delete(entry);
    const finish = now + entry.minutes * (factors.get(number)?.[0] ?? 1);
    free[bench] = finish;
    if (finish <= (entry.moved?.promised ?? entry.promised)) kept++;
  }
  return kept;
}

const byPlan = (now: number, there: readonly QueueJob[], free: readonly number[]): number => {
  const benches = free.map((minute, i): QueueBench => ({
    name: String(i),
    open: [[Math.max(now, minute), 10_000]],
  }));
  const plan = planQueue(now, benches, there, 2000);
  return plan.ok ? (plan.value.placed[0]?.number ?? 0) : 0;
};
const asTheyCame = (_: number, there: readonly QueueJob[]): number =>
  [...there].sort((a, b) => a.ready - b.ready || a.number - b.number)[0]?.number ?? 0;

const eight = someJobs(8, 3, 200);
const [whole, planned] = [
  timed(() => everyOrder(dayBenches(1), eight)),
  timed(() => planQueue(0, dayBenches(1), eight)),
];
console.log(
  `8 jobs, one bench: plan ${planned.ms.toFixed(1)} ms, every order ${whole.ms.toFixed(0)} ms: ${(whole.ms / planned.ms).toFixed(0)} times as long, the same cost: ${planned.value.ok && compareCosts(planned.value.value.cost, whole.value) === 0}`,
);
const sixty = someJobs(60, 5, 600).map((job) => ({ ...job, spread: SPREAD }));
const large = timed(() => planQueue(0, dayBenches(4), sixty));
if (large.value.ok) {
  const { placed, cost, leastLateMin } = large.value.value;
  console.log(
    `60 jobs, four benches: plan ${large.ms.toFixed(0)} ms, latest by ${cost.most.toFixed(0)} min, no plan under ${leastLateMin.toFixed(0)}`,
  );
  const days = timed(() => planDays(0, dayBenches(4), sixty, placed));
  const offers = timed(() =>
    offersFor(days.value, { number: 0, minutes: 22, promised: 0, ready: 0, spread: SPREAD }),
  );
  console.log(
    `2,000 days of it: ${days.ms.toFixed(0)} ms, what can be promised: ${offers.ms.toFixed(0)} ms`,
  );
}

console.log('\nTournament, 120 rackets, 4 benches, 12 hours, late changes: promises that held');
console.log('seed   by the plan   as they came');
for (const seed of [1, 2, 3]) {
  const entries = tournament(seed);
  console.log(
    `${seed}      ${String(played(entries, byPlan)).padStart(3)} of 120    ${String(played(entries, asTheyCame)).padStart(3)} of 120`,
  );
}

let [opened, scrap, openedFirst, scrapFirst] = [0, 0, 0, 0];
for (let seed = 1; seed <= 40; seed++) {
  const chance = chanceFrom(seed);
  const stock = Array.from({ length: 14 }, (_, i): StockLength => {
    const isSet = i < 6;
    return {
      id: String(i),
      kind: isSet ? 'set' : 'remnant',
      mm: isSet ? 12_200 : 4800 + 100 * chance.below(30),
      price: isSet ? 1150 : 0,
    };
  });
  const pieces = Array.from({ length: 8 }, (_, i) => ({
    id: String(i),
    mm: 4900 + 100 * chance.below(14),
  }));
  const [plan, first] = [cutFrom(stock, pieces, 4500), cutFirstFit(stock, pieces, 4500)];
  opened += plan.openedPrice;
  scrap += plan.scrapMm;
  openedFirst += first.openedPrice;
  scrapFirst += first.scrapMm;
}
console.log(
  `\nShelf, 40 days of 8 pieces: opened for ${opened / 100} instead of ${openedFirst / 100}, scrap ${(scrap / 1000).toFixed(0)} m instead of ${(scrapFirst / 1000).toFixed(0)} m by the first that fits`,
);
