import { describe, expect, it } from 'vitest';
import { pathThrough, runsOf } from '@/core/path/path';
import { bedOf } from '@/core/testing/frame-spec';
import { outside, rimLine, runLine, stringLines } from './ink';
import { stopsOf } from './walk';

const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
const path = pathThrough(bed, { method: 'two-piece', shortSide: 'left', crossStart: 'left' });
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
    const [, head, , throat] = numbers(main?.d ?? '');
    expect(head).toBeLessThan(throat ?? 0);
  });

  // A chequerboard: half of the crossings, and a cross in hole 7 or 9 misses the mains beyond it.
  it('lays the main over at every second crossing', () => {
    const crossings = 16 * 19 - 2 * (4 + 2);
    const over = stringLines(bed)
      .map((line) => line.over)
      .join('');
    expect(over.match(/M/g)).toHaveLength(crossings / 2);
  });

  it('keeps outside runs outside the rim', () => {
    for (const run of runsOf(path)) {
      const line = numbers(runLine(bed, run, 'mains', 0));
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

describe('the walk along the strings', () => {
  const stops = stopsOf(bed, path, 'metric');

  it('comes by every string and every run, in the order of the piece', () => {
    expect(stops.filter(({ string }) => string !== undefined)).toHaveLength(16 + 19);
    expect(stops).toHaveLength(16 + 15 + 2 + 19 + 18 + 2);
  });
  it('says a string with its length, its holes and its first crossing', () => {
    const cross = stops.find(({ string }) => string === 'C4');
    expect(cross?.words).toMatch(
      /^Cross 4: \d+ mm, from 12H right to 12H left, first (over|under) M8R$/,
    );
  });
  it('says what a run passes over', () => {
    expect(stops.map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/^Outside: \d+ mm, from 6H right to 8H right, over 7H$/),
    );
  });
  it('goes string by string where there is no path', () => {
    const plain = stopsOf(bed, undefined, 'metric');
    expect(plain).toHaveLength(16 + 19);
    expect(plain.find(({ string }) => string === 'M8L')?.words).toContain('holes 10H to 10T');
  });
});
