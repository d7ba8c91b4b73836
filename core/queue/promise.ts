/** What can be promised for a racket at the counter, and what a promise does to the others. */
import {
  DAYS,
  drawnFactors,
  finishesOf,
  keptShare,
  quantile,
  type Lane,
  type SpreadJob,
} from './certainty';
import { minutesOn, suits, type Placed, type QueueBench, type QueueJob } from './jobs';

/** A job of the queue with how far its minutes spread. */
export interface SureJob extends QueueJob {
  readonly spread: number;
}

export interface Offer {
  /** Minutes of the clock, on a quarter of an hour. */
  readonly at: number;
  readonly bench: string;
}

export interface Offers {
  /** With ninety in a hundred: this one, and every other that was as sure before. */
  readonly safe: Offer | undefined;
  /** As it is expected: an even chance, and the others as expected. */
  readonly tight: Offer | undefined;
  /** After all that is there, where nobody has to wait for it. */
  readonly free: Offer | undefined;
}

/** A promise that is broken, with how sure it was and is. */
export interface Broken {
  readonly number: number;
  readonly before: number;
  readonly after: number;
}

export const SURE = 0.9;
/** What was in doubt before may not be finished later by more than this on average. */
const TOLERANCE_MIN = 5;
const QUARTER_MIN = 15;

const quarterAfter = (minutes: number): number => Math.ceil(minutes / QUARTER_MIN) * QUARTER_MIN;

interface LaneDays {
  readonly bench: QueueBench;
  readonly lane: Lane;
  /** When each job of the lane is finished, by day. */
  readonly finishes: readonly Float64Array[];
  readonly kept: readonly number[];
}

/** A day that was planned, gone through many times. */
export interface PlannedDays {
  readonly now: number;
  readonly lanes: readonly LaneDays[];
  readonly factorsOf: (job: Pick<SpreadJob, 'number' | 'spread'>) => Float64Array;
  readonly days: number;
}

/**
 * Goes through a plan so many times, with each job longer or shorter than expected.
 *
 * @example
 * planDays(0, [{ name: 'A', open: [[0, 100]] }], [], []).lanes[0].lane.length // 0
 */
export function planDays(
  now: number,
  benches: readonly QueueBench[],
  jobs: readonly SureJob[],
  placed: readonly Placed[],
  days = DAYS,
): PlannedDays {
  const drawn = new Map<number, Float64Array>();
  const factorsOf = (job: Pick<SpreadJob, 'number' | 'spread'>): Float64Array => {
    const known = drawn.get(job.number) ?? drawnFactors(job, days);
    drawn.set(job.number, known);
    return known;
  };
  const free = new Float64Array(days).fill(now);
  const lanes = benches.map((bench): LaneDays => {
    const lane = placed
      .filter((each) => each.bench === bench.name)
      .toSorted((a, b) => a.start - b.start)
      .flatMap((each): readonly SpreadJob[] => {
        const job = jobs.find(({ number }) => number === each.number);
        if (!job) return [];
        const { spread, ready, promised } = job;
        return [{ ...each, spread, ready, promised, minutes: minutesOn(job, bench.name) }];
      });
    const finishes = finishesOf(bench, lane, free, factorsOf);
    return {
      bench,
      lane,
      finishes,
      kept: lane.map(({ promised }, i) => keptShare(finishes[i] ?? free, promised)),
    };
  });
  return { now, lanes, factorsOf, days };
}

/**
 * How sure each promise is, by number.
 *
 * @example
 * sureness(planDays(0, [{ name: 'A', open: [[0, 100]] }], [], [])).size // 0
 */
export const sureness = ({ lanes }: PlannedDays): ReadonlyMap<number, number> =>
  new Map(
    lanes.flatMap(({ lane, kept }) => lane.map(({ number }, i) => [number, kept[i] ?? 0] as const)),
  );

