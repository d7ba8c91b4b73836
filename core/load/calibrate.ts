/** How stiff a hoop is, from what calipers said while a job was strung on it. */
import type { Job } from '../bench/job';
import { failure, success, type Result } from '../terms/result';
import { figuresUnderLoad } from './ways';

/** A change of length and width inside, against the empty frame, mm. */
export interface Change {
  readonly lengthMm: number;
  readonly widthMm: number;
}

export interface Calipers {
  /** On the machine, when the last main was clamped. */
  readonly afterMains: Change;
  /** Off the machine; null where nobody measured it. */
  readonly end: Change | null;
}

export interface Calibrated {
  /** Its bending stiffness beside what is usual for the sport. */
  readonly factor: number;
  /** How far the figures of the fit are off what was measured (root of the mean square), mm. */
  readonly errorMm: number;
}

/** No hoop of a sport is softer or stiffer than the usual one by more. From memory. */
const SOFTEST = 0.3;
const STIFFEST = 4;
/** Of the logarithm of the factor: a hundredth. */
const CLOSE = 0.01;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * What a job does to a hoop of such a stiffness. Errors: those of `frameLoad`.
 *
 * @example
 * predicted(usual.job, 1).value.afterMains.lengthMm < 0 // true
 */
export function predicted(job: Job, factor: number): Result<Calipers & { readonly end: Change }> {
  const figures = figuresUnderLoad(job, { factor });
  if (!figures.ok) return figures;
  const { lengthMainsMm, widthMainsMm, lengthEndMm, widthEndMm } = figures.value;
  return success({
    afterMains: { lengthMm: lengthMainsMm, widthMm: widthMainsMm },
    end: { lengthMm: lengthEndMm, widthMm: widthEndMm },
  });
}

/**
 * The stiffness of a hoop with which its job does what the calipers said, as nearly as one factor can; by golden section over
 * its logarithm.
 *
 * Errors: those of `frameLoad`, and calipers that no hoop of the sport comes near to.
 *
 * @example
 * calibrate(usual.job, { afterMains: { lengthMm: 20, widthMm: -20 }, end: null }).ok // false
 */
export function calibrate(job: Job, measured: Calipers): Result<Calibrated> {
  const first = predicted(job, 1);
  if (!first.ok) return first;
  const errorOf = (log: number): number => {
    const found = predicted(job, Math.exp(log));
    if (!found.ok) return Infinity;
    const pairs: readonly (readonly [Change, Change])[] = [
      [found.value.afterMains, measured.afterMains],
      ...(measured.end ? [[found.value.end, measured.end] as const] : []),
    ];
    const squares = pairs.flatMap(([a, b]) => [
      (a.lengthMm - b.lengthMm) ** 2,
      (a.widthMm - b.widthMm) ** 2,
    ]);
    return Math.sqrt(squares.reduce((sum, each) => sum + each, 0) / squares.length);
  };
  let [low, high] = [Math.log(SOFTEST), Math.log(STIFFEST)];
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [errorA, errorB] = [errorOf(a), errorOf(b)];
  while (high - low > CLOSE)
    if (errorA < errorB) {
      [high, b, errorB] = [b, a, errorA];
      a = high - GOLDEN * (high - low);
      errorA = errorOf(a);
    } else {
      [low, a, errorA] = [a, b, errorB];
      b = low + GOLDEN * (high - low);
      errorB = errorOf(b);
    }
  const factor = Math.exp((low + high) / 2);
  const errorMm = errorOf((low + high) / 2);
  return errorMm > MOST_ERROR_MM ? failure('load.no such hoop') : success({ factor, errorMm });
}

/** Further off, something was read wrongly. From memory. */
const MOST_ERROR_MM = 1.5;
