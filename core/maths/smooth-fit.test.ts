import { describe, expect, it } from 'vitest';
import { fitter } from './smooth-fit';

const rows = Array.from({ length: 9 }, (_, i) => [1, i, i ** 2]);
const fit = fitter(rows, [undefined, undefined, { mean: 0.5, deviation: 0.1 }]);
const curve = rows.map(([a = 0, b = 0, c = 0]) => 3 * a - 2 * b + 0.5 * c);
const ones = rows.map(() => 1);

describe('a fit', () => {
  it('costs nothing where the readings lie on a curve that was expected', () => {
    expect(fit(curve, ones)).toBeCloseTo(0, 6);
  });

  it('costs half the squares, in deviations, where they are a little off (the normal middle of t)', () => {
    const off = curve.map((value, i) => value + (i % 2 === 0 ? 0.02 : -0.02));
    // Least squares with three coefficients leaves a little less than all of it: 9 · 0.02² / 2 · 4/3.
    expect(fit(off, ones)).toBeLessThan((9 * 0.02 ** 2 * 4) / 6 + 1e-6);
    expect(fit(off, ones)).toBeGreaterThan(0.001);
  });

  it('is hardly moved by one reading that is far off, however far', () => {
    const slipped = (by: number) =>
      fit(
        curve.map((value, i) => value + (i === 4 ? by : 0)),
        ones,
      );
    expect(slipped(200) - slipped(20)).toBeLessThan(10);
    // Under normal errors it would be by²/2 and more than a thousand.
    expect(slipped(200)).toBeLessThan(25);
  });

  it('counts readings by how sure they are', () => {
    const off = curve.map((value, i) => value + (i === 4 ? 1 : 0));
    const unsure = ones.map((one, i) => (i === 4 ? 100 : one));
    expect(fit(off, unsure)).toBeLessThan(fit(off, ones) / 10);
  });

  it('charges a coefficient that is not what was expected', () => {
    const bent = rows.map(([a = 0, b = 0, c = 0]) => 3 * a - 2 * b + 0.9 * c);
    // Four deviations off would cost eight; the readings win most of it back.
    expect(fit(bent, ones)).toBeGreaterThan(1);
  });
});