const mean = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** What comes of putting a job into a lane before its job number `at`. */
function putIn(
  { now, factorsOf, days }: PlannedDays,
  { bench, lane, finishes, kept }: LaneDays,
  at: number,
  job: SureJob,
) {
  const before = at === 0 ? new Float64Array(days).fill(now) : (finishes[at - 1] as Float64Array);
  const mine: SpreadJob = {
    ...job,
    minutes: minutesOn(job, bench.name),
    bench: bench.name,
    start: 0,
    finish: 0,
    lateMin: 0,
  };
  const [own = before, ...later] = finishesOf(bench, [mine, ...lane.slice(at)], before, factorsOf);
  const broken = lane.slice(at).flatMap(({ number, promised }, i): readonly Broken[] => {
    const was = kept[at + i] ?? 0;
    const is = keptShare(later[i] ?? own, promised);
    const delayed = mean(later[i] ?? own) - mean(finishes[at + i] ?? own);
    const holds = was >= SURE ? is >= SURE : delayed <= TOLERANCE_MIN;
    return holds ? [] : [{ number, before: was, after: is }];
  });
  return { own, broken };
}

/**
 * What can be promised for a racket that stands at the counter: the earliest time that keeps all other promises with a
 * certainty of 90 % and is itself as sure, the time that is expected in the same place, and the time after all others.
 *
 * Limits: it puts the job between others and moves none of them to another bench.
 *
 * @example
 * offersFor(planDays(0, [{ name: 'A', open: [[0, 100]] }], [], []), { number: 1, minutes: 30, promised: 0, ready: 0, spread: 0 }).safe.at // 30
 */
export function offersFor(days: PlannedDays, job: SureJob): Offers {
  let safe: Offer | undefined;
  let tight: Offer | undefined;
  let free: Offer | undefined;
  const earlier = (one: Offer | undefined, other: Offer): Offer =>
    one && one.at <= other.at ? one : other;
  for (const laneDays of days.lanes) {
    const { bench, lane } = laneDays;
    if (!suits(job, bench.name)) continue;
    for (let at = 0; at <= lane.length; at++) {
      const { own, broken } = putIn(days, laneDays, at, job);
      const sureAt = { at: quarterAfter(quantile(own, SURE)), bench: bench.name };
      if (at === lane.length) free = earlier(free, sureAt);
      if (broken.length > 0) continue;
      safe = earlier(safe, sureAt);
      tight = earlier(tight, { at: quarterAfter(quantile(own, 0.5)), bench: bench.name });
      // Later in this lane it is finished later.
      if (at < lane.length) {
        const { own: last } = putIn(days, laneDays, lane.length, job);
        free = earlier(free, { at: quarterAfter(quantile(last, SURE)), bench: bench.name });
      }
      break;
    }
  }
  return { safe, tight, free };
}

/**
 * The promises that a promise breaks: where the job is put so that it is kept, with the fewest others broken; and how
 * sure it is itself there.
 *
 * @example
 * brokenBy(planDays(0, [{ name: 'A', open: [[0, 100]] }], [], []), { number: 1, minutes: 30, promised: 40, ready: 0, spread: 0 }) // { sure: 1, broken: [] }
 */
export function brokenBy(
  days: PlannedDays,
  job: SureJob,
): { readonly sure: number; readonly broken: readonly Broken[] } {
  let best: { readonly sure: number; readonly broken: readonly Broken[] } | undefined;
  const better = (one: NonNullable<typeof best>): boolean => {
    if (!best) return true;
    const [kept, keptBefore] = [one.sure >= SURE, best.sure >= SURE];
    if (kept !== keptBefore) return kept;
    if (!kept) return one.sure > best.sure;
    return (
      one.broken.length < best.broken.length ||
      (one.broken.length === best.broken.length && one.sure > best.sure)
    );
  };
  for (const laneDays of days.lanes) {
    if (!suits(job, laneDays.bench.name)) continue;
    for (let at = 0; at <= laneDays.lane.length; at++) {
      const { own, broken } = putIn(days, laneDays, at, job);
      const one = { sure: keptShare(own, job.promised), broken };
      if (better(one)) best = one;
    }
  }
  return best ?? { sure: 0, broken: [] };
}
