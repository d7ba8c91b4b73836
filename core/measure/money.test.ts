import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMoney, minorDigits, moneyFigure, parseMoney, shareOut, stringPrice } from './money';

describe('money', () => {
  // ISO 4217: the yen has no minor unit, the Kuwaiti dinar three decimals.
  it('knows the decimals of a currency', () => {
    expect(['EUR', 'JPY', 'KWD'].map(minorDigits)).toEqual([2, 0, 3]);
  });

  it('is written in the way of its currency and of a place', () => {
    expect(formatMoney(185_000, 'EUR')).toBe('€1,850.00');
    expect(formatMoney(1850, 'JPY')).toBe('JP¥1,850');
    expect(formatMoney(1850, 'KWD')).toBe('KWD\u00a01.850');
    expect(formatMoney(185_050, 'EUR', 'de-DE')).toBe('1.850,50\u00a0€');
  });

  it('is read in the decimals that its currency has', () => {
    expect(parseMoney('EUR')('18,5')).toMatchObject({ ok: true, value: 1850 });
    expect(parseMoney('JPY')('1850')).toMatchObject({ ok: true, value: 1850 });
    expect(parseMoney('KWD')('1.5')).toMatchObject({ ok: true, value: 1500 });
    expect(parseMoney('JPY')('18.50')).toMatchObject({
      ok: false,
      problem: 'JPY has no smaller coin: write a whole amount such as 1800.',
    });
    expect(parseMoney('EUR')('1.234')).toMatchObject({ ok: false });
  });

  it('reads back what it writes, in any currency', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99_999_999 }),
        fc.constantFrom('EUR', 'USD', 'GBP'),
        (minor, currency) => {
          const figure = moneyFigure(minor, currency);
          expect(parseMoney(currency)(figure)).toEqual({ ok: true, value: minor });
        },
      ),
    );
  });

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

  it('asks half a set of each string of a hybrid', () => {
    const set = (setMinor: number, suppliedByClient = false) => ({ setMinor, suppliedByClient });
    expect(stringPrice(set(1500), set(1001))).toBe(1251);
    expect(stringPrice(set(1500, true), set(1000))).toBe(500);
  });
});
