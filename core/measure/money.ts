/** Money in minor units of its currency: cents of a euro, whole yen, fils of a dinar. */
import { failure, success, type Result } from '../terms/result';
import { plainFigures } from './figures';

const digits = new Map<string, number>();

/**
 * How many decimals a currency is written with (ISO 4217, as the platform knows it).
 *
 * @example
 * minorDigits('EUR') // 2
 * minorDigits('JPY') // 0
 */
export function minorDigits(currency: string): number {
  const known = digits.get(currency);
  if (known !== undefined) return known;
  const { maximumFractionDigits = 2 } = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
  }).resolvedOptions();
  digits.set(currency, maximumFractionDigits);
  return maximumFractionDigits;
}

/**
 * Money as it is read, in the way of a place (BCP 47).
 *
 * @example
 * formatMoney(1850, 'EUR') // '€18.50'
 * formatMoney(1850, 'JPY', 'ja-JP') // '￥1,850'
 */
export const formatMoney = (minor: number, currency: string, locale = 'en-GB'): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency }).format(
    minor / 10 ** minorDigits(currency),
  );

interface Money {
  readonly minor: number;
  readonly currency: string;
}

/**
 * Sums by currency as they are read, in the order in which they come up: money of two currencies is never added.
 *
 * @example
 * formatSums([{ minor: 1850, currency: 'EUR' }, { minor: 7, currency: 'JPY' }, { minor: 50, currency: 'EUR' }]) // '€19.00 and JP¥7'
 */
export function formatSums(amounts: readonly Money[], locale?: string): string {
  const sums = new Map<string, number>();
  for (const { minor, currency } of amounts) sums.set(currency, (sums.get(currency) ?? 0) + minor);
  return [...sums].map(([currency, minor]) => formatMoney(minor, currency, locale)).join(' and ');
}

/**
 * Money as a bare figure with a point, for a field, a table or a file.
 *
 * @example
 * moneyFigure(1850, 'EUR') // '18.50'
 * moneyFigure(1850, 'JPY') // '1850'
 */
export const moneyFigure = (minor: number, currency: string): string =>
  (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency));

/**
 * Money as typed, `18`, `18.50` or `18,5`, in minor units of the currency; no more decimals than it has.
 *
 * @example
 * parseMoney('EUR')('16.50') // { ok: true, value: 1650 }
 */
export const parseMoney =
  (currency: string) =>
  (text: string): Result<number> => {
    const places = minorDigits(currency);
    const match = /^(\d{1,6})(?:[.,](\d+))?$/.exec(plainFigures(text));
    if (!match) return failure('amount.unread');
    const [, whole = '', fraction = ''] = match;
    if (fraction.length > places)
      return places === 0
        ? failure('amount.whole', { currency })
        : failure('amount.decimals', { currency, places: String(places) });
    return success(Number(whole + fraction.padEnd(places, '0')));
  };

export interface StringPrice {
  readonly setMinor: number;
  readonly suppliedByClient: boolean;
}

/**
 * What the string of a job costs: one set when both pieces come from it, half of each set in a
 * hybrid, nothing for what the client brought. Halves are rounded up to a whole minor unit.
 *
 * @example
 * stringPrice({ setMinor: 1500, suppliedByClient: false }, { setMinor: 1500, suppliedByClient: true }) // 750
 */
export function stringPrice(mains: StringPrice, crosses: StringPrice): number {
  const half = ({ setMinor, suppliedByClient }: StringPrice) =>
    suppliedByClient ? 0 : setMinor / 2;
  return Math.ceil(half(mains) + half(crosses));
}

/**
 * Shares a whole amount out by weights so that the shares add up to it: each gets its part rounded down, and
 * what is left goes to the largest remainders, the earlier first. Source: the largest remainder method.
 *
 * @example
 * shareOut(100, [1, 1, 1]) // [34, 33, 33]
 */
export function shareOut(minor: number, weights: readonly number[]): readonly number[] {
  const sum = weights.reduce((all, weight) => all + weight, 0);
  if (weights.length === 0) return [];
  // Without weights the first one bears it.
  if (sum === 0) return weights.map((_, i) => (i === 0 ? minor : 0));
  const exact = weights.map((weight) => (minor * weight) / sum);
  const shares = exact.map(Math.floor);
  const left = minor - shares.reduce((all, share) => all + share, 0);
  const first = exact
    .map((value, i) => ({ i, over: value - Math.floor(value) }))
    .sort((a, b) => b.over - a.over || a.i - b.i)
    .slice(0, left);
  for (const { i } of first) shares[i] = (shares[i] ?? 0) + 1;
  return shares;
}
