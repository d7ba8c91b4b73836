/** What a stringer types, read into SI: `55/53`, `24.5kg`, `40ft`, `22'6"`, `12.2`. */
import type { Mm, Newtons } from './quantities';
import { decimal, NUMBER, plainFigures, TENSION_UNIT, tensionUnitNamed } from './figures';

import { pullLimits, MOST_CROSS_DIFFERENCE } from './pull-limits';
import { failure, success, type Refused, type Result } from '../terms/result';
import type { Sport } from '../terms/sport';
import {
  formatTension,
  MM_PER_FOOT,
  MM_PER_INCH,
  newtons,
  otherTensionUnit,
  roundTo,
  type TensionUnit,
  type TicketTension,
} from './units';

export interface WidthReading {
  /** Distance below the inside of the head's tip, mm. */
  readonly fromHeadMm: Mm;
  /** Inside width there, mm. */
  readonly widthMm: Mm;
}

/**
 * Pulls that somebody may mean by a figure without a unit: 24 on a tennis ticket can only be kilograms
 * and 55 only pounds, and 30 may be either, so the house decides. Common practice, no source.
 */
const MEANT: Record<Sport, Record<TensionUnit, readonly [number, number]>> = {
  tennis: { kg: [5, 40], lb: [25, 88] },
  badminton: { kg: [5, 18], lb: [16, 40] },
  squash: { kg: [5, 18], lb: [16, 40] },
};

const TICKET = new RegExp(
  String.raw`^(${NUMBER}) ?(${TENSION_UNIT})? ?(?:[/x×] ?(${NUMBER}) ?)?(${TENSION_UNIT})?$`,
  'i',
);

/**
 * Reads mains/crosses as written on a ticket. One figure means the same for both.
 * A unit that was typed wins; without one the figure itself tells where it can mean one only (24 is kg
 * in tennis, lb in badminton), and wherever both could be meant, `houseUnit` decides.
 *
 * @example
 * parseTicketTension('24½/23 kg', 'tennis', 'lb').ok // true
 * parseTicketTension('a lot', 'tennis', 'kg').ok // false
 */
export function parseTicketTension(
  text: string,
  sport: Sport,
  houseUnit: TensionUnit,
): Result<TicketTension> {
  const match = TICKET.exec(plainFigures(text));
  if (!match) return failure('tension.unread');
  const [, mainText = '', firstUnit, crossText = mainText, lastUnit] = match;
  if (firstUnit && lastUnit && tensionUnitNamed(firstUnit) !== tensionUnitNamed(lastUnit))
    return failure('tension.two units');
  const main = decimal(mainText);
  const cross = decimal(crossText);
  const unit = tensionUnitNamed(lastUnit ?? firstUnit) ?? impliedUnit(main, sport, houseUnit);
  const ticket: TicketTension = {
    mainN: newtons(main, unit),
    crossN: newtons(cross, unit),
    unit,
  };
  return ticketProblem(ticket, sport) ?? success(ticket);
}

function impliedUnit(value: number, sport: Sport, houseUnit: TensionUnit): TensionUnit {
  const other = otherTensionUnit(houseUnit);
  const mayMean = (unit: TensionUnit) =>
    value >= MEANT[sport][unit][0] && value <= MEANT[sport][unit][1];
  return !mayMean(houseUnit) && mayMean(other) ? other : houseUnit;
}

function ticketProblem({ mainN, crossN, unit }: TicketTension, sport: Sport): Refused | undefined {
  const { leastN: least, mostN: most } = pullLimits(sport);
  for (const [name, n] of [
    ['mains', mainN],
    ['crosses', crossN],
  ] as const) {
    if (n < least || n > most)
      return failure('tension.beyond', {
        figure: formatTension(n, unit),
        strings: name,
        sport,
        least: formatTension(least, unit),
        most: formatTension(most, unit),
      });
  }
  if (Math.abs(crossN - mainN) > MOST_CROSS_DIFFERENCE * mainN + 1e-6)
    return failure('tension.apart', {
      crosses: formatTension(crossN, unit),
      mains: formatTension(mainN, unit),
    });
  return undefined;
}

export interface TensionRange {
  readonly minN: Newtons;
  readonly maxN: Newtons;
  readonly unit: TensionUnit;
}

