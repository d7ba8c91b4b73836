/** What the way of a piece of string is made of. */
import type { StringName } from '../terms/string-name';
import type { Hole } from '../frame/holes';
import type { Side } from '../terms/ends';

export interface HolePlace {
  readonly hole: Hole;
  readonly side: Side;
}

export interface Crossing {
  /** The string that is crossed: M8L, C4. */
  readonly string: StringName;
  readonly over: boolean;
}

/** A string lies on the face inside the hoop, weaving; a run lies in the groove outside it. */
export type Segment =
  | { readonly kind: 'tail'; readonly at: HolePlace }
  | { readonly kind: 'tie-off run'; readonly from: HolePlace; readonly to: HolePlace }
  | { readonly kind: 'outside'; readonly from: HolePlace; readonly to: HolePlace }
  | {
      readonly kind: 'inside';
      /** `M3L`, `M3R` or `C4`. */
      readonly string: StringName;
      readonly from: HolePlace;
      readonly to: HolePlace;
      readonly crossings: readonly Crossing[];
    };

export type InsideString = Extract<Segment, { kind: 'inside' }>;
export type Run = Extract<Segment, { kind: 'outside' | 'tie-off run' }>;

export interface Piece {
  /** The two of a two-piece job, or the one of all others. */
  readonly name: 'mains' | 'crosses' | 'whole';
  readonly segments: readonly Segment[];
}

/**
 * @example
 * isRun(usual.path.pieces[0].segments[0]) // false
 */
export const isRun = (segment: Segment): segment is Run =>
  segment.kind === 'outside' || segment.kind === 'tie-off run';

/**
 * @example
 * usual.path.pieces[1].segments.filter(isInside).length // 19
 */
export const isInside = (segment: Segment): segment is InsideString => segment.kind === 'inside';

/**
 * `7H left`.
 *
 * @example
 * placeName(usual.path.knots[0]) // '8H left'
 */
export const placeName = ({ hole, side }: HolePlace): string => `${hole.label} ${side}`;
