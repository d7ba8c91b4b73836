import { describe, expect, it } from 'vitest';
import { chanceFrom, type Chance } from '../maths/chance';
import { planQueue, type QueuePlan } from './plan';
import {
  compareCosts,
  minutesOn,
  NO_COST,
  startIn,
  suits,
  withJob,
  type PlanCost,
  type QueueBench,
  type QueueJob,
} from './jobs';

const planned = (
  now: number,
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
): QueuePlan => {
  const plan = planQueue(now, benches, jobs);
  if (!plan.ok) throw new Error(plan.problem);
  return plan.value;
};

/** The best cost of all plans, by going through every order on every bench. */
function bruteForce(
  now: number,
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
): PlanCost | undefined {
  let best: PlanCost | undefined;
  const go = (left: readonly QueueJob[], free: readonly number[], cost: PlanCost) => {
    if (left.length === 0) {
      if (!best || compareCosts(cost, best) < 0) best = cost;
      return;
    }
    for (const job of left)
      benches.forEach((bench, b) => {
        if (!suits(job, bench.name)) return;
        const minutes = minutesOn(job, bench.name);
        const start = startIn(bench.open, Math.max(free[b] ?? now, job.ready), minutes);
        if (start === undefined) return;
        go(
          left.filter((each) => each !== job),
          free.map((minute, i) => (i === b ? start + minutes : minute)),
          withJob(cost, start + minutes, job.promised),
        );
      });
  };
  go(
    jobs,
    benches.map(() => now),
    NO_COST,
  );
  return best;
}

function someDay(chance: Chance, jobCount: number, benchCount: number) {
  const benches = Array.from({ length: benchCount }, (_, i): QueueBench => {
    const noon = 180 + 10 * chance.below(9);
    return {
      name: 'ABC'[i] ?? 'D',
      open: [
        [20 * chance.below(3), noon],
        [noon + 30, noon + 400],
        [noon + 460, 4000],
      ],
    };
  });
  const jobs = Array.from({ length: jobCount }, (_, i): QueueJob => ({
    number: i + 1,
    minutes: 15 + 5 * chance.below(12),
    promised: 60 + 10 * chance.below(40),
    ready: chance.below(3) === 0 ? 10 * chance.below(20) : -Infinity,
    ...(chance.below(4) === 0 && { benches: ['A'] }),
    ...(chance.below(4) === 0 && { minutesAt: { B: 20 } }),
  }));
  return { benches, jobs };
}

