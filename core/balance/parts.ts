/** What was put on a racket, as it is typed and kept. */
import { z } from 'zod';
import { plainFigures } from '../measure/figures';
import { failure, success, type Result } from '../terms/result';
import type { Figures, Part } from './racket';
import { usualPlaces } from './reach';

export interface NamedPart extends Part {
  readonly name: string;
}

/** A racket as it was weighed, balanced and swung. */
export interface KeptBalance extends Figures {
  readonly parts: readonly NamedPart[];
  /** How it stood on the scale. */
  readonly strung: boolean;
  /** What stands on it or was measured, in the words of the trade. */
  readonly grip: string;
}

export const keptBalanceSchema: z.ZodType<KeptBalance> = z.object({
  massG: z.number().positive(),
  balanceMm: z.number().positive(),
  swingKgCm2: z.number().positive(),
  strung: z.boolean(),
  grip: z.string(),
  parts: z
    .array(
      z.object({
        name: z.string(),
        massG: z.number(),
        atMm: z.number(),
        longMm: z.number().min(0).optional(),
      }),
    )
    .readonly(),
}) as z.ZodType<KeptBalance>;

const LINE =
  /^(-?\d{1,3}(?:[.,]\d)?) ?g? (?:at )?(\d{1,4}(?:[.,]\d)?) ?(mm|cm)?(?: ?(?:to|-|–) ?(\d{1,4}(?:[.,]\d)?) ?(mm|cm)?)?(?:[ ,]+(.*))?$/;
/** A place by its name: `5 g at 3 and 9 o'clock`, `3 g at the tip`. */
const NAMED = /^(-?\d{1,3}(?:[.,]\d)?) ?g? ((?:at|above|under|in) .*)$/i;
const placeMm = (text: string, unit: string | undefined): number =>
  Number(text.replace(',', '.')) * (unit === 'cm' ? 10 : 1);
/** On no racket is there anything further from the butt. */
const LONGEST_MM = 750;
const MOST_PARTS = 20;

/** The usual place of that name; those of a tennis racket, which the others are within a centimetre of. */
const placeNamed = (text: string) => {
  const plain = (name: string) => name.toLowerCase().replace(/[’']/g, '');
  return usualPlaces('tennis').find(({ name }) => plain(name) === plain(text.trim()));
};

const LONGEST_NAME = 60;

/**
 * Parts, one a line: `5 g at 680 tip`, `8 g 60-180 leather grip`, `-4 g at 20` for what is taken off. Errors: a line that is
 * none, and what lies beyond any racket.
 *
 * @example
 * parseParts('8 g 60-180 leather grip').value // [{ name: 'leather grip', massG: 8, atMm: 120, longMm: 120 }]
 */
export function parseParts(text: string): Result<readonly NamedPart[]> {
  const parts: NamedPart[] = [];
  for (const line of text.split('\n').map((each) => each.trim())) {
    if (line === '') continue;
    const tidy = plainFigures(line);
    const named = NAMED.exec(tidy);
    const place = named && placeNamed(named[2] ?? '');
    const match = place ? null : LINE.exec(tidy);
    // A clock has no millimetres: `at 4 o'clock` is no place that lead goes to.
    if (!place && (!match || /(?:^|\s)at \d+ (?:and \d+ )?o'?clock/i.test(tidy)))
      return failure('parts.unread', { typed: line.slice(0, 40) });
    const [, mass = '', from = '', unit, to, toUnit, name = ''] = match ?? [];
    const half = (place?.longMm ?? 0) / 2;
    const [a, b] = place
      ? [place.atMm - half, place.atMm + half]
      : [
          placeMm(from, to === undefined ? unit : (unit ?? toUnit)),
          placeMm(to ?? from, toUnit ?? unit),
        ];
    if (Math.max(a, b) > LONGEST_MM) return failure('parts.beyond', { most: LONGEST_MM });
    const massG = Number((named && place ? (named[1] ?? '') : mass).replace(',', '.'));
    if (massG === 0 || Math.abs(massG) > 100) return failure('parts.mass');
    if (name.length > LONGEST_NAME) return failure('parts.name', { most: LONGEST_NAME });
    parts.push({
      name: place?.name ?? name,
      massG,
      atMm: (a + b) / 2,
      ...(a !== b && { longMm: Math.abs(b - a) }),
    });
  }
  return parts.length > MOST_PARTS ? failure('parts.too many') : success(parts);
}

/**
 * The same as it is typed.
 *
 * @example
 * formatParts([{ name: 'tip', massG: 5, atMm: 680 }]) // '5 g at 680 tip'
 */
export const formatParts = (parts: readonly NamedPart[]): string =>
  parts
    .map(({ name, massG, atMm, longMm = 0 }) =>
      [`${massG} g`, longMm > 0 ? `${atMm - longMm / 2}-${atMm + longMm / 2}` : `at ${atMm}`, name]
        .filter(Boolean)
        .join(' '),
    )
    .join('\n');

/** From there on a part is at the head, and up to there at the handle, mm from the butt. From memory. */
const HEAD_MM = 450;
const HANDLE_MM = 260;
/** What a job of string weighs in tennis, g: 15 to 20 (practice). */
const STRING_G = 17;

/**
 * What of it the advice asks for: the mass without strings, and the lead at head and handle.
 *
 * @example
 * forAdvice({ massG: 317, balanceMm: 320, swingKgCm2: 300, strung: true, grip: '', parts: [{ name: '', massG: 5, atMm: 600 }] }) // { weightG: 305, leadHeadG: 5, leadHandleG: 0 }
 */
export function forAdvice({ massG, strung, parts }: KeptBalance): {
  readonly weightG: number;
  readonly leadHeadG: number;
  readonly leadHandleG: number;
} {
  const sum = (of: (part: NamedPart) => boolean) =>
    parts.filter(of).reduce((total, part) => total + part.massG, 0);
  return {
    weightG: massG + sum(() => true) - (strung ? STRING_G : 0),
    leadHeadG: Math.max(
      0,
      sum(({ atMm }) => atMm >= HEAD_MM),
    ),
    leadHandleG: Math.max(
      0,
      sum(({ atMm }) => atMm <= HANDLE_MM),
    ),
  };
}
