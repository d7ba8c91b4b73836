/** What was put on a racket, as it is typed and kept. */
import { z } from 'zod';
import { plainFigures } from '../measure/figures';
import { failure, success, type Result } from '../terms/result';
import type { Figures, Part } from './racket';

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
  /^(-?\d{1,3}(?:[.,]\d)?) ?g? (?:at )?(\d{1,4})(?: ?mm)?(?: ?(?:to|-|–) ?(\d{1,4})(?: ?mm)?)?(?:[ ,]+(.*))?$/;
/** On no racket is there anything further from the butt. */
const LONGEST_MM = 750;
const MOST_PARTS = 20;

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
    const match = LINE.exec(plainFigures(line));
    if (!match) return failure('parts.unread', { typed: line.slice(0, 40) });
    const [, mass = '', from = '', to, name = ''] = match;
    const [a, b] = [Number(from), Number(to ?? from)];
    if (Math.max(a, b) > LONGEST_MM) return failure('parts.beyond', { most: LONGEST_MM });
    const massG = Number(mass.replace(',', '.'));
    if (massG === 0 || Math.abs(massG) > 100) return failure('parts.mass');
    parts.push({
      name: name.slice(0, 60),
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
