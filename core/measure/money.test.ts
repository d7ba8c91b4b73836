import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMoney, minorDigits, moneyFigure, parseMoney, stringPrice } from './money';

describe('money as it is read', () => {
  it('goes by its place and its currency, in whatever order they are asked for', () => {
    // The platform's own words for each (ICU), asked afresh.
    const afresh = (minor: number, digits: number, currency: string, locale: string) =>
      new Intl.NumberFormat(locale, { style: 'currency', currency }).format(minor / 10 ** digits);
    for (let turn = 0; turn < 2; turn++)
      for (const [currency, digits] of [
        ['EUR', 2],
        ['JPY', 0],
        ['KWD', 3],
      ] as const)
        for (const locale of ['en-GB', 'de-AT', 'fr-CH', 'ja-JP'])
          expect(formatMoney(123_456, currency, locale)).toBe(
            afresh(123_456, digits, currency, locale),
          );
  });
});

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

  // Source: the price of a reel where a coin is small, rupiah or dong: some millions (from memory).
  it('is read where a coin is small, with its thousands apart or not', () => {
    expect(parseMoney('IDR')('2500000')).toMatchObject({ ok: true, value: 2_500_000 });
    expect(parseMoney('VND')('2 500 000')).toMatchObject({ ok: true, value: 2_500_000 });
    expect(parseMoney('VND')('250 000')).toMatchObject({ ok: true, value: 250_000 });
    for (const wrong of ['25 00', '1 2500', '1234567890', ' 1  000'])
      expect(parseMoney('VND')(wrong).ok, wrong).toBe(wrong === ' 1  000');
    // Thirty lines of ninety-nine each still add up to the coin.
    const most = parseMoney('EUR')('999999999.99');
    expect(Number.isSafeInteger(most.ok && most.value * 99 * 30)).toBe(true);
    expect(parseMoney('CLF')('999999999.9999').ok).toBe(false);
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

  it('asks half a set of each string of a hybrid', () => {
    const set = (setMinor: number, suppliedByClient = false) => ({ setMinor, suppliedByClient });
    expect(stringPrice(set(1500), set(1001))).toBe(1251);
    expect(stringPrice(set(1500, true), set(1000))).toBe(500);
  });
});
