import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { correctionFrom, difference, learnFrom } from './learning';

describe('a past job', () => {
  it('took more when less was left than planned', () => {
    // Given 6.10 m, plan 5.96 m of which 0.87 m is cut off again: 5.09 m in the racket.
    const plan = { rawCutMm: 5960, leftMm: 870 };
    expect(difference({ givenMm: 6100, leftOverMm: 1010 }, plan)).toBe(0);
    expect(difference({ givenMm: 6100, leftOverMm: 990 }, plan)).toBe(20);
    expect(difference({ givenMm: 6100, leftOverMm: 1060 }, plan)).toBe(-50);
  });
});

describe('the correction', () => {
  it('is the median of the frame’s own past from three jobs on', () => {
    expect(correctionFrom([-40, -20], [])).toBeUndefined();
    expect(correctionFrom([-40, -20, -30], [900, 900])).toEqual({
      mm: -30,
      count: 3,
      spreadMm: 10,
      from: 'frame',
    });
  });
  it('is the workshop’s from six on when the frame has no past', () => {
    expect(correctionFrom([-40], [10, 20, 30, 40, 50])).toBeUndefined();
    expect(correctionFrom([-40], [10, 20, 30, 40, 50, 60])).toMatchObject({
      mm: 35,
      count: 6,
      from: 'workshop',
    });
  });
  // A median: an outlier moves it to a neighbour at most.
  it('is not moved by one absurd entry', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -60, max: 60 }), { minLength: 4, maxLength: 30 }),
        fc.constantFrom(-6000, 99_999),
        (values, absurd) => {
          const moved = correctionFrom([...values, absurd], [])?.mm ?? NaN;
          expect(moved).toBeGreaterThanOrEqual(Math.min(...values));
          expect(moved).toBeLessThanOrEqual(Math.max(...values));
        },
      ),
    );
  });
});

it('takes no frame that is not known for another one that is not', () => {
  const past = Array.from({ length: 5 }, (_, i) => ({
    frameId: null,
    name: 'mains',
    difference: 40 + i,
  }));
  expect(learnFrom(past, null)).toEqual({});
  expect(learnFrom([...past, { frameId: 'a', name: 'mains', difference: 50 }], null)).toMatchObject(
    {
      mains: { from: 'workshop', count: 6 },
    },
  );
});
