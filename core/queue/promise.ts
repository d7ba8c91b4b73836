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

/** A lane gone through so many times, from now on. */
function laneDays(
  bench: QueueBench,
  lane: Lane,
  { now, days, factorsOf }: Omit<PlannedDays, 'lanes'>,
): LaneDays {
  const free = new Float64Array(days).fill(now);
  const finishes = finishesOf(bench, lane, free, factorsOf);
  const kept = lane.map(({ promised }, i) => keptShare(finishes[i] ?? free, promised));
  return { bench, lane, finishes, kept };
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
  const gone = { now, days, factorsOf };
  const lanes = benches.map((bench) => {
    const lane = placed
      .filter((each) => each.bench === bench.name)
      .toSorted((a, b) => a.start - b.start)
      .flatMap((each): readonly SpreadJob[] => {
        const job = jobs.find(({ number }) => number === each.number);
        if (!job) return [];
        const { spread, ready, promised } = job;
        return [{ ...each, spread, ready, promised, minutes: minutesOn(job, bench.name) }];
      });
    return laneDays(bench, lane, gone);
  });
  return { ...gone, lanes };
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

/** A job as one of a bench's lane. */
const inLane = (job: SureJob, { name }: QueueBench): SpreadJob => ({
  ...job,
  minutes: minutesOn(job, name),
  bench: name,
  start: 0,
  finish: 0,
  lateMin: 0,
});

/** What comes of putting a job into a lane before its job number `at`. */
function putIn(
  { now, factorsOf, days }: PlannedDays,
  { bench, lane, finishes, kept }: LaneDays,
  at: number,
  job: SureJob,
) {
  const before = at === 0 ? new Float64Array(days).fill(now) : (finishes[at - 1] as Float64Array);
  const withIt = [inLane(job, bench), ...lane.slice(at)];
  const [own = before, ...later] = finishesOf(bench, withIt, before, factorsOf);
  const broken = lane.slice(at).flatMap(({ number, promised }, i): readonly Broken[] => {
    const was = kept[at + i] ?? 0;
    const is = keptShare(later[i] ?? own, promised);
    const delayed = mean(later[i] ?? own) - mean(finishes[at + i] ?? own);
    // What is never finished is not finished later.
    const holds = was >= SURE ? is >= SURE : Number.isNaN(delayed) || delayed <= TOLERANCE_MIN;
    return holds ? [] : [{ number, before: was, after: is }];
  });
  return { own, broken };
}

/** The first quarter of an hour from then on at which a bench is open, for nobody is handed a racket in closed hours. */
function handedOverAt({ open }: QueueBench, minutes: number): number | undefined {
  if (!Number.isFinite(minutes)) return undefined;
  const at = quarterAfter(minutes);
  const span = open.find(([, until]) => at <= until);
  return span && (at >= span[0] ? at : quarterAfter(span[0]));
}

/** How a job is put into a lane for one kind of offer: where, and what share of the days it is to keep. */
interface Place {
  readonly lane: LaneDays;
  readonly at: number;
  readonly offer: Offer;
}

type Kind = keyof Offers;
const SHARE: Record<Kind, number> = { safe: SURE, tight: 0.5, free: SURE };

/** The earliest place of a job for one kind of offer; nothing where no opening has room for it. */
function earliestPlace(days: PlannedDays, job: SureJob, kind: Kind): Place | undefined {
  let best: Place | undefined;
  for (const lane of days.lanes) {
    const { bench } = lane;
    if (!suits(job, bench.name)) continue;
    const last = lane.lane.length;
    for (let at = kind === 'free' ? last : 0; at <= last; at++) {
      const { own, broken } = putIn(days, lane, at, job);
      if (kind !== 'free' && broken.length > 0) continue;
      const handed = handedOverAt(bench, quantile(own, SHARE[kind]));
      if (handed !== undefined && (!best || handed < best.offer.at))
        best = { lane, at, offer: { at: handed, bench: bench.name } };
      // Later in this lane it is finished later.
      break;
    }
  }
  return best;
}

/** The same day with a job put into a lane. */
function withJob(days: PlannedDays, { lane: into, at }: Place, job: SureJob): PlannedDays {
  const { bench, lane } = into;
  const filled = laneDays(bench, lane.toSpliced(at, 0, inLane(job, bench)), days);
  return { ...days, lanes: days.lanes.map((each) => (each === into ? filled : each)) };
}

/** One of a bag, with draws of its own: not all of a bag take longer on the same day. */
const oneOfBag = (job: SureJob, i: number): SureJob =>
  i === 0 ? job : { ...job, number: -(job.number + i) };

/**
 * What can be promised for what stands at the counter: the earliest time that keeps all other promises with a
 * certainty of 90 % and is itself as sure, the time that is expected in the same place, and the time after all others.
 * Several rackets are so many jobs: each goes where it is finished first, on any bench and in any opening, and the bag is
 * ready with its last. Nothing is offered where no opening has room, and no time at which the bench is closed.
 *
 * Limits: it puts jobs between others and moves none of them to another bench.
 *
 * @param count how many rackets like it come in together
 *
 * @example
 * offersFor(planDays(0, [{ name: 'A', open: [[0, 100]] }], [], []), { number: 1, minutes: 30, promised: 0, ready: 0, spread: 0 }).safe.at // 30
 */
export function offersFor(days: PlannedDays, job: SureJob, count = 1): Offers {
  const ready = (kind: Kind): Offer | undefined => {
    let filled = days;
    let last: Offer | undefined;
    for (let i = 0; i < count; i++) {
      const one = oneOfBag(job, i);
      const place = earliestPlace(filled, one, kind);
      if (!place) return undefined;
      if (!last || place.offer.at > last.at) last = place.offer;
      // The next of the bag is put after it, or elsewhere.
      filled = withJob(filled, place, { ...one, promised: place.offer.at });
    }
    return last;
  };
  return { safe: ready('safe'), tight: ready('tight'), free: ready('free') };
}

/** The day with all of a bag but one, each where it is finished first. */
function withOthersOfBag(days: PlannedDays, job: SureJob, count: number): PlannedDays {
  let filled = days;
  for (let i = 1; i < count; i++) {
    const one = oneOfBag(job, i);
    const place = earliestPlace(filled, one, 'safe') ?? earliestPlace(filled, one, 'free');
    if (place) filled = withJob(filled, place, { ...one, promised: place.offer.at });
  }
  return filled;
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
  count = 1,
): { readonly sure: number; readonly broken: readonly Broken[] } {
  let best: { readonly sure: number; readonly broken: readonly Broken[] } | undefined;
  const filled = withOthersOfBag(days, job, count);
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
  for (const laneDays of filled.lanes) {
    if (!suits(job, laneDays.bench.name)) continue;
    for (let at = 0; at <= laneDays.lane.length; at++) {
      const { own, broken } = putIn(filled, laneDays, at, job);
      const one = { sure: keptShare(own, job.promised), broken };
      if (better(one)) best = one;
    }
  }
  return best ?? { sure: 0, broken: [] };
}
