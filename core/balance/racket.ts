/** What a racket weighs where: mass, balance, swing weight, and what parts do to them. */
import { failure, success, type Result } from '../terms/result';

export interface Figures {
  readonly massG: number;
  /** From the butt to where it balances, mm. */
  readonly balanceMm: number;
  /** About the axis 10 cm from the butt, kg·cm². */
  readonly swingKgCm2: number;
}

/** Something that is put on, or with a mass below 0 taken off. */
export interface Part {
  readonly massG: number;
  /** Its middle, from the butt, mm. */
  readonly atMm: number;
  /** How far it runs along the racket, mm; a spot is 0. */
  readonly longMm?: number;
}

/** The axis of swing weight, mm from the butt: where a hand swings it. By definition. */
const AXIS_MM = 100;
/** Standard acceleration of free fall, m/s² (ISO 80000-3). */
const GRAVITY = 9.80665;
/** g·mm² in a kg·cm². */
const G_MM2_PER_KG_CM2 = 1e5;

/**
 * What a spot or a strip of a gram adds to the swing weight at its place, kg·cm² for each gram.
 *
 * Source: parallel-axis theorem; a strip of length l has l²/12 about its middle.
 *
 * @example
 * swingOfGram(600) // 2.5
 */
export const swingOfGram = (atMm: number, longMm = 0): number =>
  ((atMm - AXIS_MM) ** 2 + longMm ** 2 / 12) / G_MM2_PER_KG_CM2;

/**
 * A racket with parts on it.
 *
 * Source: balance = Σmx/Σm; swing weight by the parallel-axis theorem.
 * Errors: nothing would be left of it.
 *
 * @example
 * withParts({ massG: 300, balanceMm: 320, swingKgCm2: 300 }, [{ massG: 10, atMm: 600 }]).value // { massG: 310, balanceMm: 329.032, swingKgCm2: 325 }
 */
export function withParts(racket: Figures, parts: readonly Part[]): Result<Figures> {
  const sum = (of: (part: Part) => number) => parts.reduce((total, part) => total + of(part), 0);
  const massG = racket.massG + sum((part) => part.massG);
  const swingKgCm2 =
    racket.swingKgCm2 + sum((part) => part.massG * swingOfGram(part.atMm, part.longMm));
  if (massG <= 0 || swingKgCm2 <= 0) return failure('balance.nothing left');
  const moment = racket.massG * racket.balanceMm + sum((part) => part.massG * part.atMm);
  return success({ massG, balanceMm: moment / massG, swingKgCm2 });
}

export interface Pendulum {
  readonly massG: number;
  readonly balanceMm: number;
  /** From the butt to the pivot that it hangs on, mm. */
  readonly pivotMm: number;
  /** There and back, s. */
  readonly periodS: number;
}

/**
 * The swing weight of a racket that swings on a pivot by its own weight: its inertia about the pivot from the period, brought to
 * its balance point and from there to the axis.
 *
 * Source: compound pendulum, I = m·g·d·(t/2π)², and the parallel-axis theorem.
 * Errors: a pivot at the balance point, and a period that is shorter than a point of that mass would have.
 *
 * @example
 * swingFromPendulum({ massG: 300, balanceMm: 320, pivotMm: 20, periodS: 1.3 }).ok // true
 */
export function swingFromPendulum({
  massG,
  balanceMm,
  pivotMm,
  periodS,
}: Pendulum): Result<number> {
  const armMm = Math.abs(balanceMm - pivotMm);
  if (armMm < 10) return failure('balance.pivot');
  // kg · m/s² · m · s², in kg·cm².
  const aboutPivot =
    (massG / 1000) * GRAVITY * (armMm / 1000) * (periodS / (2 * Math.PI)) ** 2 * 1e4;
  const aboutBalance = aboutPivot - (massG * armMm ** 2) / G_MM2_PER_KG_CM2;
  if (!(aboutBalance > 0)) return failure('balance.period');
  return success(aboutBalance + (massG * (balanceMm - AXIS_MM) ** 2) / G_MM2_PER_KG_CM2);
}

/** Lead and the like beyond which it is another racket, g; a tuning matter up to half of it. Common practice. */
const TUNING_G = 10;
const ANOTHER_RACKET_G = 20;

/**
 * What so much mass is called; nothing where it is a tuning matter.
 *
 * @example
 * massCaution(24) // 'That is another racket: 20 g and more change how it plays altogether.'
 */
export function massCaution(addedG: number): string | undefined {
  if (addedG >= ANOTHER_RACKET_G)
    return 'That is another racket: 20 g and more change how it plays altogether.';
  return addedG > TUNING_G ? 'That is more than tuning: 5 to 10 g are.' : undefined;
}
