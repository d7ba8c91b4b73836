/**
 * The way of the string, by every method: each piece as an ordered list of segments from one free
 * tail to the other, the order in which the strings are pulled, and the knots.
 */
import { crossName, mainName, type StringName } from '../terms/string-name';
import type { Bed } from '../frame/bed';
import type { Hole } from '../frame/holes';
import type { Method } from '../terms/method';
import { SIDES, opposite, otherSide, type End, type Side } from '../terms/ends';
import {
  isRun,
  type HolePlace,
  type InsideString,
  type Piece,
  type Run,
  type Segment,
} from './segments';
import { chooseKnots, type Knot } from './tie-off';

export interface Path {
  readonly method: Method;
  /** The side that stops first; the long side goes on into the crosses. Of no effect in two pieces. */
  readonly shortSide: Side;
  readonly pieces: readonly Piece[];
  /** Strings in the order of the pull, the mains a side at a time from the centre. */
  readonly order: readonly StringName[];
  readonly crossStart: Side;
  readonly crossFinish: Side;
  /** Crosses that are strung in one go; the rest belongs to the mains' part of the piece. */
  readonly crossCount: number;
  /** The end that the crosses start from. */
  readonly crossesFrom: End;
  readonly knots: readonly Knot[];
}

export interface PathChoice {
  readonly method: Method;
  readonly shortSide: Side;
  /** Where the first cross of a two-piece job starts; other methods decide it by their short side. */
  readonly crossStart: Side;
}

/** Mains counted from the left edge to the right, 0 first. */
const columnOf = (main: number, side: Side, perSide: number): number =>
  side === 'left' ? perSide - main : perSide + main - 1;

/**
 * Whether the main lies over the cross, seen from the face. The weave is a chequerboard, so it
 * alternates along every string and from each string to the next.
 *
 * @example
 * mainIsOver(1, 'left', 1, 8) !== mainIsOver(1, 'left', 2, 8) // true
 */
export const mainIsOver = (main: number, side: Side, cross: number, perSide: number): boolean =>
  (columnOf(main, side, perSide) + cross) % 2 === 0;

/**
 * Whether a main and a cross meet inside the head. A cross in a skipped hole runs outside the
 * mains whose holes lie beyond it, and in a shared hole the two only touch at the rim.
 *
 * @example
 * meets(usual.bed, 1, 10) // true
 */
export function meets(bed: Bed, main: number, cross: number): boolean {
  const at = (bed.crossHoles[cross - 1] as Hole).arc;
  return (
    (bed.mainHoles.head[main - 1] as Hole).arc < at &&
    at < (bed.mainHoles.throat[main - 1] as Hole).arc
  );
}

/**
 * Mains of the whole bed from left to right.
 *
 * @example
 * mainsAcross(2).map(({ main, side }) => main + side[0]) // ['2l', '1l', '1r', '2r']
 */
export function mainsAcross(
  perSide: number,
): readonly { readonly main: number; readonly side: Side }[] {
  const numbers = Array.from({ length: perSide }, (_, i) => i + 1);
  return [
    ...numbers.toReversed().map((main) => ({ main, side: 'left' as const })),
    ...numbers.map((main) => ({ main, side: 'right' as const })),
  ];
}

/** Mains of a side in the order in which they are strung: the outer two change places on some frames. */
function mainOrder(bed: Bed): readonly number[] {
  const order = Array.from({ length: bed.mainsPerSide }, (_, i) => i + 1);
  if (!bed.spec.stringing.reversedOuterMains) return order;
  return [...order.slice(0, -2), bed.mainsPerSide, bed.mainsPerSide - 1];
}

function mainString(bed: Bed, main: number, side: Side, to: End): InsideString {
  const at = (end: End): HolePlace => ({ hole: bed.mainHoles[end][main - 1] as Hole, side });
  const crosses = bed.crossHoles.map((_, i) => i + 1).filter((cross) => meets(bed, main, cross));
  return {
    kind: 'inside',
    string: mainName(main, side),
    from: at(opposite(to)),
    to: at(to),
    crossings: (to === 'throat' ? crosses : crosses.toReversed()).map((cross) => ({
      string: crossName(cross),
      over: mainIsOver(main, side, cross, bed.mainsPerSide),
    })),
  };
}

