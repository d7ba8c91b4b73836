import { describe, expect, it } from 'vitest';
import type { HolePositions } from './frame';
import { familyOutline, halfPerimeter } from './outline';
import { ruledArcs, ruledRowsOf } from './ruled';
import { bedOf, frameSpec, ruledRows } from '../testing/frame-spec';

const HEAD = { lengthMm: 336, widthMm: 248 };
const OUTLINE = familyOutline(336, 248, 'oval');
const MAINS = [6, 18, 30, 42.5, 55, 68, 81.5, 95];
const CROSSES = Array.from({ length: 19 }, (_, i) => 34 + i * 15);
const ROWS = ruledRows(HEAD, MAINS, CROSSES);
const arcsOf = (positions: HolePositions) => ruledArcs(frameSpec(HEAD), OUTLINE, positions);
const problemOf = (positions: HolePositions) => {
  const read = arcsOf(positions);
  return read.ok ? '' : `${read.field}: ${read.problem}`;
};
/** A point of the ellipse at an angle from the tip, from the centre line and below the tip. */
const pointAt = (angle: number): [number, number] => [
  124 * Math.sin(angle),
  168 - 168 * Math.cos(angle),
];

describe('holes off a ruler', () => {
  it('lie where the ellipse has them, in order round the rim', () => {
    const read = arcsOf(ROWS);
    const arcs = read.ok ? read.arcs : [];
    expect(arcs).toHaveLength(8 + 19 + 8);
    expect(arcs.toSorted((a, b) => a - b)).toEqual(arcs);
    expect(arcs.at(-1)).toBeLessThan(halfPerimeter(OUTLINE));
    // Source: the equation of an ellipse. 6 mm from the centre line the rim has hardly bent: 6 mm of it.
    expect(arcs[0]).toBeCloseTo(6, 1);
  });

  it('as points a little off the rim count as on it, and far off are refused', () => {
    const points = Array.from({ length: 12 }, (_, i) => pointAt(0.1 + i * 0.25));
    const on = arcsOf(points);
    const near = arcsOf(points.map(([x, y]): [number, number] => [x + 0.8, y]));
    if (!on.ok || !near.ok) throw new Error('refused');
    near.arcs.forEach((arc, i) => expect(Math.abs(arc - (on.arcs[i] ?? NaN))).toBeLessThan(1.2));
    expect(problemOf([...points.slice(0, 11), [40, 168]])).toContain('mm off the rim');
  });

  it.each<[string, HolePositions, string]>([
    ['a row left out', { ...ROWS, throat: [] }, 'throatMm: Rule all three rows'],
    ['a hole outside the head', { ...ROWS, head: [...ROWS.head, 130] }, 'headMm: A hole 130 mm'],
    ['a hole below the throat', { ...ROWS, side: [...ROWS.side, 340] }, 'sideMm: A hole 340 mm'],
    ['a hole in two rows at the head', { ...ROWS, side: [20, ...ROWS.side] }, 'in one row only'],
    ['a hole in two rows at the throat', { ...ROWS, side: [...ROWS.side, 325] }, 'throatMm: '],
    [
      'distances out of order',
      [10, 20, 15, 30, 40, 50, 60, 70],
      'number 3 of them lies before number 2',
    ],
    // Source: Ramanujan's perimeter, π(3·292 − √(628·540)) = 922.6 mm, halved.
    ['more than half the rim', [10, 20, 30, 40, 50, 60, 70, 500], 'half the rim is 461 mm'],
  ])('%s is refused at its row', (_, positions, part) => {
    expect(problemOf(positions)).toContain(part);
  });

  it('come back as rows, whichever way they were given', () => {
    const { holes } = bedOf({ ...HEAD, positionsMm: ROWS });
    const arcs = holes.map(({ arc }) => arc);
    expect(ruledRowsOf(frameSpec({ ...HEAD, positionsMm: ROWS }))).toEqual(ROWS);
    const rows = ruledRowsOf(frameSpec({ ...HEAD, positionsMm: arcs }));
    const again = arcsOf(rows as { head: number[]; side: number[]; throat: number[] });
    if (!again.ok) throw new Error(again.problem);
    again.arcs.forEach((arc, i) => expect(Math.abs(arc - (arcs[i] ?? NaN))).toBeLessThan(0.3));
    expect(ruledRowsOf(frameSpec())).toBeUndefined();
  });
});
