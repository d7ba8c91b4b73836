import { describe, expect, it } from 'vitest';
import { orderLevel, toOrder, weeklyUse } from './reorder';

describe('when to order again', () => {
  // Source: tables of the cumulative Poisson distribution: P(X ≤ 8) at 4 is 0.9786 and P(X ≤ 7) 0.9489; at 1, P(X ≤ 3)
  // is 0.9810 and P(X ≤ 2) 0.9197; at 10, P(X ≤ 15) is 0.9513 and P(X ≤ 14) 0.9165.
  it.each([
    [4, 0, 8],
    [1, 0, 3],
    [2.5, 3, 15],
  ])(
    '%s a week and %s weeks of delivery ask for %s where use scatters by chance',
    (mean, weeks, level) => {
      expect(orderLevel({ mean, variance: mean }, weeks)).toBe(level);
    },
  );

  // Source: the negative binomial with r = 2 and p = 1/2 (mean 2, variance 4): P(X ≤ 5) = 1 − 8/2^7 = 0.9375, P(X ≤ 6)
  // = 0.9648, by the sum (k + 1)/2^(k+2).
  it('asks for more where use scatters more', () => {
    expect(orderLevel({ mean: 2, variance: 4 }, 0)).toBe(6);
    expect(orderLevel({ mean: 2, variance: 2 }, 0)).toBe(5);
  });

  it('keeps 95 % of simulated weeks served', () => {
    const weeks = Array.from(
      { length: 400 },
      (_, i) => [0, 1, 1, 2, 3, 0, 5, 2][(i * 7 + (i >> 3)) % 8] ?? 0,
    );
    const level = orderLevel(weeklyUse(weeks), 0);
    expect(weeks.filter((use) => use <= level).length / weeks.length).toBeGreaterThanOrEqual(0.95);
  });

  // Source: the normal limit of both distributions, mean + 1.645 standard deviations.
  it('is near its normal limit for many, and never jumps', () => {
    for (const mean of [300, 800, 1500, 5000])
      for (const variance of [mean, mean * 1.001, mean * 3]) {
        const level = orderLevel({ mean, variance }, 0);
        expect(Math.abs(level - (mean + 1.645 * Math.sqrt(variance)))).toBeLessThan(
          2 + 0.1 * Math.sqrt(variance),
        );
      }
    // One mistyped week of a string that hardly anybody takes.
    expect(orderLevel(weeklyUse([0, 0, 0, 0, 4000]), 1)).toBeLessThan(20_000);
  });

  it('is nothing for what nobody uses, and nothing while enough is coming', () => {
    expect(weeklyUse([])).toEqual({ mean: 0, variance: 0 });
    expect(orderLevel(weeklyUse([0, 0, 0]), 4)).toBe(0);
    expect(toOrder({ level: 8, there: 6, coming: 4 })).toBe(0);
    expect(toOrder({ level: 8, there: 2.5, coming: 0 })).toBe(6);
  });
});
