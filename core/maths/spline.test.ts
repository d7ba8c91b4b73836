import { describe, expect, it } from 'vitest';
import { clampedSpline } from './spline';

const knots = (from: number, to: number, count: number) =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));

describe('the clamped spline', () => {
  it('goes through its knots', () => {
    const at = [0, 0.4, 1.1, 2, 3];
    const values = [5, 3, 4, 1, 2];
    const spline = clampedSpline(at, values);
    at.forEach((x, i) => expect(spline(x)).toBeCloseTo(values[i] as number, 12));
  });

  // A cubic that is level at both ends is its own clamped spline: y = 2x³ − 3x² on [0, 1].
  it('reproduces a cubic that is level at both ends', () => {
    const cubic = (x: number) => 2 * x ** 3 - 3 * x ** 2;
    const at = [0, 0.2, 0.55, 1];
    const spline = clampedSpline(at, at.map(cubic));
    for (const x of knots(0, 1, 50)) expect(spline(x)).toBeCloseTo(cubic(x), 12);
  });

  // Source: the error of cubic interpolation falls with the fourth power of the step (de Boor, A Practical Guide to Splines).
  it('nears a cosine by the fourth power of the step', () => {
    const worst = (count: number) => {
      const at = knots(0, Math.PI, count);
      const spline = clampedSpline(at, at.map(Math.cos));
      return Math.max(...knots(0, Math.PI, 997).map((x) => Math.abs(spline(x) - Math.cos(x))));
    };
    expect(worst(9) / worst(17)).toBeGreaterThan(12);
    expect(worst(17)).toBeLessThan(1e-5);
  });

  it('is a level line through two equal knots', () => {
    const spline = clampedSpline([0, 1], [3, 3]);
    expect(spline(0.37)).toBeCloseTo(3, 12);
  });
});
