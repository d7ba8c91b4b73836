/** The pulls that are strung at all: from the extremes seen, 6 kg and 37 kg, with a little room. Common practice. */
import type { Newtons } from './quantities';
import type { Sport } from '../terms/sport';
import { newtons } from './units';

const KILOGRAMS: Record<Sport, readonly [least: number, most: number]> = {
  tennis: [5, 40],
  badminton: [5, 18],
  squash: [5, 18],
};

/**
 * Least and most that a string of a sport is pulled at, N.
 *
 * @example
 * pullLimits('tennis').leastN > 0 // true
 */
export const pullLimits = (sport: Sport): { readonly leastN: Newtons; readonly mostN: Newtons } => {
  const [least, most] = KILOGRAMS[sport];
  return { leastN: newtons(least, 'kg'), mostN: newtons(most, 'kg') };
};

/** For a frame whose range nobody can read, N. Tennis: common practice; the others from memory. */
export const USUAL_PULL_N: Record<Sport, number> = {
  tennis: newtons(23.5, 'kg'),
  badminton: newtons(24, 'lb'),
  squash: newtons(26, 'lb'),
};

/** Beyond this ratio between mains and crosses a ticket is a slip of the pen. From memory. */
export const MOST_CROSS_DIFFERENCE = 0.3;
