import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addTo, bandedMatrix, solveBanded } from './banded';

describe('a banded system', () => {
  // Source: worked by hand: −x'' = 1 on five inner points is solved by x_i = i(6 − i)/2.
  it('solves the chain of springs', () => {
    const matrix = bandedMatrix(5, 1);
    for (let i = 0; i < 5; i++) {
      addTo(matrix, i, i, 2);
      if (i > 0) addTo(matrix, i, i - 1, -1);
    }
    solveBanded(matrix, [1, 1, 1, 1, 1]).forEach((x, i) =>
      expect(x).toBeCloseTo(((i + 1) * (5 - i)) / 2, 12),
    );
  });

  it('gives back what it was made from', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 24 }),
        fc.integer({ min: 0, max: 6 }),
        fc.infiniteStream(fc.double({ min: -1, max: 1, noNaN: true })),
        (size, width, stream) => {
          const next = () => stream.next().value as number;
          const matrix = bandedMatrix(size, width);
          const full = Array.from({ length: size }, () => new Array<number>(size).fill(0));
          const put = (i: number, j: number, value: number) => {
            addTo(matrix, i, j, value);
            (full[i] as number[])[j] = value;
            (full[j] as number[])[i] = value;
          };
          for (let i = 0; i < size; i++) {
            put(i, i, 2 * width + 1);
            for (let j = Math.max(0, i - width); j < i; j++) put(i, j, next());
          }
          const x = Array.from({ length: size }, next);
          const b = full.map((row) =>
            row.reduce((sum, each, j) => sum + each * (x[j] as number), 0),
          );
          solveBanded(matrix, b).forEach((each, i) => expect(each).toBeCloseTo(x[i] as number, 9));
        },
      ),
    );
  });

  it('refuses what is outside its band, and what has no single answer', () => {
    expect(() => addTo(bandedMatrix(4, 1), 3, 1, 1)).toThrow('outside a band of 1');
    expect(() => solveBanded(bandedMatrix(2, 1), [1, 1])).toThrow('not positive definite');
  });
});
