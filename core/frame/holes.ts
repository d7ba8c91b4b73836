/**
 * The holes of a half, numbered from the centre line outwards, separately at the head (H) and the
 * throat (T): 1H, 2H … 1T, 2T. Each knows the strings that go through it.
 */
import type { FrameSpec } from './frame';
import type { End, Side } from '../terms/ends';
import type { Sport } from '../terms/sport';

export interface Hole {
  /** `7H`: the same on both sides of the frame. */
  readonly label: string;
  readonly end: End;
  readonly number: number;
  /** On the right half; the left is its mirror image. */
  readonly arc: number;
  readonly x: number;
  readonly y: number;
  /** Number of the main through it (1 is next to the centre line), if any. */
  readonly main: number | undefined;
  /** Number of the cross through it (1 is next to the head), if any. */
  readonly cross: number | undefined;
  /** Among the mains, and left empty for a cross. */
  readonly skipped: boolean;
  /** The sides on which it is bored for a knot. */
  readonly tieOff: readonly Side[];
  /** Two barrels in one grommet. */
  readonly double: boolean;
  /** An open port or a bar instead of a grommet. */
  readonly port: boolean;
}

/** A hole's number and strings, before it has a place on the rim. */
export interface Slot {
  readonly end: End;
  readonly number: number;
  readonly main: number | undefined;
  readonly cross: number | undefined;
  readonly skipped: boolean;
}

/** How close two neighbouring holes are ever bored, mm along the rim. Common practice, no source. */
export const LEAST_HOLE_GAP: Record<Sport, number> = { tennis: 5, badminton: 3.5, squash: 4 };

/** A cross shorter than this share of the head's width lies where only mains are. Our own figure. */
export const SHORTEST_CROSS = 0.3;

/**
 * @example
 * letter('head') // 'H'
 */
export const letter = (end: End): 'H' | 'T' => (end === 'head' ? 'H' : 'T');

/**
 * The hole numbers among labels that stand at one end.
 *
 * @example
 * numbersAt(['7H', '9H', '6T'], 'head') // [7, 9]
 */
export const numbersAt = (labels: readonly string[], end: End): readonly number[] =>
  labels.filter((label) => label.endsWith(letter(end))).map((label) => Number.parseInt(label, 10));

/**
 * Hole numbers of the mains of one side at one end, M1 outwards, given the skips there.
 *
 * @example
 * mainNumbers(8, [7, 9]) // [1, 2, 3, 4, 5, 6, 8, 10]
 */
export function mainNumbers(perSide: number, skips: readonly number[]): readonly number[] {
  const numbers: number[] = [];
  for (let hole = 1; numbers.length < perSide; hole++)
    if (!skips.includes(hole)) numbers.push(hole);
  return numbers;
}

/** Holes at one end that a cross takes among or together with the mains, outwards. */
const crossNumbersAmongMains = (skips: readonly number[], shared: readonly number[]) =>
  [...skips, ...shared].sort((a, b) => a - b);

export interface Skips {
  readonly head: readonly number[];
  readonly throat: readonly number[];
}

/** All holes of a half in order from the head to the throat, with their strings. */
export function slotsOf(spec: FrameSpec, skips: Skips): readonly Slot[] {
  const { mains, crosses } = spec.pattern;
  const among = {
    head: crossNumbersAmongMains(skips.head, numbersAt(spec.holes.shared, 'head')),
    throat: crossNumbersAmongMains(skips.throat, numbersAt(spec.holes.shared, 'throat')),
  };
  const atHead = Math.min(
    crosses - among.throat.length,
    Math.max(among.head.length, Math.ceil(crosses / 2)),
  );
  const outwards = (end: End, crossCount: number): readonly Slot[] => {
    const mainsHere = mainNumbers(mains / 2, skips[end]);
    const last = mainsHere.at(-1) as number;
    const beyond = Array.from({ length: crossCount - among[end].length }, (_, i) => last + 1 + i);
    const crossesHere = [...among[end], ...beyond];
    const numbers = [...new Set([...mainsHere, ...crossesHere])].sort((a, b) => a - b);
    return numbers.map((number): Slot => {
      const main = mainsHere.indexOf(number);
      const cross = crossesHere.indexOf(number);
      return {
        end,
        number,
        main: main < 0 ? undefined : main + 1,
        cross: cross < 0 ? undefined : end === 'head' ? cross + 1 : crosses - cross,
        skipped: main < 0 && number < last,
      };
    });
  };
  return [...outwards('head', atHead), ...outwards('throat', crosses - atHead).toReversed()];
}
