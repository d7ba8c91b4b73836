import { describe, expect, it } from 'vitest';
import { lossAfter, lossWords } from './wear';

/** Days in which so many hours are played at two plays of an hour and a half a week. */
const daysOf = (hours: number) => (hours / 3) * 7;
const both = <T>(family: T) => [family, family] as const;

describe('what a bed should have lost', () => {
  // Common practice: what is strung at 55 is at about 50 by the first ball.
  it('is 5 to 10 % before the first ball', () => {
    const [least, most] = lossAfter(both('multifilament' as const), 0, 2);
    expect(55 * (1 - most)).toBeLessThanOrEqual(50);
    expect(55 * (1 - least)).toBeGreaterThanOrEqual(50);
  });

  // Common practice: monofilament near half after 10 to 15 h, nylon a quarter after 15 to 20 h, gut far less.
  it('agrees with what the trade says of each family', () => {
    expect(lossAfter(both('monofilament' as const), daysOf(15), 2)[1]).toBeGreaterThanOrEqual(0.45);
    const nylon = lossAfter(both('synthetic gut' as const), daysOf(17), 2);
    expect(nylon[0]).toBeLessThan(0.25);
    expect(nylon[1]).toBeGreaterThan(0.25);
    expect(lossAfter(both('natural gut' as const), daysOf(17), 2)[1]).toBeLessThan(0.2);
  });

  it('grows with time, lies between its families in a hybrid, and never goes beyond half', () => {
    const at = (days: number) => lossAfter(['monofilament', 'natural gut'], days, 2)[0];
    expect(at(60)).toBeGreaterThan(at(30));
    const gut = lossAfter(both('natural gut' as const), 30, 2)[0];
    const mono = lossAfter(both('monofilament' as const), 30, 2)[0];
    expect(at(30)).toBeCloseTo((gut + mono) / 2, 6);
    expect(lossAfter(both('monofilament' as const), 4000, 7)).toEqual([0.5, 0.5]);
  });

  it('is said as a range', () => {
    expect(lossWords([0.1, 0.149])).toBe('10 to 15 %');
    expect(lossWords([0.5, 0.5])).toBe('50 %');
  });
});
