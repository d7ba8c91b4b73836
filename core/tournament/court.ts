/** From the court to the bench: when a player's rackets have to be ready, and who strings them. */
import type { WallTime } from '../measure/promised-time';
import { wallMinutes, wallOf } from '../queue/clock';

/**
 * By when a player's rackets are promised: so many minutes before they go on court.
 *
 * @example
 * promiseBefore('2026-06-03T11:00', 45) // '2026-06-03T10:15'
 */
export const promiseBefore = (onCourt: WallTime, leadMin: number): WallTime =>
  wallOf(wallMinutes(onCourt) - leadMin);

export interface BenchLoad {
  readonly bench: string;
  readonly minutes: number;
}

/**
 * The bench that a player who has none yet is given, so that one person at one machine strings all of theirs: the one
 * with the fewest minutes before it. Source: common practice at events, no source.
 *
 * @example
 * benchForPlayer([{ bench: 'A', minutes: 90 }, { bench: 'B', minutes: 60 }]) // 'B'
 */
export const benchForPlayer = (loads: readonly BenchLoad[]): string | undefined =>
  loads.toSorted((a, b) => a.minutes - b.minutes)[0]?.bench;

/**
 * The next tags of a bag: after the highest that was ever given out, so that no two rackets of an event share one.
 *
 * @example
 * nextTags([1, 2, 7], 2) // [8, 9]
 */
export const nextTags = (given: readonly number[], count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => Math.max(0, ...given) + 1 + i);
