/** What a bed loses of its tension: at the bench, by play, and by lying. */
import { z } from 'zod';
import { MAIN_SHARE } from '../advice/rule';
import { gaugeAbove } from '../advice/strung';
import type { StringClass } from '../advice/rule';
import type { Family } from '../terms/family';
import type { Sport } from '../terms/sport';

/** How the three losses of a family run; all as shares of the tension that was set. */
interface FamilyLoss {
  /** Gone a day after stringing, before the first ball; it grows on with the logarithm of time. */
  readonly firstDay: number;
  /** What play takes at most. */
  readonly playMost: number;
  /** Hours of play after which 63 % of that is gone. */
  readonly playHours: number;
  /** What a month of lying takes beside the creep. */
  readonly month: number;
}

/**
 * The constants of every family. Common practice gives what they have to add up to: 55 is about 50 by the first ball (5 to
 * 10 %); monofilament is near half after 10 to 15 h or months of lying, nylon at three quarters after 15 to 20 h, gut
 * loses far less, about 30 % is gone over a life. How that is shared between the three, and all of aramid, from memory.
 */
const FAMILY_LOSS: Readonly<Record<Family, FamilyLoss>> = {
  'natural gut': { firstDay: 0.05, playMost: 0.12, playHours: 35, month: 0.007 },
  multifilament: { firstDay: 0.075, playMost: 0.22, playHours: 18, month: 0.01 },
  'synthetic gut': { firstDay: 0.075, playMost: 0.22, playHours: 18, month: 0.01 },
  monofilament: { firstDay: 0.09, playMost: 0.4, playHours: 9, month: 0.045 },
  aramid: { firstDay: 0.05, playMost: 0.25, playHours: 20, month: 0.01 },
};

/** A bed that is played dead rests somewhere here. From memory. */
const MOST_LOST = 0.65;
/** Pre-stretch takes out early creep (practice); how much from memory. */
const PRE_STRETCH_CREEP = 0.7;
/** A lock-out leaves the creep that a constant pull would have taken up (practice); how much from memory. */
const LOCK_OUT_CREEP = 1.15;
/** A step of thickness less loses this share more. From memory. */
const A_STEP_THINNER = 0.04;

/** How hard a bed is hit, beside a medium swing. From memory. */
const SWINGS = { slow: 0.85, medium: 1, fast: 1.2 } as const;
const SPIN = 1.1;
export const heatSchema = z.enum(['cool', 'usual', 'hot']);
/** Where it lies: a cool room, anywhere, a hot car or attic. */
export type Heat = z.infer<typeof heatSchema>;
/** What lying takes there, beside what is usual. From memory. */
const HEATS: Readonly<Record<Heat, number>> = { cool: 0.7, usual: 1, hot: 1.8 };

type Swing = keyof typeof SWINGS;

export interface AgeingBed {
  readonly sport: Sport;
  readonly mains: StringClass;
  readonly crosses: StringClass;
  readonly preStretched: boolean;
  readonly pull: 'constant pull' | 'lock-out';
}

export interface Played {
  /** Hours on court since it was strung. */
  readonly hours: number;
  readonly swing: Swing;
  readonly spin: boolean;
  readonly heat: Heat;
}

/** An even life: what is usual where nobody said otherwise. */
export const USUAL_PLAY: Omit<Played, 'hours'> = { swing: 'medium', spin: false, heat: 'usual' };

const MINUTES_A_DAY = 1440;
const DAYS_A_MONTH = 30.4;

/**
 * The share that creep has taken after some days, where a day takes 1: its logarithm is counted from the minute after the
 * last knot.
 */
const creepAfter = (days: number): number =>
  Math.log10(1 + days * MINUTES_A_DAY) / Math.log10(1 + MINUTES_A_DAY);

/**
 * The share of its tension that a bed of its kind has lost some days after stringing, with so many hours on court: creep on
 * a logarithm of time, play that runs out, and lying. Mains count for two thirds, as they do for the feel.
 *
 * Limits: two strings lose half each of what is shared; breakage and a move of the frame are not in it.
 *
 * @example
 * usualLoss({ sport: 'tennis', mains: usual.strung.mains, crosses: usual.strung.crosses, preStretched: false, pull: 'constant pull' }, 0, { hours: 0, swing: 'medium', spin: false, heat: 'usual' }) // 0
 */
export function usualLoss(bed: AgeingBed, days: number, played: Played): number {
  const gauge = 1 - A_STEP_THINNER * gaugeAbove(bed, bed.sport);
  const creep =
    creepAfter(Math.max(0, days)) *
    (bed.preStretched ? PRE_STRETCH_CREEP : 1) *
    (bed.pull === 'lock-out' ? LOCK_OUT_CREEP : 1);
  const hours = Math.max(0, played.hours) * SWINGS[played.swing] * (played.spin ? SPIN : 1);
  const months = (Math.max(0, days) / DAYS_A_MONTH) * HEATS[played.heat];
  const of = ({ family }: StringClass): number => {
    const { firstDay, playMost, playHours, month } = FAMILY_LOSS[family];
    return firstDay * creep + playMost * (1 - Math.exp(-hours / playHours)) + month * months;
  };
  const lost = gauge * (MAIN_SHARE * of(bed.mains) + (1 - MAIN_SHARE) * of(bed.crosses));
  return Math.min(MOST_LOST, Math.max(0, lost));
}
