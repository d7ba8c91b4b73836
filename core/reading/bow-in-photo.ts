/** How far a string bows on a photograph, from three points on it. */
import { failure, success, type Result } from '../terms/result';
import { STRAIGHT_MM, type BedSeen } from './seen';

/** A point of a photograph, to the right and downwards; in what unit makes no difference. */
export interface PhotoPoint {
  readonly x: number;
  readonly y: number;
}

/**
 * The bow of a cross between two points of the rim, from where its middle lies; the photograph has the head up. Perspective is left
 * out: it is taken from above the middle.
 *
 * @param chordMm how long the cross is from rim to rim, which gives the photograph its measure
 *
 * Errors: ends that nearly meet, or a middle that is none.
 *
 * @example
 * bowInPhoto({ left: { x: 0, y: 100 }, middle: { x: 100, y: 96 }, right: { x: 200, y: 100 } }, 240).value // { towards: 'head', mm: 4.8 }
 */
export function bowInPhoto(
  {
    left,
    middle,
    right,
  }: { readonly left: PhotoPoint; readonly middle: PhotoPoint; readonly right: PhotoPoint },
  chordMm: number,
): Result<NonNullable<BedSeen['crossBow']>> {
  const [dx, dy] = [right.x - left.x, right.y - left.y];
  const long = Math.hypot(dx, dy);
  const along = (dx * (middle.x - left.x) + dy * (middle.y - left.y)) / (long * long);
  // Its middle lies in the middle half.
  if (!(long > 0) || !(along > 0.25 && along < 0.75)) return failure('photo.no middle');
  // Above the line from left to right is towards the head.
  const above = (dy * (middle.x - left.x) - dx * (middle.y - left.y)) / long;
  const mm = Math.round((10 * above * chordMm) / long) / 10;
  if (Math.abs(mm) > chordMm / 6) return failure('photo.no middle');
  if (Math.abs(mm) < STRAIGHT_MM) return success({ towards: 'neither', mm: 0 });
  return success({ towards: mm > 0 ? 'head' : 'throat', mm: Math.abs(mm) });
}
