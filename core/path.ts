/**
 * The way of each piece of a two-piece job, as an ordered list of segments from one free tail to
 * the other. Two pieces: the mains from the centre loop to the last main on either side, the
 * crosses from the top one down.
 */
import type { Bed } from './bed';
import type { Hole } from './holes';
import type { End, Side } from './outline';
import { crossFinish, knotsAt, opposite, otherSide, type Knot } from './pattern';

export interface HolePlace {
  readonly hole: Hole;
  readonly side: Side;
}

export interface Crossing {
  /** Number of the string that is crossed, with its side when it is a main: M8L, C4. */
  readonly string: string;
  readonly over: boolean;
}

export type Segment =
  | { readonly kind: 'tail'; readonly at: HolePlace }
  | { readonly kind: 'tie-off run'; readonly from: HolePlace; readonly to: HolePlace }
  | { readonly kind: 'outside'; readonly from: HolePlace; readonly to: HolePlace }
  | {
      readonly kind: 'inside';
      /** `M3L`, `M3R` or `C4`. */
      readonly string: string;
      readonly from: HolePlace;
      readonly to: HolePlace;
      readonly crossings: readonly Crossing[];
    };

export interface Piece {
  readonly name: 'mains' | 'crosses';
  readonly segments: readonly Segment[];
}

export interface TwoPiecePath {
  readonly mains: Piece;
  readonly crosses: Piece;
  readonly crossStart: Side;
  readonly crossFinish: Side;
  readonly knots: readonly Knot[];
}

export const mainName = (main: number, side: Side): string =>
  `M${main}${side === 'left' ? 'L' : 'R'}`;
export const crossName = (cross: number): string => `C${cross}`;

/** Mains counted from the left edge to the right, 0 first. */
const columnOf = (main: number, side: Side, perSide: number): number =>
  side === 'left' ? perSide - main : perSide + main - 1;

/**
 * Whether the main lies over the cross, seen from the face. The weave is a chequerboard, so it
 * alternates along every string and from each string to the next.
 */
export const mainIsOver = (main: number, side: Side, cross: number, perSide: number): boolean =>
  (columnOf(main, side, perSide) + cross) % 2 === 0;

/**
 * Whether a main and a cross meet inside the head. A cross in a skipped hole runs outside the
 * mains whose holes lie beyond it, and in a shared hole the two only touch at the rim.
 */
export function meets(bed: Bed, main: number, cross: number): boolean {
  const at = (bed.crossHoles[cross - 1] as Hole).arc;
  return (
    (bed.mainHoles.head[main - 1] as Hole).arc < at &&
    at < (bed.mainHoles.throat[main - 1] as Hole).arc
  );
}

/** Mains of the whole bed from left to right. */
export function mainsAcross(
  perSide: number,
): readonly { readonly main: number; readonly side: Side }[] {
  const numbers = Array.from({ length: perSide }, (_, i) => i + 1);
  return [
    ...numbers.toReversed().map((main) => ({ main, side: 'left' as const })),
    ...numbers.map((main) => ({ main, side: 'right' as const })),
  ];
}

/** The end at which a main that leaves the centre loop arrives: M1 at the far end, M2 back again. */
const arrival = (start: End, main: number): End => (main % 2 === 1 ? opposite(start) : start);

function mainsOfSide(bed: Bed, side: Side): readonly Segment[] {
  const segments: Segment[] = [];
  const allCrosses = bed.crossHoles.map((_, i) => i + 1);
  for (let main = 1; main <= bed.mainsPerSide; main++) {
    const crosses = allCrosses.filter((cross) => meets(bed, main, cross));
    const end = arrival(bed.mainsStart, main);
    const at = (where: End, number: number): HolePlace => ({
      hole: bed.mainHoles[where][number - 1] as Hole,
      side,
    });
    if (main > 1)
      segments.push({
        kind: 'outside',
        from: at(opposite(end), main - 1),
        to: at(opposite(end), main),
      });
    segments.push({
      kind: 'inside',
      string: mainName(main, side),
      from: at(opposite(end), main),
      to: at(end, main),
      crossings: (end === 'throat' ? crosses : crosses.toReversed()).map((cross) => ({
        string: crossName(cross),
        over: mainIsOver(main, side, cross, bed.mainsPerSide),
      })),
    });
  }
  return segments;
}

/** The same way walked from its other end. */
function reversed(segments: readonly Segment[]): readonly Segment[] {
  return segments.toReversed().map((segment): Segment => {
    if (segment.kind === 'tail') return segment;
    const turned = { ...segment, from: segment.to, to: segment.from };
    return turned.kind === 'inside'
      ? { ...turned, crossings: turned.crossings.toReversed() }
      : turned;
  });
}

const tailTo = (knot: Knot): readonly Segment[] => {
  const to = { hole: knot.hole, side: knot.side };
  return [
    { kind: 'tie-off run', from: { hole: knot.from, side: knot.side }, to },
    { kind: 'tail', at: to },
  ];
};

function crossesDown(bed: Bed, start: Side): readonly Segment[] {
  const allMains = mainsAcross(bed.mainsPerSide);
  const segments: Segment[] = [];
  let side = start;
  for (const [i, hole] of bed.crossHoles.entries()) {
    const before = bed.crossHoles[i - 1];
    if (before)
      segments.push({ kind: 'outside', from: { hole: before, side }, to: { hole, side } });
    const from = side;
    side = otherSide(side);
    const across = allMains.filter(({ main }) => meets(bed, main, i + 1));
    segments.push({
      kind: 'inside',
      string: crossName(i + 1),
      from: { hole, side: from },
      to: { hole, side },
      crossings: (from === 'left' ? across : across.toReversed()).map(
        ({ main, side: mainSide }) => ({
          string: mainName(main, mainSide),
          over: !mainIsOver(main, mainSide, i + 1, bed.mainsPerSide),
        }),
      ),
    });
  }
  return segments;
}

/** The two-piece way through a bed, crosses starting at the head on the given side. */
export function twoPiecePath(bed: Bed, crossStart: Side): TwoPiecePath {
  const { crosses } = bed.spec.pattern;
  const finish = crossFinish(crossStart, crosses);
  const lastMain = bed.mainHoles[bed.mainsFinish].at(-1) as Hole;
  const topCross = bed.crossHoles[0] as Hole;
  const bottomCross = bed.crossHoles.at(-1) as Hole;
  const knots = knotsAt(bed.holes, [
    { piece: 'mains', end: bed.mainsFinish, side: 'left', from: lastMain },
    { piece: 'mains', end: bed.mainsFinish, side: 'right', from: lastMain },
    { piece: 'crosses', end: 'head', side: crossStart, from: topCross },
    { piece: 'crosses', end: 'throat', side: finish, from: bottomCross },
  ]);
  const [leftKnot, rightKnot, topKnot, bottomKnot] = knots as [Knot, Knot, Knot, Knot];
  const first = bed.mainHoles[bed.mainsStart][0] as Hole;
  return {
    mains: {
      name: 'mains',
      segments: [
        ...reversed([...mainsOfSide(bed, 'left'), ...tailTo(leftKnot)]),
        {
          kind: 'outside',
          from: { hole: first, side: 'left' },
          to: { hole: first, side: 'right' },
        },
        ...mainsOfSide(bed, 'right'),
        ...tailTo(rightKnot),
      ],
    },
    crosses: {
      name: 'crosses',
      segments: [
        ...reversed(tailTo(topKnot)),
        ...crossesDown(bed, crossStart),
        ...tailTo(bottomKnot),
      ],
    },
    crossStart,
    crossFinish: finish,
    knots,
  };
}
