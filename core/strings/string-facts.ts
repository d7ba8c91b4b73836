/** What is known of a string in the library, read from what people type or a table holds. */
import type { Mm } from '../measure/quantities';
import { z } from 'zod';
import { notForSchema, type NotFor } from './not-for';
import { FAMILIES, SHAPES, type Family, type Shape } from '../terms/family';
import { decimal, plainFigures } from '../measure/figures';
import { parseGauge } from '../measure/gauge';
import { moneyFigure, parseMoney } from '../measure/money';
import { parseLength } from '../measure/parsing';
import { lineText, nameText, noteText, optionalTyped, typed, textIn } from '../measure/typed';
import { failure, success, type Result } from '../terms/result';
import type { PlainKey } from '../terms/words/english';
import { SPORTS, type Sport } from '../terms/sport';
import { roundTo } from '../measure/units';

export interface StringFacts {
  readonly name: string;
  readonly sport: Sport;
  readonly family: Family;
  /** What makes it different within its family, in the maker's words; empty for most. */
  readonly subKind: string;
  readonly shape: Shape;
  readonly colour: string;
  readonly gaugesMm: Mm[];
  readonly setMm: Mm;
  readonly setPriceMinor: number;
  readonly reelMm: Mm | null;
  readonly reelPriceMinor: number | null;
  /** Of a metre, g. */
  readonly massGPerM: number | null;
  /** Fraction by which it is longer under pull; null goes by its family. */
  readonly stretch: number | null;
  /** Hours of play until it is dead or worn, measured; null goes by its family. */
  readonly lifeHours: number | null;
  /** Share of its tension kept after ten hours of play, measured. */
  readonly holding: number | null;
  readonly notFor: NotFor[];
  readonly notes: string;
}

function parseGauges(text: string, sport: Sport): Result<readonly number[]> {
  const gauges: number[] = [];
  for (const word of plainFigures(text)
    .replace(/(\d) (?=L\b)/gi, '$1')
    .split(/[\s;/]+/)
    .filter(Boolean)) {
    const gauge = parseGauge(word, sport);
    if (!gauge.ok) return gauge;
    if (!gauges.includes(gauge.value)) gauges.push(gauge.value);
  }
  if (gauges.length === 0) return failure('gauges.unread');
  return success(gauges.sort((a, b) => a - b));
}

/** A length of string that is sold, to the millimetre. */
const parseSold =
  (leastMm: Mm, mostMm: Mm, problem: PlainKey) =>
  (text: string): Result<Mm> => {
    const length = parseLength(text, 'm');
    if (!length.ok) return length;
    return length.value >= leastMm && length.value <= mostMm
      ? success(Math.round(length.value))
      : failure(problem);
  };

/** The shortest and longest sets that are sold, with room: 5 m for one side, 15 m for very large heads. */
const parseSet = parseSold(4000, 20_000, 'set.beyond');
const parseReel = parseSold(50_000, 1_000_000, 'reel.beyond');

/** A number within limits, with a decimal point or comma and an optional unit after it. */
const parseWithin =
  (least: number, most: number, unit: string, problem: PlainKey) =>
  (text: string): Result<number> => {
    const typed = new RegExp(`^(\\d{1,4}(?:[.,]\\d{1,3})?) ?(?:${unit})?$`, 'i').exec(
      plainFigures(text),
    )?.[1];
    const value = decimal(typed ?? '');
    return typed !== undefined && value >= least && value <= most
      ? success(value)
      : failure(problem);
  };

const percentOf = (least: number, most: number, problem: PlainKey) => (text: string) => {
  const read = parseWithin(least, most, '%', problem)(text);
  return read.ok ? success(read.value / 100) : read;
};

const NOT_FOR_WORDS = notForSchema.options.join(', ');

/** Some of the groups who may not want a string, divided by commas; none when empty. */
function parseNotFor(text: string): Result<NotFor[]> {
  const words = text
    .split(/[,;]/)
    .map((word) => word.trim().toLowerCase())
    .filter(Boolean);
  const stray = words.find((word) => !notForSchema.safeParse(word).success);
  return stray === undefined
    ? success([...new Set(words as NotFor[])])
    : failure('not for.unread', { typed: stray.slice(0, 40), known: NOT_FOR_WORDS });
}

