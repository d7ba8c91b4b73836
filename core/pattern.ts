/** Where the mains start and finish, on which side the crosses finish, and where the knots fall. */
import type { Hole } from './holes';
import type { End, Side } from './outline';

export const opposite = (end: End): End => (end === 'head' ? 'throat' : 'head');
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/**
 * The end of the centre loop. With an even number of bridge holes a side the loop is at the head,
 * with an odd number at the throat: then no outside run leaps the open throat from the bridge to
 * the shoulder. Common practice, no source.
 */
export const mainsStart = (bridgeHoles: number): End =>
  (bridgeHoles / 2) % 2 === 0 ? 'head' : 'throat';

/** Each main takes the string to the other end: an even number a side ends where it started. */
export const mainsFinish = (start: End, mainsPerSide: number): End =>
  mainsPerSide % 2 === 0 ? start : opposite(start);

/** An even number of crosses finishes on the side it started from, an odd number on the other. */
export const crossFinish = (start: Side, crosses: number): Side =>
  crosses % 2 === 0 ? start : otherSide(start);

export interface Knot {
  readonly piece: 'mains' | 'crosses';
  readonly end: End;
  readonly side: Side;
  /** The hole of the last string, from which the tail runs to the knot. */
  readonly from: Hole;
  /** The tie-off hole. */
  readonly hole: Hole;
}

interface KnotNeed {
  readonly piece: Knot['piece'];
  readonly end: End;
  readonly side: Side;
  readonly from: Hole;
}

/**
 * The tie-off hole for each tail: the nearest one at its end that no other tail of that side has
 * taken. Where the frame names none, the nearest main's hole towards the centre line stands in.
 */
export function knotsAt(holes: readonly Hole[], needs: readonly KnotNeed[]): readonly Knot[] {
  const taken = new Set<string>();
  return needs.map((need) => {
    const free = holes.filter(
      (hole) =>
        hole.end === need.end && hole !== need.from && !taken.has(`${need.side} ${hole.label}`),
    );
    const named = free.filter((hole) => hole.tieOff);
    const inwards = free.filter(
      (hole) => hole.main !== undefined && hole.number < need.from.number,
    );
    const hole =
      nearest(named, need.from) ?? nearest(inwards, need.from) ?? nearest(free, need.from);
    if (!hole) throw new Error(`No hole is left at the ${need.end} for a knot.`);
    taken.add(`${need.side} ${hole.label}`);
    return { ...need, hole };
  });
}

const nearest = (holes: readonly Hole[], from: Hole): Hole | undefined =>
  holes.reduce<Hole | undefined>(
    (best, hole) =>
      !best || Math.abs(hole.arc - from.arc) < Math.abs(best.arc - from.arc) ? hole : best,
    undefined,
  );
