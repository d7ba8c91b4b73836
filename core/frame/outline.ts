/**
 * The inside of the head as a smooth closed curve, symmetric left to right. x runs to the right
 * from the centre line, y up from the middle of the head to its tip; mm. Only the right half is
 * kept, from the head (top, arc 0) to the throat (bottom), as points dense enough that straight
 * interpolation between them is good to a thousandth of a millimetre.
 */
import type { Mm } from '../measure/quantities';
import { z } from 'zod';
import { clampedSpline } from '../maths/spline';
import { failure, success, type Result } from '../terms/result';
import type { WidthReading } from '../measure/parsing';
import type { End } from '../terms/ends';

export const outlineFamilySchema = z.enum(['oval', 'squared oval', 'egg', 'teardrop']);
export type OutlineFamily = z.infer<typeof outlineFamilySchema>;
export const OUTLINE_FAMILIES: readonly OutlineFamily[] = outlineFamilySchema.options;

export interface RimPoint {
  readonly x: number;
  readonly y: number;
  /** Distance along the rim from the middle of the head, mm. */
  readonly arc: number;
}

export interface Outline {
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly half: readonly RimPoint[];
  /** Index in `half` of the widest place, which parts the head's arch from the throat's. */
  readonly widest: number;
}

/**
 * x = A |sin t|^(2/n) (1 + k cos t), y = b |cos t|^(2/n), t from the head (0) to the throat (π).
 * n = 2, k = 0 is an ellipse; a larger n squares the corners (Lamé's superellipse); k moves the
 * widest place towards the head, and at 0.5 makes the narrow throat of a teardrop.
 */
const SHAPES: Record<OutlineFamily, { readonly n: number; readonly k: number }> = {
  oval: { n: 2, k: 0 },
  'squared oval': { n: 2.3, k: 0 },
  egg: { n: 2, k: 0.14 },
  teardrop: { n: 2, k: 0.5 },
};

const STEPS = 1440;

function outlineFrom(
  lengthMm: Mm,
  widthMm: Mm,
  xy: readonly (readonly [number, number])[],
): Outline {
  let arc = 0;
  const half = xy.map(([x, y], i): RimPoint => {
    const before = xy[i - 1];
    if (before) arc += Math.hypot(x - before[0], y - before[1]);
    return { x, y, arc };
  });
  const widest = half.reduce((best, p, i) => (p.x > (half[best] as RimPoint).x ? i : best), 0);
  return { lengthMm, widthMm, half, widest };
}

/**
 * The outline of a family, stretched to an inner length and width in mm.
 * Its widest place is exactly `widthMm` wide.
 *
 * @example
 * perimeter(familyOutline(300, 300, 'oval')) // 942.5
 */
export function familyOutline(lengthMm: Mm, widthMm: Mm, family: OutlineFamily): Outline {
  const { n, k } = SHAPES[family];
  const unit: [number, number][] = [];
  for (let i = 0; i <= STEPS; i++) {
    const t = (Math.PI * i) / STEPS;
    const x = Math.sin(t) ** (2 / n) * (1 + k * Math.cos(t));
    const y = Math.sign(Math.cos(t)) * Math.abs(Math.cos(t)) ** (2 / n);
    unit.push([i === STEPS ? 0 : x, y]);
  }
  const scaleX = widthMm / 2 / Math.max(...unit.map(([x]) => x));
  return outlineFrom(
    lengthMm,
    widthMm,
    unit.map(([x, y]) => [x * scaleX, (y * lengthMm) / 2]),
  );
}

/**
 * The outline through measured widths: a clamped cubic spline of the distance from the middle of
 * the head against direction, so that the curve is smooth and level at the head and the throat.
 */
export function measuredOutline(lengthMm: Mm, readings: readonly WidthReading[]): Result<Outline> {
  if (readings.length < 3) return failure('outline.too few');
  const polar = [
    { angle: 0, radius: lengthMm / 2 },
    ...readings.map(({ fromHeadMm, widthMm }) => {
      const y = lengthMm / 2 - fromHeadMm;
      return { angle: Math.atan2(widthMm / 2, y), radius: Math.hypot(widthMm / 2, y) };
    }),
    { angle: Math.PI, radius: lengthMm / 2 },
  ];
  for (const [i, { fromHeadMm, widthMm }] of readings.entries()) {
    if (fromHeadMm <= 0 || fromHeadMm >= lengthMm || widthMm <= 0)
      return failure('outline.outside', { reading: `${fromHeadMm}:${widthMm}`, length: lengthMm });
    if ((polar[i + 1]?.angle ?? 0) <= (polar[i]?.angle ?? 0)) return failure('outline.order');
  }
  const radius = clampedSpline(
    polar.map((p) => p.angle),
    polar.map((p) => p.radius),
  );
  const xy: [number, number][] = [];
  for (let i = 0; i <= STEPS; i++) {
    const angle = (Math.PI * i) / STEPS;
    const r = radius(angle);
    xy.push([i === STEPS ? 0 : r * Math.sin(angle), r * Math.cos(angle)]);
  }
  const widest = Math.max(...xy.map(([x]) => x));
  const peak = xy.findIndex(([x]) => x === widest);
  const bulges = xy.some(
    ([x, y], i) =>
      i > 0 && (y >= (xy[i - 1]?.[1] ?? Infinity) || i <= peak !== x > (xy[i - 1]?.[0] ?? 0)),
  );
  if (bulges) return failure('outline.dented');
  return success(outlineFrom(lengthMm, 2 * widest, xy));
}

