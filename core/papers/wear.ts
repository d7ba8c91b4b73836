/** What a bed should have lost of its tension by now, as a range: nobody has measured it. */
import { HOURS_A_PLAY } from '../advice/character';
import type { Family } from '../terms/family';

type Range = readonly [least: number, most: number];

/** Share that is gone before the first ball. Common practice: 55 is about 50 by then. */
const FIRST: Range = [0.05, 0.1];
/**
 * Share that goes in an hour of play: monofilament is near half after 10 to 15 hours, nylon at three quarters
 * after 15 to 20, gut far less. Common practice, no source; aramid from memory.
 */
const AN_HOUR: Readonly<Record<Family, Range>> = {
  'natural gut': [0.002, 0.004],
  multifilament: [0.007, 0.012],
  'synthetic gut': [0.007, 0.012],
  monofilament: [0.025, 0.038],
  aramid: [0.005, 0.01],
};
/** Share that goes in a month of lying. From memory. */
const A_MONTH: Range = [0.005, 0.015];
/** A bed that is played dead rests somewhere here. From memory. */
const MOST_LOST = 0.5;

const DAYS_A_MONTH = 30.4;

/**
 * The share of its tension that a bed has lost after some days, between which it is likely to lie; without plays
 * a week only what lying takes. Two strings lose half of each.
 *
 * Limits: it knows nothing of swing, heat, pre-stretch and machine; only a measurement does.
 *
 * @example
 * lossAfter(['monofilament', 'monofilament'], 30, 2) // [0.38, 0.5]
 */
export function lossAfter(
  families: readonly [mains: Family, crosses: Family],
  days: number,
  playsAWeek: number | null,
): Range {
  const hours = (days / 7) * (playsAWeek ?? 0) * HOURS_A_PLAY;
  const at = (i: 0 | 1) => {
    const byPlay = families.reduce((sum, family) => sum + AN_HOUR[family][i] / 2, 0) * hours;
    return Math.min(MOST_LOST, FIRST[i] + byPlay + A_MONTH[i] * (days / DAYS_A_MONTH));
  };
  return [at(0), at(1)];
}

/**
 * `10 to 15 %`
 *
 * @example
 * lossWords([0.1, 0.149]) // '10 to 15 %'
 */
export function lossWords([least, most]: Range): string {
  const [from, to] = [Math.round(least * 100), Math.round(most * 100)];
  return from === to ? `${from} %` : `${from} to ${to} %`;
}
