/** Money in minor units of its currency: cents of a euro, whole yen, fils of a dinar. */
import { failure, success, type Result } from '../terms/result';
import { listed } from '../terms/listed';
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
 * How many coins of one currency become one of another where a figure stays as it is read.
 *
 * @example
 * coinFactor('EUR', 'JPY') // 0.01
 * coinFactor('EUR', 'KWD') // 10
 */
export const coinFactor = (from: string, to: string): number =>
  10 ** (minorDigits(to) - minorDigits(from));

/** By place and currency: to make one takes longer than to write a hundred amounts with it. */
const ways = new Map<string, Intl.NumberFormat>();

/**
 * Money as it is read, in the way of a place (BCP 47).
 *
 * @example
 * formatMoney(1850, 'EUR') // '€18.50'
 * formatMoney(1850, 'JPY', 'ja-JP') // '￥1,850'
 */
export function formatMoney(minor: number, currency: string, locale = 'en-GB'): string {
  const key = `${locale} ${currency}`;
  const way = ways.get(key) ?? new Intl.NumberFormat(locale, { style: 'currency', currency });
  ways.set(key, way);
  return way.format(minor / 10 ** minorDigits(currency));
}

/**
 * What some lines come to, each so many of one amount.
 *
 * @example
 * linesMinor([{ quantity: 2, unitMinor: 600 }, { quantity: 1, unitMinor: 50 }]) // 1250
 */
export const linesMinor = (
  lines: readonly { readonly quantity: number; readonly unitMinor: number }[],
): number => lines.reduce((sum, { quantity, unitMinor }) => sum + quantity * unitMinor, 0);

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
  return listed([...sums].map(([currency, minor]) => formatMoney(minor, currency, locale)));
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

/** What is dearer than that is a slip of the pen, and sums of it are still whole numbers. */
export const MOST_MINOR = 1e12;

/** `1.234,50` and `1,234.50`: where both are written, the first separates thousands. */
const withoutThousands = (figures: string): string => {
  const both = /^\d{1,3}(?:([.,])\d{3}){1,2}(?!\1)[.,]\d+$/.exec(figures);
  return both?.[1] ? figures.replaceAll(both[1], '') : figures;
};

/**
 * Money as typed, `18`, `18.50`, `18,5`, `1.234,50` or `1 250 000`, in minor units of the currency; no more decimals than it has.
 *
 * @example
 * parseMoney('EUR')('16.50') // { ok: true, value: 1650 }
 * @example
 * parseMoney('EUR')('1.234,50') // { ok: true, value: 123450 }
 */
export const parseMoney =
  (currency: string) =>
  (text: string): Result<number> => {
    const places = minorDigits(currency);
    const match = /^(\d{1,9}|\d{1,3}(?: \d{3}){1,2})(?:[.,](\d+))?$/.exec(
      withoutThousands(plainFigures(text)),
    );
    if (!match) return failure('amount.unread');
    const [, whole = '', fraction = ''] = match;
    if (fraction.length > places)
      return places === 0
        ? failure('amount.whole', { currency })
        : failure('amount.decimals', { currency, places: String(places) });
    const minor = Number(whole.replaceAll(' ', '') + fraction.padEnd(places, '0'));
    return minor > MOST_MINOR ? failure('amount.unread') : success(minor);
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