/**
 * Area enclosed by the inside of the head, mm².
 *
 * @example
 * strungArea(familyOutline(336, 248, 'oval')) / 645.16 // 101.4
 */
export function strungArea({ half }: Outline): number {
  let doubled = 0;
  for (let i = 1; i < half.length; i++) {
    const [p, q] = [half[i - 1] as RimPoint, half[i] as RimPoint];
    doubled += q.x * p.y - p.x * q.y;
  }
  return Math.abs(doubled);
}

/**
 * Arc length of half the inside rim, head to throat, mm.
 *
 * @example
 * Math.round(halfPerimeter(usual.bed.outline) / 10) // 46
 */
export const halfPerimeter = ({ half }: Outline): number => (half.at(-1) as RimPoint).arc;

/** The whole way round the inside of the head, mm. */
export const perimeter = (outline: Outline): number => 2 * halfPerimeter(outline);

/** Index of the first point of `half` for which `reached` holds; `reached` must switch once. */
function firstIndex(
  half: readonly RimPoint[],
  from: number,
  to: number,
  reached: (p: RimPoint) => boolean,
): number {
  let [low, high] = [from, to];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reached(half[middle] as RimPoint)) high = middle;
    else low = middle + 1;
  }
  return low;
}

function between(p: RimPoint, q: RimPoint, share: number): RimPoint {
  const s = Math.min(1, Math.max(0, share));
  return { x: p.x + s * (q.x - p.x), y: p.y + s * (q.y - p.y), arc: p.arc + s * (q.arc - p.arc) };
}

/**
 * The point of the right half at a distance along the rim from the middle of the head.
 *
 * @example
 * rimAtArc(usual.bed.outline, 0).y // 168
 */
export function rimAtArc({ half }: Outline, arc: number): RimPoint {
  const i = Math.max(
    1,
    firstIndex(half, 0, half.length - 1, (p) => p.arc >= arc),
  );
  const [p, q] = [half[i - 1] as RimPoint, half[i] as RimPoint];
  return between(p, q, (arc - p.arc) / (q.arc - p.arc || 1));
}

/** The point of the right half at height `y`. */
export function rimAtY({ half }: Outline, y: number): RimPoint {
  const i = Math.max(
    1,
    firstIndex(half, 0, half.length - 1, (p) => p.y <= y),
  );
  const [p, q] = [half[i - 1] as RimPoint, half[i] as RimPoint];
  return between(p, q, (y - p.y) / (q.y - p.y || 1));
}

/** The point of the right half at distance `x` from the centre line, in the head's arch or the throat's. */
export function rimAtX({ half, widest }: Outline, x: number, end: End): RimPoint {
  const i =
    end === 'head'
      ? Math.max(
          1,
          firstIndex(half, 0, widest, (p) => p.x >= x),
        )
      : Math.max(
          widest + 1,
          firstIndex(half, widest, half.length - 1, (p) => p.x <= x),
        );
  const [p, q] = [half[i - 1] as RimPoint, half[i] as RimPoint];
  return between(p, q, (x - p.x) / (q.x - p.x || 1));
}

/** The outward unit normal of the right half at a distance along the rim. */
export function outwardNormal(
  outline: Outline,
  arc: number,
): { readonly x: number; readonly y: number } {
  const last = halfPerimeter(outline);
  const step = last / STEPS;
  if (arc <= step) return { x: 0, y: 1 };
  if (arc >= last - step) return { x: 0, y: -1 };
  const [p, q] = [rimAtArc(outline, arc - step), rimAtArc(outline, arc + step)];
  const length = Math.hypot(q.x - p.x, q.y - p.y);
  return { x: -(q.y - p.y) / length, y: (q.x - p.x) / length };
}

/**
 * The points of the right half moved outwards by `offset`, between two distances along the rim.
 *
 * @example
 * offsetRun(usual.bed.outline, 10, 40, 5).length > 1 // true
 */
export function offsetRun(
  outline: Outline,
  fromArc: number,
  toArc: number,
  offset: number,
): readonly { readonly x: number; readonly y: number }[] {
  const pieces = Math.max(2, Math.ceil(Math.abs(toArc - fromArc) / 3));
  return Array.from({ length: pieces + 1 }, (_, i) => {
    const arc = fromArc + ((toArc - fromArc) * i) / pieces;
    const p = rimAtArc(outline, arc);
    const n = outwardNormal(outline, arc);
    return { x: p.x + n.x * offset, y: p.y + n.y * offset };
  });
}

/**
 * Length of a polyline, mm.
 *
 * @example
 * polylineLength([{ x: 0, y: 0 }, { x: 3, y: 4 }]) // 5
 */
export const polylineLength = (
  points: readonly { readonly x: number; readonly y: number }[],
): number =>
  points.reduce((sum, q, i) => {
    const p = points[i - 1];
    return p ? sum + Math.hypot(q.x - p.x, q.y - p.y) : sum;
  }, 0);
