import { describe, expect, it } from 'vitest';
import { shareOf } from '../testing/share';
import { drawnFactors, keptShare, quantile } from './certainty';
import { planQueue } from './plan';
import { brokenBy, offersFor, planDays, SURE, sureness, type Offer, type SureJob } from './promise';
import type { QueueBench } from './jobs';

const job = (number: number, promised: number, changes: Partial<SureJob> = {}): SureJob => ({
  number,
  minutes: 30,
  promised,
  ready: -Infinity,
  spread: 0.2,
  ...changes,
});
const day: QueueBench = { name: 'A', open: [[0, 600]] };
const daysOf = (benches: readonly QueueBench[], jobs: readonly SureJob[]) => {
  const plan = planQueue(0, benches, jobs);
  if (!plan.ok) throw new Error(plan.problem);
  return planDays(0, benches, jobs, plan.value.placed);
};

describe('how long a job takes on many days', () => {
  // Source: a log-normal variable with parameters −s²/2 and s has the mean 1 and the median exp(−s²/2); its 90 % point
  // is exp(1.2816 s − s²/2) (handbook values of the normal distribution).
  it('is log-normal around what is expected', () => {
    const factors = drawnFactors({ number: 1, spread: 0.2 }, 20_000);
    expect(factors.reduce((sum, factor) => sum + factor, 0) / factors.length).toBeCloseTo(1, 2);
    expect(quantile(factors, 0.5)).toBeCloseTo(Math.exp(-0.02), 2);
    expect(quantile(factors, 0.9)).toBeCloseTo(Math.exp(1.2816 * 0.2 - 0.02), 1);
  });

  it('is the same for the same job, and as it is expected without a spread', () => {
    expect(drawnFactors({ number: 4, spread: 0.3 }, 50)).toEqual(
      drawnFactors({ number: 4, spread: 0.3 }, 50),
    );
    expect([...drawnFactors({ number: 4, spread: 0 }, 5)]).toEqual([1, 1, 1, 1, 1]);
  });
});

describe('what can be promised', () => {
  it('on an empty day is the 90 % point of how long it takes, on a quarter of an hour', () => {
    const { safe, tight, free } = offersFor(daysOf([day], []), job(9, 0));
    // 30 min · exp(1.2816 · 0.2 − 0.02) is 38 min.
    expect(safe).toEqual({ at: 45, bench: 'A' });
    expect(tight).toEqual({ at: 30, bench: 'A' });
    expect(free).toEqual(safe);
  });

  it('goes between others where they can wait, and after them where they cannot', () => {
    const patient = [job(1, 500), job(2, 550)];
    const hurried = [job(1, 45), job(2, 85)];
    expect(offersFor(daysOf([day], patient), job(9, 0)).safe?.at).toBe(45);
    const { safe, free } = offersFor(daysOf([day], hurried), job(9, 0));
    expect(safe?.at).toBeGreaterThan(90);
    expect(safe).toEqual(free);
  });

  // Source: common practice (a shop hands nothing over in closed hours, and does not string at night).
  it('a bag goes into the openings of all benches, and nothing is offered in closed hours', () => {
    const hours: QueueBench['open'] = [0, 1, 2, 3].flatMap((n): [number, number][] => [
      [n * 1440 + 540, n * 1440 + 780],
      [n * 1440 + 840, n * 1440 + 1080],
    ]);
    const five = 17 * 60;
    const at = (names: readonly string[], count: number, minutes = 40) => {
      const benches = names.map((name) => ({ name, open: hours }));
      return offersFor(planDays(five, benches, [], []), job(9, 0, { minutes }), count);
    };
    // One hour is left of Monday, eight of Tuesday: ten of 40 min are ready on Tuesday, not on Monday night.
    const ten = at(['A'], 10);
    for (const offer of [ten.safe, ten.tight, ten.free]) {
      expect(offer?.at).toBeGreaterThan(1440 + 840);
      expect(offer?.at).toBeLessThanOrEqual(1440 + 1080);
    }
    expect(at(['A', 'B'], 10).safe?.at).toBeLessThanOrEqual(1440 + 780);
    for (const count of shareOf([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], 4))
      for (const minutes of [20, 55, 75, 110])
        for (const offer of Object.values(at(['A'], count, minutes)) as readonly (
          Offer | undefined
        )[])
          expect(
            !offer || hours.some(([from, until]) => offer.at >= from && offer.at <= until),
          ).toBe(true);
    expect(at(['A'], 1, 300)).toEqual({ safe: undefined, tight: undefined, free: undefined });
  });

  it('keeps every other promise that was sure, when it is taken', () => {
    const jobs = [job(1, 60), job(2, 150), job(3, 260), job(4, 400)];
    const days = daysOf([day], jobs);
    const before = sureness(days);
    const { safe } = offersFor(days, job(9, 0));
    const taken = [...jobs, job(9, safe?.at ?? 0)];
    const after = sureness(daysOf([day], taken));
    for (const { number } of jobs)
      if ((before.get(number) ?? 0) >= SURE)
        expect(after.get(number)).toBeGreaterThanOrEqual(SURE - 0.02);
    expect(after.get(9)).toBeGreaterThanOrEqual(SURE - 0.02);
  });

  it('makes nobody wait longer who waits too long already', () => {
    const late = [job(1, 5), job(2, 500)];
    const { safe } = offersFor(daysOf([day], late), job(9, 0));
    expect(safe?.at).toBeGreaterThan(60);
  });

  it('is not begun before a break that it does not fit into', () => {
    const broken: QueueBench = {
      name: 'A',
      open: [
        [0, 20],
        [60, 600],
      ],
    };
    expect(offersFor(daysOf([broken], []), job(9, 0)).tight?.at).toBe(90);
  });

  it('is nothing where no bench suits it', () => {
    expect(offersFor(daysOf([day], []), job(9, 0, { benches: ['B'] }))).toEqual({
      safe: undefined,
      tight: undefined,
      free: undefined,
    });
  });
});

describe('a promise that is earlier than that', () => {
  it('says which others it breaks, and how sure it is itself', () => {
    const days = daysOf([day], [job(1, 45), job(2, 300)]);
    const { sure, broken } = brokenBy(days, job(9, 45));
    expect(sure).toBeGreaterThanOrEqual(SURE);
    expect(broken.map(({ number }) => number)).toEqual([1]);
    expect(broken[0]?.before).toBeGreaterThanOrEqual(SURE);
    expect(broken[0]?.after).toBeLessThan(0.1);
    expect(brokenBy(days, job(9, 400)).broken).toEqual([]);
  });

  it('cannot be kept at all in no time', () => {
    expect(brokenBy(daysOf([day], []), job(9, 5)).sure).toBe(0);
    expect(keptShare(Float64Array.from([1, 2, 3, 4]), 2)).toBe(0.5);
  });
});
