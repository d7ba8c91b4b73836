/** Figures as people type them, made alike before anything is read from them; and the words for units. */
import type { TensionUnit } from './units';

const FRACTIONS: Readonly<Record<string, string>> = { '½': '.5', '¼': '.25', '¾': '.75' };

/**
 * One way of writing for all: full-width digits and letters become plain ones, the true minus and the
 * dashes that stand for it become a hyphen, halves and quarters decimals, odd spaces plain ones.
 *
 * @example
 * plainFigures('２４½／23 ㎏') // '24.5/23 kg'
 * @example
 * plainFigures('−2') // '-2'
 * @example
 * plainFigures('1²') // '1^2'
 */
export const plainFigures = (text: string): string =>
  text
    // Digits first: a half behind a full-width digit is that digit's, and NFKC would tear it apart.
    .replace(/[０-９]/g, (digit) => digit.normalize('NFKC'))
    // A power is no digit more, and a half before a figure is no figure: neither is read.
    .replace(/[²³¹⁰⁴-⁹₀-₉]/g, (digit) => `^${digit.normalize('NFKC')}`)
    .replace(/([½¼¾])(?=\d)/g, '$1^')
    .replace(/(\d?)([½¼¾])/g, (_, whole: string, part: string) => (whole || '0') + FRACTIONS[part])
    .normalize('NFKC')
    .replace(/[‐‑‒–—―−]/g, '-')
    .replace(/[’′ʹ]/g, "'")
    .replace(/[”″ʺ]|''/g, '"')
    .replace(/\s+/g, ' ')
    .trim();

/** A decimal number with a point or a comma, at most two places. */
export const NUMBER = String.raw`\d{1,5}(?:[.,]\d{1,2})?`;

/**
 * @example
 * decimal('24,5') // 24.5
 */
export const decimal = (text: string): number => Number(text.replace(',', '.'));

/** Every way of writing the unit of a pull; `#` is how pounds stand on old tickets. */
export const TENSION_UNIT = String.raw`(?:kgf|kgs?|kilos?|lbf|lbs?|pounds?|#)`;

/**
 * The unit that a word means; undefined for none.
 *
 * @example
 * tensionUnitNamed('lbs') // 'lb'
 */
export const tensionUnitNamed = (text: string | undefined): TensionUnit | undefined =>
  text === undefined || text === '' ? undefined : /^k/i.test(text) ? 'kg' : 'lb';

/**
 * A figure of which the sign is the point: a change, with a true minus.
 *
 * @example
 * signedFigure(-0.68, 1) // '−0.7'
 */
export const signedFigure = (value: number, decimals: number): string =>
  `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(decimals)}`;

/**
 * A bare figure of up to four digits and so many decimals, as it is typed; NaN for anything else.
 *
 * @example
 * bareFigure('4,5', 2) // 4.5
 */
export function bareFigure(text: string, mostDecimals: 1 | 2 | 3): number {
  const figures = plainFigures(text);
  return new RegExp(`^\\d{1,4}(?:[.,]\\d{1,${mostDecimals}})?$`).test(figures)
    ? decimal(figures)
    : NaN;
}
