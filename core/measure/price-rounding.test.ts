import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shareOut, taxIn, taxOn } from './price-rounding';

describe('tax', () => {
  it('is rounded to the nearest minor unit (EN 16931, BR-CO-17: amount · rate / 100, to two decimals)', () => {
    // 13.37 at 19 % is 2.5403; 12.37 at 20 % is 2.474; 2.63 at 19 % is 0.4997.
    expect([taxOn(1337, 1900), taxOn(1237, 2000), taxOn(263, 1900)]).toEqual([254, 247, 50]);
    expect(taxOn(0, 2500)).toBe(0);
  });

  it('that an amount holds is what was put on it, or a minor unit beside it', () => {
    const rate = fc.integer({ min: 0, max: 10_000 });
    fc.assert(
      fc.property(fc.nat(1_000_000), rate, (net, bp) => {
        const tax = taxOn(net, bp);
        expect(Math.abs(taxIn(net + tax, bp) - tax)).toBeLessThanOrEqual(1);
      }),
    );
    expect([taxIn(1200, 2000), taxIn(1190, 1900)]).toEqual([200, 190]);
  });
});

describe('an amount', () => {
  it('is shared out without a coin lost', () => {
    expect(shareOut(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(shareOut(5, [0, 0])).toEqual([5, 0]);
    const weights = fc.array(fc.integer({ min: 0, max: 9999 }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(fc.nat(1_000_000), weights, (minor, parts) => {
        const shares = shareOut(minor, parts);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBe(minor);
        const all = parts.reduce((sum, part) => sum + part, 0);
        if (all > 0)
          shares.forEach((share, i) => {
            expect(Math.abs(share - (minor * (parts[i] ?? 0)) / all)).toBeLessThan(1);
          });
      }),
    );
  });

  it('is shared out to the coin however large it is', () => {
    // 2^40 in three: 3 · 366503875925 is one short of it.
    expect(shareOut(2 ** 40, [1e12, 1e12, 1e12])).toEqual([
      366_503_875_926, 366_503_875_925, 366_503_875_925,
    ]);
    const large = fc.integer({ min: 0, max: 1e12 });
    fc.assert(
      fc.property(large, fc.array(large, { minLength: 1, maxLength: 8 }), (minor, parts) => {
        expect(shareOut(minor, parts).reduce((sum, share) => sum + share, 0)).toBe(minor);
      }),
    );
  });
});