const oneOf = <T extends string>(options: readonly T[], what: string) =>
  typed((text): Result<T> => {
    const found = options.find((option) => option === text.trim().toLowerCase());
    return found ? success(found) : failure('one of.unread', { what, options: options.join(', ') });
  });

/**
 * Texts in, facts out, with prices in the currency of the workshop; the same reading serves the form and the table.
 *
 * @example
 * stringEntrySchema('EUR').safeParse(emptyStringEntry).success // false
 */
export const stringEntrySchema = (currency: string) =>
  z
    .object({
      name: nameText('the string a name'),
      sport: oneOf(SPORTS, 'The sport'),
      family: oneOf(FAMILIES, 'The family'),
      subKind: lineText('the kind'),
      shape: oneOf(SHAPES, 'The shape'),
      colour: lineText('the colour'),
      gauges: textIn,
      set: typed(parseSet),
      price: typed(parseMoney(currency)),
      reel: optionalTyped(parseReel),
      reelPrice: optionalTyped(parseMoney(currency)),
      mass: optionalTyped(parseWithin(0.2, 5, 'g|g/m', 'mass.beyond')),
      stretch: optionalTyped(percentOf(0, 25, 'stretch.beyond')),
      life: optionalTyped(parseWithin(1, 200, 'h', 'life.beyond')),
      holding: optionalTyped(percentOf(20, 100, 'holding.beyond')),
      notFor: typed(parseNotFor),
      notes: noteText,
    })
    .transform((entry, context): StringFacts => {
      const gauges = parseGauges(entry.gauges, entry.sport);
      if (!gauges.ok)
        context.addIssue({ code: 'custom', path: ['gauges'], message: gauges.problem });
      if ((entry.reel === null) !== (entry.reelPrice === null))
        context.addIssue({
          code: 'custom',
          path: [entry.reel === null ? 'reel' : 'reelPrice'],
          message: 'A reel has a length and a price: fill in both, or neither.',
        });
      return {
        name: entry.name,
        sport: entry.sport,
        family: entry.family,
        subKind: entry.subKind,
        shape: entry.shape,
        colour: entry.colour,
        gaugesMm: gauges.ok ? [...gauges.value] : [],
        setMm: entry.set,
        setPriceMinor: entry.price,
        reelMm: entry.reel,
        reelPriceMinor: entry.reelPrice,
        massGPerM: entry.mass,
        stretch: entry.stretch,
        lifeHours: entry.life,
        holding: entry.holding,
        notFor: entry.notFor,
        notes: entry.notes,
      };
    });

export type StringEntry = z.input<ReturnType<typeof stringEntrySchema>>;

export const emptyStringEntry: StringEntry = {
  name: '',
  sport: 'tennis',
  family: 'synthetic gut',
  subKind: '',
  shape: 'round',
  colour: '',
  gauges: '',
  set: '12.2',
  price: '',
  reel: '',
  reelPrice: '',
  mass: '',
  stretch: '',
  life: '',
  holding: '',
  notFor: '',
  notes: '',
};

/** As finely as it can be typed. */
const figure = (value: number | null): string =>
  value === null ? '' : String(roundTo(value, 0.001));
const metres = (mm: Mm | null): string => figure(mm === null ? null : mm / 1000);
const percent = (fraction: number | null): string =>
  figure(fraction === null ? null : fraction * 100);

/**
 * The texts that read back as these facts.
 *
 * @example
 * stringEntrySchema('EUR').safeParse(emptyStringEntry).success // false
 */
export const stringEntryOf = (string: StringFacts, currency: string): StringEntry => ({
  name: string.name,
  sport: string.sport,
  family: string.family,
  subKind: string.subKind,
  shape: string.shape,
  colour: string.colour,
  gauges: string.gaugesMm.map((mm) => mm.toFixed(2)).join(' '),
  set: metres(string.setMm),
  price: moneyFigure(string.setPriceMinor, currency),
  reel: metres(string.reelMm),
  reelPrice: string.reelPriceMinor === null ? '' : moneyFigure(string.reelPriceMinor, currency),
  mass: figure(string.massGPerM),
  stretch: percent(string.stretch),
  life: figure(string.lifeHours),
  holding: percent(string.holding),
  notFor: string.notFor.join(', '),
  notes: string.notes,
});
