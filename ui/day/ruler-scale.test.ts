import { describe, expect, it } from 'vitest';
import { rulerScale } from './ruler-scale';

describe('the ruler of a day', () => {
  const { x, minuteAt, width, tears, hours, days } = rulerScale([
    [540, 780],
    [840, 1080],
    [1440 + 540, 1440 + 600],
  ]);

  it('is true: an open minute is as long in the morning as on the next day', () => {
    const hour = x(600) - x(540);
    expect(x(900) - x(840)).toBeCloseTo(hour, 9);
    expect(x(1440 + 600) - x(1440 + 540)).toBeCloseTo(hour, 9);
    expect(x(570) - x(540)).toBeCloseTo(hour / 2, 9);
    expect(width).toBeCloseTo(9 * hour + 2 * (x(840) - x(780)), 9);
  });

  it('folds what is shut, and says where a day begins', () => {
    expect(tears).toHaveLength(2);
    expect(x(810)).toBeGreaterThan(x(780));
    expect(x(810)).toBeLessThan(x(840));
    expect(days.map(({ minute }) => minute)).toEqual([540, 1440 + 540]);
    expect(hours).toEqual([540, 600, 660, 720, 840, 900, 960, 1020, 1980, 2040]);
  });

  it('names no day that the next one would write over', () => {
    const late = rulerScale([
      [1100, 1101],
      [1440 + 540, 1440 + 780],
    ]);
    expect(late.days.map(({ minute }) => minute)).toEqual([1440 + 540]);
  });

  it('is read back, and ends where it ends', () => {
    for (const minute of [540, 700, 1000, 2000]) expect(minuteAt(x(minute))).toBeCloseTo(minute, 6);
    expect(x(0)).toBe(0);
    expect(x(9999)).toBe(width);
  });
});
