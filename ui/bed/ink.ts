/** The bed as SVG path data, in millimetres with y downwards; computed once per bed and path. */
import { curveCatmullRom, line } from 'd3';
import type { Bed } from '@/core/bed';
import type { Hole } from '@/core/holes';
import { passageMm } from '@/core/lengths';
import { halfPerimeter, offsetRun, type Side } from '@/core/outline';
import { crossName, mainIsOver, mainName, mainsAcross, meets, type Segment } from '@/core/path';

interface Point {
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
  readonly name: string;
  readonly kind: 'main' | 'cross';
  readonly from: Point;
  readonly to: Point;
}

/** Every string as a straight line between its holes: mains from left to right, crosses from the head down. */
export function stringLines(bed: Bed): readonly StringLine[] {
  const mains = mainsAcross(bed.mainsPerSide).map(({ main, side }): StringLine => ({
    name: mainName(main, side),
    kind: 'main',
    from: holePoint(bed.mainHoles.head[main - 1] as Hole, side),
    to: holePoint(bed.mainHoles.throat[main - 1] as Hole, side),
  }));
  const crosses = bed.crossHoles.map((hole, i): StringLine => ({
    name: crossName(i + 1),
    kind: 'cross',
    from: holePoint(hole, 'left'),
    to: holePoint(hole, 'right'),
  }));
  return [...mains, ...crosses];
}

export const lineOf = ({ from, to }: StringLine): string => straight([from, to]) ?? '';

/** Short pieces of main, one for each crossing where the main lies over the cross. */
export function mainsOver(bed: Bed, reach: number): string {
  const pieces: string[] = [];
  for (const { main, side } of mainsAcross(bed.mainsPerSide)) {
    const top = holePoint(bed.mainHoles.head[main - 1] as Hole, side);
    const bottom = holePoint(bed.mainHoles.throat[main - 1] as Hole, side);
    const at = (y: number): Point => ({
      x: top.x + ((y - top.y) / (bottom.y - top.y)) * (bottom.x - top.x),
      y,
    });
    for (const [i, hole] of bed.crossHoles.entries())
      if (meets(bed, main, i + 1) && mainIsOver(main, side, i + 1, bed.mainsPerSide))
        pieces.push(straight([at(hole.y + reach), at(hole.y - reach)]) ?? '');
  }
  return pieces.join('');
}

/** An outside or tie-off run, drawn along the groove at its own distance. */
export function runLine(
  bed: Bed,
  segment: Extract<Segment, { kind: 'outside' | 'tie-off run' }>,
  extra: number,
): string {
  const depth = passageMm(bed.spec.sport) + extra;
  const { from, to } = segment;
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
