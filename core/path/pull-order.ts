/** In which order the strings are pulled, by the custom of the bench, and how far the sides differ meanwhile. */
import { isMain, type StringName } from '../terms/string-name';
import type { HouseRules } from '../house/house-rules';
import { otherSide, type Side } from '../terms/ends';
import type { Path } from './path';
import { isInside } from './segments';
import type { Sport } from '../terms/sport';

/** What of a house's customs decides the order of the pulls. */
export type OrderCustom = Pick<HouseRules, 'ahead' | 'firstCrosses'>;

const TURN: Record<HouseRules['ahead'], number> = {
  one: 1,
  two: 2,
  three: 3,
  'three then six': 3,
  four: 4,
};

/**
 * Most mains that one side may be ahead of the other. Common practice: never more than three, in badminton four.
 *
 * @example
 * mostAhead('badminton') // 4
 */
export const mostAhead = (sport: Sport): number => (sport === 'badminton' ? 4 : 3);

/**
 * How many mains one side is brought ahead of the other before the other follows, and so the most that it ever is; a custom
 * that goes too far for its sport is held back.
 *
 * @example
 * furthestAhead('three then six', 'tennis') // 3
 * furthestAhead('four', 'tennis') // 3
 */
export const furthestAhead = (ahead: HouseRules['ahead'], sport: Sport): number =>
  Math.min(TURN[ahead], mostAhead(sport));

/**
 * @example
 * sideOf('M3L') // 'left'
 */
export const sideOf = (main: StringName): Side => (main.endsWith('L') ? 'left' : 'right');

/** A flying clamp reaches from a string to its neighbour, or over one place that is still empty. */
const CLAMP_REACH = 2;

/**
 * Whether two strings run side by side, near enough for one flying clamp to hold one by the other.
 *
 * @example
 * runsBeside('M1L', 'M1R') // true
 * runsBeside('C3', 'M3L') // false
 */
export function runsBeside(one: StringName, other: StringName): boolean {
  if (isMain(one) !== isMain(other)) return false;
  const place = (string: StringName) => {
    const number = Number.parseInt(string.slice(1), 10);
    // Mains count through the centre line: M1L and M1R are neighbours.
    return isMain(string) && sideOf(string) === 'left' ? 1 - number : number;
  };
  const apart = Math.abs(place(one) - place(other));
  return apart > 0 && apart <= CLAMP_REACH;
}

/**
 * Mains from the centre pair on, by turns. A turn brings its side ahead and the next one draws level;
 * with `three then six` each turn after the first leaps over the other side by as much.
 */
function byTurns(
  mains: Record<Side, readonly StringName[]>,
  first: Side,
  ahead: HouseRules['ahead'],
  sport: Sport,
): readonly StringName[] {
  const rest = { left: mains.left.slice(1), right: mains.right.slice(1) };
  const order = [mains[first][0], mains[otherSide(first)][0]];
  const turn = furthestAhead(ahead, sport);
  let size = turn;
  for (let side = first; rest.left.length + rest.right.length > 0; side = otherSide(side)) {
    order.push(...rest[side].splice(0, size));
    size = ahead === 'three then six' ? 2 * turn : turn;
  }
  return order.filter((string) => string !== undefined);
}

/**
 * Mains that are strung by turns: all before the first cross, in the order of their pulls.
 *
 * @example
 * pairedMains(usual.path).length // 16
 */
export function pairedMains({ order }: Pick<Path, 'order'>): readonly StringName[] {
  const at = order.findIndex((string) => !isMain(string));
  return at < 0 ? order : order.slice(0, at);
}

/**
 * The path with its strings in the order of the custom: mains by turns from the centre, then what
 * the method strings after them. A knot is tied when all that it waited for is in.
 *
 * @example
 * inOrderOf(usual.path, 'tennis', { ahead: 'one', firstCrosses: 'two together' }).order.slice(0, 4) // ['M1R', 'M1L', 'M2R', 'M2L']
 */
export function inOrderOf(path: Path, sport: Sport, { ahead, firstCrosses }: OrderCustom): Path {
  const paired = pairedMains(path);
  const of = (side: Side) => paired.filter((string) => sideOf(string) === side);
  const first = sideOf(paired[0] as StringName);
  const order = [
    ...byTurns({ left: of('left'), right: of('right') }, first, ahead, sport),
    ...path.order.slice(paired.length),
  ];
  if (path.method === 'two-piece' && firstCrosses === 'second first') {
    const [first, second] = path.pieces[1]?.segments.filter(isInside) ?? [];
    if (first && second) order.splice(paired.length, 2, second.string, first.string);
  }
  const place = new Map(order.map((string, i) => [string, i]));
  return {
    ...path,
    order,
    knots: path.knots.map((knot) => ({
      ...knot,
      tiedAfter: Math.max(
        ...path.order.slice(0, knot.tiedAfter + 1).map((string) => place.get(string) as number),
      ),
    })),
  };
}

/**
 * Newtons by which the right side is ahead of the left after each main, in the order of the pulls.
 *
 * @example
 * imbalances(['M1R', 'M1L', 'M2R'], () => 200) // [200, 0, 200]
 */
export function imbalances(
  order: readonly StringName[],
  pulled: (string: StringName) => number,
): readonly number[] {
  let ahead = 0;
  return order.filter(isMain).map((string) => {
    ahead += (sideOf(string) === 'right' ? 1 : -1) * pulled(string);
    return ahead;
  });
}
