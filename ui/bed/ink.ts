/** The bed as SVG path data, in millimetres with y downwards; computed once per bed and path. */
import { crossName, mainName, type StringName } from '@/core/terms/string-name';
import { curveCatmullRom, line } from 'd3-shape';
import type { Bed } from '@/core/frame/bed';
import type { Hole } from '@/core/frame/holes';
import { passageMm } from '@/core/cut/lengths';
import { halfPerimeter, offsetRun } from '@/core/frame/outline';
import type { Side } from '@/core/terms/ends';
import { mainIsOver, mainsAcross, meets } from '@/core/path/path';
import { type Run } from '@/core/path/segments';

export interface Point {
  readonly x: number;
  readonly y: number;
}

const smooth = line<Point>(
  (p) => p.x,
  (p) => -p.y,
).curve(curveCatmullRom);
const straight = line<Point>(
  (p) => p.x,
  (p) => -p.y,
);

const sign = (side: Side): 1 | -1 => (side === 'left' ? -1 : 1);

const holePoint = (hole: Hole, side: Side): Point => ({ x: sign(side) * hole.x, y: hole.y });

/** The closed curve at a distance outside the inner rim. */
export function rimLine(bed: Bed, offset: number): string {
  const half = offsetRun(bed.outline, 0, halfPerimeter(bed.outline), offset);
  const other = half.toReversed().map(({ x, y }) => ({ x: -x, y }));
  return `${straight([...half, ...other]) ?? ''}Z`;
}

/** The point outside a hole, along the rim's normal. */
export function outside(bed: Bed, hole: Hole, side: Side, offset: number): Point {
  const [p] = offsetRun(bed.outline, hole.arc, hole.arc, offset);
  return { x: sign(side) * (p?.x ?? 0), y: p?.y ?? 0 };
}

export interface StringLine {
  readonly name: StringName;
  readonly kind: 'main' | 'cross';
  readonly from: Point;
  readonly to: Point;
  readonly d: string;
  /** For a main, short pieces of it where it lies over a cross. */
  readonly over: string;
}

/** How far a piece of main that lies over reaches to either side of the cross, mm. */
const OVER_REACH = 2.9;

/** Every string as a straight line between its holes: mains from left to right, crosses from the head down. */
export function stringLines(bed: Bed): readonly StringLine[] {
  const mains = mainsAcross(bed.mainsPerSide).map(({ main, side }): StringLine => {
    const from = holePoint(bed.mainHoles.head[main - 1] as Hole, side);
    const to = holePoint(bed.mainHoles.throat[main - 1] as Hole, side);
    return {
      name: mainName(main, side),
      kind: 'main',
      from,
      to,
      d: straight([from, to]) ?? '',
      over: overPieces(bed, main, side, from, to),
    };
  });
  const crosses = bed.crossHoles.map((hole, i): StringLine => {
    const [from, to] = [holePoint(hole, 'left'), holePoint(hole, 'right')];
    return {
      name: crossName(i + 1),
      kind: 'cross',
      from,
      to,
      d: straight([from, to]) ?? '',
      over: '',
    };
  });
  return [...mains, ...crosses];
}

function overPieces(bed: Bed, main: number, side: Side, top: Point, bottom: Point): string {
  const at = (y: number): Point => ({
    x: top.x + ((y - top.y) / (bottom.y - top.y)) * (bottom.x - top.x),
    y,
  });
  return bed.crossHoles
    .flatMap((hole, i) =>
      meets(bed, main, i + 1) && mainIsOver(main, side, i + 1, bed.mainsPerSide)
        ? [straight([at(hole.y + OVER_REACH), at(hole.y - OVER_REACH)]) ?? '']
        : [],
    )
    .join('');
}

/** Distance of a run from the inner rim: mains nearer, crosses a line further out, two lanes of each, mm. */
const LANE_MM = 1.6;
const CROSSES_FURTHER_MM = 3.2;

/** An outside or tie-off run, drawn along the groove in its own lane. */
export function runLine(
  bed: Bed,
  { from, to }: Run,
  piece: 'mains' | 'crosses',
  lane: 0 | 1,
): string {
  const depth =
    passageMm(bed.spec.sport) + (piece === 'crosses' ? CROSSES_FURTHER_MM : 0) + lane * LANE_MM;
  const start = holePoint(from.hole, from.side);
  const end = holePoint(to.hole, to.side);
  let along: Point[];
  if (from.side === to.side) {
    along = offsetRun(bed.outline, from.hole.arc, to.hole.arc, depth).map(({ x, y }) => ({
      x: sign(from.side) * x,
      y,
    }));
  } else {
    const middle = from.hole.end === 'head' ? 0 : halfPerimeter(bed.outline);
    const out = offsetRun(bed.outline, from.hole.arc, middle, depth);
    const back = offsetRun(bed.outline, middle, to.hole.arc, depth);
    along = [
      ...out.map(({ x, y }) => ({ x: sign(from.side) * x, y })),
      ...back.slice(1).map(({ x, y }) => ({ x: sign(to.side) * x, y })),
    ];
  }
  return smooth([start, ...along, end]) ?? '';
}