const RANGE = new RegExp(
  String.raw`^(${NUMBER}) ?(${TENSION_UNIT})? ?(?:[-/]|to) ?(${NUMBER}) ?(${TENSION_UNIT})?$`,
  'i',
);

/** From there on a range that is printed in a throat may be in pounds. From memory. */
const LEAST_PRINTED_LB = 36;

/**
 * The range printed in a throat: `22-26`, `50–60 lb`.
 *
 * @example
 * parseTensionRange('22-26', 'tennis', 'kg').value.unit // 'kg'
 */
export function parseTensionRange(
  text: string,
  sport: Sport,
  houseUnit: TensionUnit,
): Result<TensionRange> {
  const match = RANGE.exec(plainFigures(text));
  if (!match) return failure('range.unread');
  const [, low = '', firstUnit, high = '', lastUnit] = match;
  if (firstUnit && lastUnit && tensionUnitNamed(firstUnit) !== tensionUnitNamed(lastUnit))
    return failure('range.two units');
  const unit =
    tensionUnitNamed(lastUnit ?? firstUnit) ??
    // No maker of adult frames prints so few pounds.
    (sport === 'tennis' && decimal(high) < LEAST_PRINTED_LB
      ? 'kg'
      : impliedUnit(decimal(low), sport, houseUnit));
  const range = { minN: newtons(decimal(low), unit), maxN: newtons(decimal(high), unit), unit };
  if (range.minN > range.maxN) return failure('range.upside down');
  const { leastN: least, mostN: most } = pullLimits(sport);
  if (range.minN < least || range.maxN > most)
    return failure('range.beyond', {
      sport,
      least: formatTension(least, unit),
      most: formatTension(most, unit),
    });
  return success(range);
}