describe('the plan of a queue', () => {
  it('is the best of all plans, on one bench and on several, with breaks and what is not here yet', () => {
    const chance = chanceFrom(7);
    for (let i = 0; i < 60; i++) {
      const count = 1 + (i % 3);
      const { benches, jobs } = someDay(chance, count === 1 ? 6 : 5, count);
      const plan = planned(0, benches, jobs);
      expect([
        i,
        plan.exact,
        compareCosts(plan.cost, bruteForce(0, benches, jobs) ?? NO_COST),
      ]).toEqual([i, true, 0]);
    }
  });

  // Source: Jackson 1955: on one bench the order by promise makes the largest lateness least.
  it('has the largest lateness of the order by promise, on one bench where all is here', () => {
    const chance = chanceFrom(11);
    for (let i = 0; i < 20; i++) {
      const jobs = Array.from({ length: 12 }, (_, n): QueueJob => ({
        number: n + 1,
        minutes: 10 + chance.below(50),
        promised: 30 + chance.below(400),
        ready: -Infinity,
      }));
      const { most } = planned(0, [{ name: 'A', open: [[0, 10_000]] }], jobs).cost;
      let at = 0;
      const byPromise = jobs
        .toSorted((a, b) => a.promised - b.promised)
        .map(({ minutes, promised }) => (at += minutes) - promised);
      expect(most).toBeCloseTo(Math.max(0, ...byPromise), 9);
    }
  });

  it('splits no job over a break, and gives no bench two at once', () => {
    const chance = chanceFrom(13);
    for (const size of [9, 12, 30, 60]) {
      const { benches, jobs } = someDay(chance, size, 3);
      const { placed, cost } = planned(0, benches, jobs);
      expect(placed.map(({ number }) => number).toSorted((a, b) => a - b)).toEqual(
        jobs.map(({ number }) => number),
      );
      let worked = NO_COST;
      for (const { number, bench, start, finish } of placed) {
        const job = jobs.find((each) => each.number === number) as QueueJob;
        const { open } = benches.find(({ name }) => name === bench) as QueueBench;
        expect(finish - start).toBe(minutesOn(job, bench));
        expect(suits(job, bench) && start >= Math.max(0, job.ready)).toBe(true);
        expect(open.some(([a, b]) => a <= start && finish <= b)).toBe(true);
        worked = withJob(worked, finish, job.promised);
      }
      for (const one of placed)
        for (const other of placed)
          if (one !== other && one.bench === other.bench)
            expect(one.finish <= other.start || other.finish <= one.start).toBe(true);
      expect(compareCosts(worked, cost)).toBe(0);
    }
  });

  it('says of many jobs what no plan can better, and is near it', () => {
    const chance = chanceFrom(17);
    for (let i = 0; i < 5; i++) {
      const { benches, jobs } = someDay(chance, 60, 3);
      const { cost, exact, leastLateMin } = planned(0, benches, jobs);
      expect(exact).toBe(false);
      expect(leastLateMin).toBeLessThanOrEqual(cost.most + 1e-9);
      // Some three days of work: within an hour or two of what no plan betters.
      expect(cost.most - leastLateMin).toBeLessThan(150);
    }
  });

  it('never proves more than is true: what it says of few jobs is no more than the best plan has', () => {
    const chance = chanceFrom(19);
    for (let i = 0; i < 30; i++) {
      const { benches, jobs } = someDay(chance, 5, 2);
      const best = bruteForce(0, benches, jobs);
      // Asked as though there were too many.
      const many = planned(0, benches, jobs);
      expect(many.leastLateMin).toBeLessThanOrEqual((best?.most ?? 0) + 1e-9);
    }
  });

  it('puts first what somebody put first, in its turn', () => {
    const open = [[0, 1000]] as const;
    const job = (number: number, promised: number, turn?: number): QueueJob => ({
      number,
      minutes: 30,
      promised,
      ready: 0,
      ...(turn !== undefined && { fixed: { bench: 'A', turn } }),
    });
    const { placed } = planned(
      0,
      [{ name: 'A', open }],
      [job(1, 40), job(2, 900, 2), job(3, 950, 1)],
    );
    expect(placed.map(({ number }) => number)).toEqual([3, 2, 1]);
    expect(placed.at(-1)?.lateMin).toBe(50);
  });

  it('refuses a job that is longer than every opening, and one that no bench suits', () => {
    const bench: QueueBench = { name: 'A', open: [[0, 60]] };
    const job: QueueJob = { number: 4, minutes: 61, promised: 100, ready: 0 };
    expect(planQueue(0, [bench], [job])).toMatchObject({ code: 'queue.no opening' });
    expect(planQueue(0, [bench], [{ ...job, benches: ['B'] }])).toMatchObject({
      code: 'queue.no bench',
    });
    expect(planQueue(0, [bench], [{ ...job, ready: 90, minutes: 5 }])).toMatchObject({
      code: 'queue.no opening',
    });
    expect(planQueue(0, [], [job])).toMatchObject({ code: 'queue.no bench' });
    const two = [1, 2].map((number) => ({ ...job, number, minutes: 40 }));
    expect(planQueue(0, [bench], two)).toMatchObject({ code: 'queue.full' });
    expect(planned(0, [bench], []).placed).toEqual([]);
  });
});