/** The mains of a side from the centre loop outwards: the first goes to the far end, the next comes back. */
const mainsOut = (bed: Bed, side: Side): readonly InsideString[] =>
  mainOrder(bed).map((main, i) =>
    mainString(bed, main, side, i % 2 === 0 ? opposite(bed.mainsStart) : bed.mainsStart),
  );

function crossString(bed: Bed, cross: number, from: Side): InsideString {
  const hole = bed.crossHoles[cross - 1] as Hole;
  const across = mainsAcross(bed.mainsPerSide).filter(({ main }) => meets(bed, main, cross));
  return {
    kind: 'inside',
    string: crossName(cross),
    from: { hole, side: from },
    to: { hole, side: otherSide(from) },
    crossings: (from === 'left' ? across : across.toReversed()).map(({ main, side }) => ({
      string: mainName(main, side),
      over: !mainIsOver(main, side, cross, bed.mainsPerSide),
    })),
  };
}

/** Crosses one after the other, each starting on the side where the one before arrived. */
const crossesFromSide = (
  bed: Bed,
  numbers: readonly number[],
  start: Side,
): readonly InsideString[] =>
  numbers.map((cross, i) => crossString(bed, cross, i % 2 === 0 ? start : otherSide(start)));

/** The same strings walked from the other end. */
const turned = (strings: readonly InsideString[]): readonly InsideString[] =>
  strings.toReversed().map((each) => ({
    ...each,
    from: each.to,
    to: each.from,
    crossings: each.crossings.toReversed(),
  }));

interface Strand {
  readonly name: Piece['name'];
  /** From one end of the piece to the other. */
  readonly strings: readonly InsideString[];
}

interface Course {
  readonly strands: readonly Strand[];
  /** What is pulled after the mains of both sides that are strung in pairs. */
  readonly paired: Record<Side, readonly InsideString[]>;
  readonly after: readonly InsideString[];
  readonly crosses: readonly InsideString[];
}

function courseOf(bed: Bed, { method, shortSide, crossStart }: PathChoice): Course {
  const longSide = otherSide(shortSide);
  const out = { left: mainsOut(bed, 'left'), right: mainsOut(bed, 'right') };
  const down = bed.crossHoles.map((_, i) => i + 1);
  const whole = (strings: readonly InsideString[]): Strand => ({ name: 'whole', strings });
  switch (method) {
    case 'two-piece': {
      const numbers = crossesEnd(bed) === 'throat' ? down.toReversed() : down;
      const crosses = crossesFromSide(bed, numbers, crossStart);
      return {
        strands: [
          { name: 'mains', strings: [...turned(out.left), ...out.right] },
          { name: 'crosses', strings: crosses },
        ],
        paired: out,
        after: [],
        crosses,
      };
    }
    case 'one-piece':
    case 'bottom-up': {
      const numbers = method === 'bottom-up' ? down.toReversed() : down;
      const crosses = crossesFromSide(bed, numbers, longSide);
      return {
        strands: [whole([...turned(out[shortSide]), ...out[longSide], ...crosses])],
        paired: out,
        after: [],
        crosses,
      };
    }
    case 'one-piece-top-cross': {
      const top = crossString(bed, 1, shortSide);
      const crosses = crossesFromSide(bed, down.slice(1), longSide);
      return {
        strands: [whole([...turned([...out[shortSide], top]), ...out[longSide], ...crosses])],
        paired: out,
        after: [top],
        crosses,
      };
    }
    case 'around-the-frame': {
      const short = out[shortSide].slice(0, -1);
      const bottom = crossString(bed, down.length, longSide);
      const climb = mainString(bed, bed.mainsPerSide, shortSide, 'head');
      const crosses = crossesFromSide(bed, down.slice(0, -1), shortSide);
      return {
        strands: [whole([...turned(short), ...out[longSide], bottom, climb, ...crosses])],
        paired: { ...out, [shortSide]: short },
        after: [bottom, climb],
        crosses,
      };
    }
  }
}

