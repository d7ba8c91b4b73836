import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from '@/core/bed';
import { twoPiecePath } from '@/core/path';
import { frameSpec } from '@/core/testing/frame-spec';
import { lineOf, mainsOver, outside, rimLine, runLine, stringLines } from './ink';

const { bed } = studyFrame(frameSpec({ head: [7, 9], throat: [7, 9] })) as { bed: Bed };
const numbers = (path: string) => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('the drawing', () => {
  it('has every string once, at its true length', () => {
    const lines = stringLines(bed);
    expect(lines).toHaveLength(16 + 19);
    expect(new Set(lines.map(({ name }) => name)).size).toBe(35);
    // Source: the equation of an ellipse; the tenth cross of 19 lies across the middle.
    const middle = lines.find(({ name }) => name === 'C10');
    expect((middle?.to.x ?? 0) - (middle?.from.x ?? 0)).toBeCloseTo(248, 0);
  });

  it('is to scale: the rim is 248 mm wide and 336 mm long', () => {
    const points = numbers(rimLine(bed, 0));
    const x = points.filter((_, i) => i % 2 === 0);
    const y = points.filter((_, i) => i % 2 === 1);
    expect(Math.max(...x) - Math.min(...x)).toBeCloseTo(248, 0);
    expect(Math.max(...y) - Math.min(...y)).toBeCloseTo(336, 0);
  });

  it('is drawn head up: heights are turned over for the screen', () => {
    const main = stringLines(bed).find(({ name }) => name === 'M1R');
    const [, head, , throat] = numbers(main ? lineOf(main) : '');
    expect(head).toBeLessThan(throat ?? 0);
  });

  // A chequerboard: half of the crossings, and a cross in hole 7 or 9 misses the mains beyond it.
  it('lays the main over at every second crossing', () => {
    const crossings = 16 * 19 - 2 * (4 + 2);
    expect(mainsOver(bed, 3).match(/M/g)).toHaveLength(crossings / 2);
  });

  it('keeps outside runs outside the rim', () => {
    const path = twoPiecePath(bed, 'left');
    for (const segment of [...path.mains.segments, ...path.crosses.segments]) {
      if (segment.kind !== 'outside') continue;
      const line = numbers(runLine(bed, segment, 0));
      const half = Math.floor(line.length / 4) * 2;
      const [x = 0, y = 0] = [line[half], line[half + 1]];
      expect((x / 124) ** 2 + (y / 168) ** 2).toBeGreaterThan(1);
    }
  });

  it('mirrors left and right', () => {
    const hole = bed.mainHoles.head[3];
    if (!hole) throw new Error('no hole');
    const [left, right] = [outside(bed, hole, 'left', 10), outside(bed, hole, 'right', 10)];
    expect(left.x).toBeCloseTo(-right.x, 9);
    expect(left.y).toBeCloseTo(right.y, 9);
  });
});
