/**
 * The loss of one racket as a band. What its kind loses is multiplied by a rate that is its own: nobody knows it before it
 * was measured, so it is a distribution over a grid, and every measurement moves it by Bayes' rule.
 */

/** A measurement: what share of its set tension a bed had, at a time at which its kind would have lost `usual`. */
export interface Measured {
  /** What `usualLoss` says for then. */
  readonly usual: number;
  /** What it says for the reading that this one is compared with; 0 where that is the tension that was set. */
  readonly usualThen: number;
  /** The tension that was found, as a share of what it is compared with. */
  readonly left: number;
  /** How far such a reading is off, as a share of the tension (standard deviation). */
  readonly noise: number;
}

/** How likely each rate is, for the next job of a racket or for one that is in hand. */
export interface Rate {
  readonly weights: readonly number[];
  /** As many measurements as it rests on. */
  readonly from: number;
}

/** Rackets of a kind differ by so much (standard deviation of the logarithm of their rate). From memory. */
const KIND_SPREAD = 0.3;
/** Two jobs of one racket differ by so much. From memory. */
const JOB_SPREAD = 0.12;

/** Rates from a third to three times the usual, evenly by their logarithm. */
const HALF = 60;
const STEP = Math.log(3) / HALF;
const LOGS = Array.from({ length: 2 * HALF + 1 }, (_, i) => (i - HALF) * STEP);

/** A share below which nothing is divided by it. */
const LEAST = 0.05;

const normalised = (weights: readonly number[]): readonly number[] => {
  const sum = weights.reduce((total, weight) => total + weight, 0);
  // Readings that no rate explains say nothing.
  return sum > 0 ? weights.map((weight) => weight / sum) : weights.map(() => 1 / weights.length);
};

const gaussian = (x: number, sd: number): number => Math.exp(-0.5 * (x / sd) ** 2);

/** The kernel of what differs from job to job. */
const KERNEL = LOGS.map((log) => gaussian(log, JOB_SPREAD));

/** Blurred by what differs from job to job: from the racket’s rate to one job’s, and from a job’s likelihood back. */
const blurred = (weights: readonly number[]): readonly number[] =>
  LOGS.map((_, i) =>
    weights.reduce((sum, weight, j) => {
      const k = i - j + HALF;
      return k < 0 || k >= KERNEL.length ? sum : sum + weight * (KERNEL[k] as number);
    }, 0),
  );

/** How far the readings of one job are off at each rate: the sum of the squares, each by its noise. */
const squaresOff = (readings: readonly Measured[]): readonly number[] =>
  LOGS.map((log) => {
    const rate = Math.exp(log);
    return readings.reduce((sum, { usual, usualThen, left, noise }) => {
      const meant = Math.max(0, 1 - rate * usual) / Math.max(LEAST, 1 - rate * usualThen);
      return sum + ((left - meant) / noise) ** 2;
    }, 0);
  });

/** How likely the readings of one job are at each rate. */
function likelihood(readings: readonly Measured[]): readonly number[] {
  const off = squaresOff(readings);
  const least = Math.min(...off);
  return off.map((squares) => Math.exp(-0.5 * (squares - least)));
}

/** Readings that are so far off any one rate, for each that is free, contradict each other. From memory. */
const MOST_OFF = 4;

/** Whether no rate explains some readings of one job. */
const contradict = (readings: readonly Measured[]): boolean =>
  Math.min(...squaresOff(readings)) > MOST_OFF * Math.max(1, readings.length - 1);

const KIND: readonly number[] = normalised(LOGS.map((log) => gaussian(log, KIND_SPREAD)));

/** Half as wide again as what is known of any bed. */
const WIDE: readonly number[] = normalised(LOGS.map((log) => gaussian(log, 1.5 * KIND_SPREAD)));

/** What is known of a rate before anything was measured. */
export const USUAL_RATE: Rate = { weights: normalised(blurred(KIND)), from: 0 };

/**
 * The rate of a job of a racket, from what was measured on its jobs before and on this one. With every measured job it is
 * known closer; between two jobs something is always open.
 *
 * Source: Bayes' rule on a grid of 121 rates; each job's rate scatters around the racket's by a normal distribution of
 * logarithms.
 * Limits: one racket has one rate with any string; its strings' families are in `usual`.
 *
 * @param before the readings of earlier jobs, a list for each
 * @param here those of this job
 *
 * @example
 * learnRate([], []).from // 0
 */