const LENGTH_UNITS: readonly (readonly [words: RegExp, mm: Mm])[] = [
  [/^(mm|millimet(er|re)s?)$/i, 1],
  [/^(cm|centimet(er|re)s?)$/i, 10],
  [/^(m|met(er|re)s?)$/i, 1000],
  [/^(in|inch|inches|")$/i, MM_PER_INCH],
  [/^(ft|foot|feet|')$/i, MM_PER_FOOT],
];
const LENGTH_EXAMPLES = {
  m: '12.2, 40ft or 22\'6"',
  cm: '36, 360 mm or 14 in',
  mm: '336, 33.6 cm or 13.2 in',
} as const;

const mmIn = (unit: string): number => LENGTH_UNITS.find(([words]) => words.test(unit))?.[1] ?? NaN;
/** To the millimetre in metres, as an edit form shows 40 ft again: 12.192. */
const LENGTH_NUMBER = String.raw`\d{1,5}(?:[.,]\d{1,3})?`;
const LENGTH = new RegExp(String.raw`^(${LENGTH_NUMBER}) ?([a-z]+|'|")?$`, 'i');
const FEET_INCHES = new RegExp(
  String.raw`^(\d{1,4}) ?(?:'|ft|foot|feet) ?(${NUMBER}) ?(?:"|in|inch|inches)?$`,
  'i',
);

/** Finer than any ruler, and written with so few figures that what a form shows again can be read again. */
const LENGTH_STEP_MM = 0.01;

const lengthOf = (mm: Mm): Result<Mm> => success(roundTo(mm, LENGTH_STEP_MM));

/**
 * A length in mm, to a hundredth, from `12.2`, `40ft`, `22'6"`, `33.6 cm`. `bareUnit` is what a figure without
 * a unit means where it is typed: metres for string, millimetres for a head.
 *
 * @example
 * parseLength('40 ft', 'm') // { ok: true, value: 12192 }
 * parseLength('9,5', 'm') // { ok: true, value: 9500 }
 * parseLength('12,200 mm', 'm') // { ok: true, value: 12200 }
 */
export function parseLength(text: string, bareUnit: 'm' | 'mm' | 'cm'): Result<number> {
  const tidy = plainFigures(text);
  const both = FEET_INCHES.exec(tidy);
  if (both) {
    const inches = decimal(both[2] ?? '');
    if (inches >= 12) return failure('length.inches');
    return lengthOf(Number(both[1]) * MM_PER_FOOT + inches * MM_PER_INCH);
  }
  // No tape reads thousandths of a millimetre: that is a separator of thousands.
  const thousands = /^(\d{1,3})[.,](\d{3}) ?(?:mm|millimet(?:er|re)s?)$/i.exec(tidy);
  if (thousands) return lengthOf(Number(`${thousands[1]}${thousands[2]}`));
  const match = LENGTH.exec(tidy);
  const factor = mmIn(match?.[2] ?? bareUnit);
  if (!match || Number.isNaN(factor))
    return failure('length.unread', { examples: LENGTH_EXAMPLES[bareUnit] });
  return lengthOf(decimal(match[1] ?? '') * factor);
}

/** No end of a head has more holes to rule. */
export const MOST_IN_ROW = 60;

/**
 * Lengths read off a ruler in a row, `6 18 30.5`, in mm; increasing. An empty text is an empty row.
 *
 * @example
 * parseRow('6 18 30.5').value // [6, 18, 30.5]
 */
export function parseRow(text: string): Result<readonly number[]> {
  const words = plainFigures(text)
    .split(/[\s;]+/)
    .filter(Boolean);
  const values: number[] = [];
  for (const word of words) {
    const value = decimal(word);
    if (!new RegExp(`^${NUMBER}$`).test(word))
      return failure('row.no length', { typed: word.slice(0, 20) });
    if (value <= (values.at(-1) ?? -1))
      return failure('row.falls', { typed: word, before: values.at(-1) ?? '' });
    values.push(value);
  }
  if (values.length > MOST_IN_ROW) return failure('row.too long', { most: MOST_IN_ROW });
  return success(values);
}

/**
 * Hole numbers in a row, `7 9` or `7,9`; `none` is an empty list.
 *
 * @example
 * parseHoleNumbers('7 9') // { ok: true, value: [7, 9] }
 */
export function parseHoleNumbers(text: string): Result<readonly number[]> {
  const tidy = plainFigures(text);
  if (/^(none|-|0)?$/i.test(tidy)) return success([]);
  const numbers: number[] = [];
  for (const word of tidy.split(/[\s,;]+/).filter(Boolean)) {
    if (!/^\d{1,2}$/.test(word) || Number(word) === 0)
      return failure('holes.no number', { typed: word.slice(0, 20) });
    if (numbers.includes(Number(word))) return failure('holes.twice', { typed: word });
    numbers.push(Number(word));
  }
  return success(numbers.sort((a, b) => a - b));
}

function labelsBy(shape: RegExp, text: string, how: string): Result<readonly string[]> {
  const tidy = plainFigures(text);
  if (/^(none|-)?$/i.test(tidy)) return success([]);
  const labels: string[] = [];
  for (const word of tidy
    .toUpperCase()
    .split(/[\s,;]+/)
    .filter(Boolean)) {
    if (!shape.test(word)) return failure('holes.no hole', { typed: word.slice(0, 20), how });
    if (labels.includes(word)) return failure('holes.twice', { typed: word });
    labels.push(word);
  }
  return success(labels);
}

/**
 * One hole number, `10` or `10H`.
 *
 * @example
 * parseHoleNumber('12') // { ok: true, value: 12 }
 */
export function parseHoleNumber(text: string): Result<number> {
  const match = /^([1-9]\d?)[HT]?$/i.exec(plainFigures(text));
  return match ? success(Number(match[1])) : failure('holes.one');
}

/**
 * Holes with their end, `8T 6H`; `none` is an empty list.
 *
 * @example
 * parseHoleLabels('8T 6H').value // ['8T', '6H']
 */
export const parseHoleLabels = (text: string): Result<readonly string[]> =>
  labelsBy(/^[1-9]\d?[HT]$/, text, 'write its number and H for head or T for throat, 8T 6H');

/**
 * The same for tie-off holes, which may be bored on one side only: `8T 6HL`.
 *
 * @example
 * parseTieOffs('8T 6HL').value // ['8T', '6HL']
 */
export const parseTieOffs = (text: string): Result<readonly string[]> =>
  labelsBy(
    /^[1-9]\d?[HT][LR]?$/,
    text,
    'write its number and H for head or T for throat, 8T 6H, with L or R when it is bored on one side only',
  );

export interface StepDown {
  readonly strings: number;
  readonly by: number;
  readonly unit: TensionUnit;
}

/**
 * Outer strings stepped down, `3 x 5 lb`: how many, and by how much each. An empty text is none.
 *
 * @example
 * parseStepDown('3 x 5 lb') // { ok: true, value: { strings: 3, by: 5, unit: 'lb' } }
 */
export function parseStepDown(text: string): Result<StepDown | null> {
  const tidy = plainFigures(text);
  if (/^(none|-)?$/i.test(tidy)) return success(null);
  const match = new RegExp(
    String.raw`^([1-6]) ?(?:x|×|by|strings?) ?(\d{1,2}(?:[.,]\d)?) ?(${TENSION_UNIT})$`,
    'i',
  ).exec(tidy);
  const by = decimal(match?.[2] ?? '0');
  const unit = tensionUnitNamed(match?.[3]);
  if (!match || !unit || by === 0) return failure('step-down.unread');
  return success({ strings: Number(match[1]), by, unit });
}

/**
 * One length of string, or one for each of two pieces: `10.9`, `6.2/5.9`, in mm.
 *
 * @example
 * parseRemnants('6.2/5.9').value // [6200, 5900]
 */
export function parseRemnants(text: string): Result<readonly number[]> {
  const words = text.split('/');
  if (words.length > 2) return failure('remnant.unread');
  const lengths: number[] = [];
  for (const word of words) {
    const length = parseLength(word, 'm');
    if (!length.ok) return length;
    if (length.value < 1000 || length.value > 250_000) return failure('remnant.beyond');
    lengths.push(length.value);
  }
  return success(lengths);
}

/**
 * A rate as typed, `20` or `5,5 %`, in hundredths of a percent.
 *
 * @example
 * parseRate('5.5') // { ok: true, value: 550 }
 */
export function parseRate(text: string): Result<number> {
  const tidy = plainFigures(text).replace(/ ?%$/, '');
  if (!/^\d{1,3}([.,]\d{1,2})?$/.test(tidy)) return failure('percent.unread');
  const rate = Math.round(decimal(tidy) * 100);
  return rate > 10_000 ? failure('percent.unread') : success(rate);
}

/**
 * A whole number, `16`.
 *
 * @example
 * parseCount('16') // { ok: true, value: 16 }
 */
export function parseCount(text: string): Result<number> {
  const tidy = plainFigures(text);
  return /^\d{1,3}$/.test(tidy) ? success(Number(tidy)) : failure('count.unread');
}

/** Closer than that nobody measures a head. */
export const MOST_WIDTHS = 60;

/**
 * Inside widths read at distances below the tip, `40:190 120:246 …`, both in mm.
 *
 * @example
 * parseWidths('40:190').value // [{ fromHeadMm: 40, widthMm: 190 }]
 */
export function parseWidths(text: string): Result<readonly WidthReading[]> {
  const readings: WidthReading[] = [];
  for (const word of plainFigures(text).split(' ').filter(Boolean)) {
    const match = new RegExp(`^(${NUMBER}):(${NUMBER})$`).exec(word);
    if (!match) return failure('widths.unread', { typed: word.slice(0, 20) });
    readings.push({ fromHeadMm: decimal(match[1] ?? ''), widthMm: decimal(match[2] ?? '') });
  }
  if (readings.length > MOST_WIDTHS) return failure('widths.too many', { most: MOST_WIDTHS });
  return success(readings);
}

/** The pulls that a machine may be checked at. */
const CHECKED_KG = [2, 50] as const;

/**
 * A single pull, as a weight or a spring scale shows it: `25`, `24.6 kg`, `55 lb`; N.
 *
 * @example
 * parsePull('nothing', 'kg').code // 'check.unread'
 */
export function parsePull(text: string, houseUnit: TensionUnit): Result<number> {
  const match = new RegExp(String.raw`^(\d+(?:[.,]\d+)?) ?(${TENSION_UNIT})?$`, 'i').exec(
    plainFigures(text),
  );
  const example = houseUnit === 'kg' ? '25 or 24.6 kg' : '55 or 54.5 lb';
  if (!match) return failure('check.unread', { example });
  const n = newtons(decimal(match[1] ?? ''), tensionUnitNamed(match[2]) ?? houseUnit);
  const [least, most] = CHECKED_KG.map((kg) => newtons(kg, 'kg')) as [number, number];
  return n < least || n > most
    ? failure('check.beyond', {
        least: formatTension(least, houseUnit),
        most: formatTension(most, houseUnit),
        example,
      })
    : success(n);
}
