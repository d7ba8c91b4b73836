/** Where the mains start and finish, and on which side the crosses finish. */
import { opposite, otherSide, type End, type Side } from '../terms/ends';

/**
 * The end of the centre loop. With an even number of bridge holes a side the loop is at the head,
 * with an odd number at the throat: then no outside run leaps the open throat from the bridge to
 * the shoulder. Common practice, no source.
 *
 * @example
 * mainsStart(8) // 'head'
 * mainsStart(6) // 'throat'
 */
export const mainsStart = (bridgeHoles: number): End =>
  (bridgeHoles / 2) % 2 === 0 ? 'head' : 'throat';

/**
 * Each main takes the string to the other end: an even number a side ends where it started.
 *
 * @example
 * mainsFinish('head', 8) // 'head'
 */
export const mainsFinish = (start: End, mainsPerSide: number): End =>
  mainsPerSide % 2 === 0 ? start : opposite(start);

/**
 * An even number of crosses finishes on the side it started from, an odd number on the other.
 *
 * @example
 * crossFinish('left', 19) // 'right'
 */
export const crossFinish = (start: Side, crosses: number): Side =>
  crosses % 2 === 0 ? start : otherSide(start);
