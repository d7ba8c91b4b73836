/** How sure a plan's promises are, by going through many days in which jobs take longer or shorter than expected. */
import { chanceFrom } from '../maths/chance';
import { startIn, type Placed, type QueueBench } from './jobs';

/** A placed job with how far its minutes spread: the standard deviation of their logarithm. */
export interface SpreadJob extends Placed {
  readonly minutes: number;
  readonly spread: number;
  readonly ready: number;
  readonly promised: number;
}

/** So many days are gone through. */
export const DAYS = 2000;
const SEED = 20_260_106;

/** Steps of a lane: its jobs in the order of their starts. */
export type Lane = readonly SpreadJob[];

/**
 * For each job so many draws of how much longer or shorter it takes than expected, log-normal with a mean of 1; the same
 * for the same job in every plan, so that plans are compared on the same days.
 *
 * Source: the transform of Box and Muller 1958.
 *
 * @example
 * drawnFactors({ number: 1, spread: 0 }, 1)[0] // 1
 */
export function drawnFactors(job: Pick<SpreadJob, 'number' | 'spread'>, days = DAYS): Float64Array {
  const chance = chanceFrom(SEED + job.number);
  const factors = new Float64Array(days);
  for (let i = 0; i < days; i += 2) {
    // Two normal draws from two even ones (Box and Muller 1958).
    const radius = Math.sqrt(-2 * Math.log(1 - chance.next()));
    const angle = 2 * Math.PI * chance.next();
    for (const [k, normal] of [radius * Math.cos(angle), radius * Math.sin(angle)].entries())
      if (i + k < days) factors[i + k] = Math.exp(job.spread * normal - job.spread ** 2 / 2);
  }
  return factors;
}

/** When each job of a lane is finished on each day; a job that is begun before a break is finished before it, and one that no opening has room for is never finished. */
export function finishesOf(
  bench: QueueBench,
  lane: Lane,
  free: Float64Array,
  factorsOf: (job: SpreadJob) => Float64Array,
): readonly Float64Array[] {
  const at = Float64Array.from(free);
  return lane.map((job) => {
    const factors = factorsOf(job);
    const finishes = new Float64Array(at.length);
    for (let day = 0; day < at.length; day++) {
      const from = Math.max(at[day] ?? 0, job.ready);
      // Whether it is begun before a break is decided by what it is expected to take.
      const start = startIn(bench.open, from, job.minutes);
      if (start === undefined) {
        finishes[day] = Infinity;
        continue;
      }
      const finish = start + job.minutes * (factors[day] ?? 1);
      at[day] = finish;
      finishes[day] = finish;
    }
    return finishes;
  });
}

/** The share of days on which something is finished by then. */
export function keptShare(finishes: Float64Array, promised: number): number {
  let kept = 0;
  for (const finish of finishes) if (finish <= promised) kept++;
  return kept / finishes.length;
}

/** By when it is finished on such a share of days. */
export function quantile(finishes: Float64Array, share: number): number {
  const sorted = Float64Array.from(finishes).sort();
  return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? 0;
}