/**
 * The end that the crosses of a frame start from, as its maker has it.
 *
 * @example
 * crossesEnd(usual.bed) // 'head'
 */
export const crossesEnd = (bed: Bed): End => bed.spec.stringing.crossesFrom ?? 'head';

/** Mains by turns from the centre, the side that goes on first; then the rest, then the crosses. */
function pullOrder({ paired, after, crosses }: Course, shortSide: Side): readonly StringName[] {
  const sides = [otherSide(shortSide), shortSide];
  const most = Math.max(...SIDES.map((side) => paired[side].length));
  const mains = Array.from({ length: most }, (_, i) =>
    sides.flatMap((side) => paired[side][i]?.string ?? []),
  ).flat();
  return [...mains, ...[...after, ...crosses].map(({ string }) => string)];
}

/** Strings joined by their outside runs. */
function joined(strings: readonly InsideString[]): readonly Segment[] {
  return strings.flatMap((each, i): readonly Segment[] => {
    const before = strings[i - 1];
    return before ? [{ kind: 'outside', from: before.to, to: each.from }, each] : [each];
  });
}

const tail = (knot: Knot): { run: Segment; end: Segment } => {
  const to = { hole: knot.hole, side: knot.side };
  return {
    run: { kind: 'tie-off run', from: { hole: knot.from, side: knot.side }, to },
    end: { kind: 'tail', at: to },
  };
};

/**
 * The way through a bed by a method and a choice of sides. Whether the frame takes the method is
 * for `methodProblem` to say; here any bed is threaded as asked.
 *
 * @example
 * pathThrough(usual.bed, usual.job.choice).order.length // 35
 */
export function pathThrough(bed: Bed, choice: PathChoice): Path {
  const course = courseOf(bed, choice);
  const order = pullOrder(course, choice.shortSide);
  const knots = chooseKnots(
    bed,
    course.strands.flatMap(({ name, strings }) => {
      const [first, last] = [strings[0] as InsideString, strings.at(-1) as InsideString];
      return [
        { string: first.string, at: first.from, late: name === 'crosses' },
        { string: last.string, at: last.to, late: false },
      ];
    }),
    order,
    course.strands.flatMap(({ strings }) => joined(strings).filter(isRun)),
  );
  const pieces = course.strands.map(({ name, strings }, i): Piece => {
    const [start, finish] = [tail(knots[2 * i] as Knot), tail(knots[2 * i + 1] as Knot)];
    const { from, to } = start.run as Extract<Segment, { kind: 'tie-off run' }>;
    return {
      name,
      segments: [
        start.end,
        { kind: 'tie-off run', from: to, to: from },
        ...joined(strings),
        finish.run,
        finish.end,
      ],
    };
  });
  const crosses = course.crosses;
  return {
    method: choice.method,
    shortSide: choice.shortSide,
    pieces,
    order,
    crossStart: (crosses[0] as InsideString).from.side,
    crossFinish: (crosses.at(-1) as InsideString).to.side,
    crossCount: crosses.length,
    crossesFrom: (crosses[0] as InsideString).from.hole.end,
    knots,
  };
}

/**
 * All outside runs of a path, tie-off runs with them.
 *
 * @example
 * runsOf(usual.path).length // 37
 */
export const runsOf = (path: Path): readonly Run[] =>
  path.pieces.flatMap(({ segments }) => segments.filter(isRun));

/**
 * The strings that come right before a knot, each losing a little at it.
 *
 * @example
 * beforeKnots(usual.path) // ['M8L', 'M8R', 'C1', 'C19']
 */
export const beforeKnots = (path: Path): readonly StringName[] =>
  path.knots.map(({ string }) => string);
