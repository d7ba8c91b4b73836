/** When to order a string again, before it runs out. */

/** Weeks of use, the latest last; in whatever unit, sets or metres. */
export interface WeeklyUse {
  readonly mean: number;
  readonly variance: number;
}

/** A share of weeks in which nothing is missing. */
const SERVED = 0.95;

/**
 * The mean and the variance of what weeks have used.
 *
 * @example
 * weeklyUse([2, 4]) // { mean: 3, variance: 2 }
 */
export function weeklyUse(weeks: readonly number[]): WeeklyUse {
  const mean = weeks.length === 0 ? 0 : weeks.reduce((sum, use) => sum + use, 0) / weeks.length;
  const squares = weeks.reduce((sum, use) => sum + (use - mean) ** 2, 0);
  return { mean, variance: weeks.length < 2 ? mean : squares / (weeks.length - 1) };
}

/**
 * How many are to be there or on their way so that on so many occasions what is asked for until the delivery is there:
 * the smallest count with a probability of at least `served` of not being exceeded, in the time of delivery and the week
 * until it is looked at again. Counts that scatter no more than by chance are Poisson's, others negative binomial.
 *
 * Source: the base-stock level with a periodic review (a textbook rule).
 *
 * @param deliveryWeeks from ordering until it is there
 *
 * @example
 * orderLevel({ mean: 4, variance: 4 }, 0) // 8
 */
export function orderLevel(
  { mean, variance }: WeeklyUse,
  deliveryWeeks: number,
  served = SERVED,
): number {
  const weeks = deliveryWeeks + 1;
  const [expected, scatter] = [mean * weeks, variance * weeks];
  if (expected <= 0) return 0;
  // What scatters hardly more than by chance is reckoned as chance: the other formula loses its digits there.
  const isChance = scatter <= expected * (1 + 1e-6);
  // Negative binomial by its mean and variance: r successes with the probability p.
  const p = isChance ? 1 : expected / scatter;
  const r = isChance ? 0 : (expected * p) / (1 - p);
  // By logarithms: of many, the share of the first counts is too small for a double.
  let logShare = isChance ? -expected : r * Math.log(p);
  let sum = Math.exp(logShare);
  let count = 0;
  const most = expected + 20 * Math.sqrt(scatter) + 20;
  while (sum < served && count < most) {
    logShare += Math.log(isChance ? expected / (count + 1) : ((r + count) / (count + 1)) * (1 - p));
    count++;
    sum += Math.exp(logShare);
  }
  return count;
}

/**
 * What to order now: up to the level, where what is there and on its way has fallen to it or below.
 *
 * @example
 * toOrder({ level: 8, there: 3, coming: 2 }) // 3
 */
export const toOrder = ({
  level,
  there,
  coming,
}: {
  readonly level: number;
  readonly there: number;
  readonly coming: number;
}): number => Math.max(0, Math.ceil(level - there - coming));