export function learnRate(
  before: readonly (readonly Measured[])[],
  here: readonly Measured[],
): Rate {
  const racket = before
    .filter((readings) => readings.length > 0 && !contradict(readings))
    .reduce<readonly number[]>((weights, readings) => {
      const by = blurred(likelihood(readings));
      return normalised(weights.map((weight, i) => weight * (by[i] as number)));
    }, KIND);
  const from = before.flat().length + here.length;
  // What no rate explains says only that less is known than of any other.
  if (contradict(here)) return { weights: WIDE, from };
  const by = likelihood(here);
  return {
    weights: normalised(blurred(racket).map((weight, i) => weight * (by[i] as number))),
    from,
  };
}

export interface Band {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** The rate below which this share of it lies. */
function rateAt({ weights }: Rate, share: number): number {
  let below = 0;
  for (const [i, weight] of weights.entries()) {
    if (below + weight >= share) {
      const within = weight > 0 ? (share - below) / weight : 0.5;
      return Math.exp((LOGS[i] as number) + (within - 0.5) * STEP);
    }
    below += weight;
  }
  return Math.exp(LOGS.at(-1) as number);
}

/** Where four of five lie. */
const LOW = 0.1;
const HIGH = 0.9;

/**
 * The share of its tension that a bed has lost where its kind would have lost `usual`, as a band of 80 %.
 *
 * @example
 * bandAt(USUAL_RATE, 0).middle // 0
 */
export const bandAt = (rate: Rate, usual: number): Band => bandOf(ratesOf(rate), usual);

/**
 * The rates themselves, as a band of 80 %.
 *
 * @example
 * ratesOf(USUAL_RATE).middle.toFixed(3) // '1.000'
 */
export const ratesOf = (rate: Rate): Band =>
  rate === USUAL_RATE
    ? USUAL_RATES
    : { low: rateAt(rate, LOW), middle: rateAt(rate, 0.5), high: rateAt(rate, HIGH) };

/** Most beds were never measured. */
const USUAL_RATES: Band = {
  low: rateAt(USUAL_RATE, LOW),
  middle: rateAt(USUAL_RATE, 0.5),
  high: rateAt(USUAL_RATE, HIGH),
};

/**
 * The same as `bandAt` where the rates are known already.
 *
 * @example
 * bandOf({ low: 0.5, middle: 1, high: 2 }, 0.2) // { low: 0.1, middle: 0.2, high: 0.4 }
 */
export const bandOf = ({ low, middle, high }: Band, usual: number): Band => ({
  low: Math.min(1, low * usual),
  middle: Math.min(1, middle * usual),
  high: Math.min(1, high * usual),
});

/**
 * Between what a reading with such a noise lies in four of five cases: wider than the band of the tension itself.
 *
 * @param noise standard deviation, as a share of the tension
 *
 * @example
 * readingBand(USUAL_RATE, 0.2, 0.03).middle < 0.82 // true
 */
export function readingBand(rate: Rate, usual: number, noise: number): Band {
  // The tension at each rate, blurred by the noise; found by halving, for a sum of normal distributions has no inverse.
  const below = (left: number): number =>
    rate.weights.reduce(
      (sum, weight, i) =>
        sum + weight * normalBelow((left - (1 - Math.exp(LOGS[i] as number) * usual)) / noise),
      0,
    );
  const at = (share: number): number => {
    let [from, to] = [-0.5, 1.5];
    for (let turn = 0; turn < 50; turn++) {
      const middle = (from + to) / 2;
      if (below(middle) < share) from = middle;
      else to = middle;
    }
    return (from + to) / 2;
  };
  return { low: at(LOW), middle: at(0.5), high: at(HIGH) };
}

/** The normal distribution up to `z`, to 1.5e-7 (Abramowitz & Stegun 7.1.26). */
function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const erf =
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
      t *
      Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/**
 * How much narrower the band of a racket is than that of its kind: 0.4 where it is 40 % narrower, −0.2 where it is wider.
 *
 * @example
 * narrowedBy(USUAL_RATE) // 0
 */
export function narrowedBy(rate: Rate): number {
  const width = (of: Rate) => rateAt(of, HIGH) - rateAt(of, LOW);
  return 1 - width(rate) / width(USUAL_RATE);
}
