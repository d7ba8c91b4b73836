/** Sentences that several places of the application and of a record say in the same words. */
import type { Bed } from './bed';
import { letter } from './holes';
import type { End, Side } from './outline';
import type { Knot } from './pattern';

export const skipWords = (numbers: readonly number[], end: End): string =>
  numbers.length > 0 ? numbers.map((n) => `${n}${letter(end)}`).join(' ') : 'none';

export const knotWords = ({ piece, hole, side }: Knot): string => `${piece}: ${hole.label} ${side}`;

/** `3 at the head, 1 at the throat`. */
export function knotCount(knots: readonly { readonly end: End }[]): string {
  const atHead = knots.filter(({ end }) => end === 'head').length;
  return `${atHead} at the head, ${knots.length - atHead} at the throat`;
}

/** What follows for the last cross when the first one starts on this side. */
export const crossWay = (start: Side, finish: Side, crosses: number): string =>
  `start ${start}, finish ${finish} (${crosses} crosses)`;

export const mainsWay = (bed: Pick<Bed, 'mainsStart' | 'mainsFinish'>): string =>
  `start at the ${bed.mainsStart}, finish at the ${bed.mainsFinish}`;
