/** Zod over the parsers of what people type, so that a form's schema speaks their sentences. */
import { z } from 'zod';
import type { Result } from '../terms/result';

/**
 * What no person typed and no database keeps: control characters other than tab and line end go, and
 * half a surrogate pair, which is no character at all, becomes the mark for one that is lost.
 *
 * @example
 * keepable('worn\u0000 at 5H') // 'worn at 5H'
 */
export const keepable = (text: string): string =>
  text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g, '')
    .replace(/\p{Surrogate}/gu, '\ufffd');

/** The one schema through which every text comes in, from a form, a file, an address or a bench. */
export const textIn = z.string().overwrite(keepable);

/**
 * A schema that takes text and gives what `parse` makes of it, or its sentence as the issue.
 *
 * @example
 * typed((text) => ({ ok: true, value: text.length })).parse('abc') // 3
 */
export const typed = <T>(parse: (text: string) => Result<T>) =>
  textIn.transform((text, context): T => {
    const read = parse(text);
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: read.problem });
    return z.NEVER;
  });

/**
 * The same, where an empty text means that nothing was said.
 *
 * @example
 * optionalTyped((text) => ({ ok: true, value: text })).parse('  ') // null
 */
export const optionalTyped = <T>(parse: (text: string) => Result<T>) =>
  textIn.transform((text, context): T | null => {
    if (text.trim() === '') return null;
    const read = parse(text);
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: read.problem });
    return z.NEVER;
  });

/**
 * A name of one line, in any script.
 *
 * @example
 * nameText('a name').safeParse(' ').error.issues[0].message // 'Give a name.'
 */
export const nameText = (what: string) =>
  textIn.trim().min(1, `Give ${what}.`).max(120, `Keep ${what} under 120 letters.`);

/**
 * What two ways of writing one name have in common: without case and doubled spaces.
 *
 * @example
 * sameName(' Ada  BRILL') // 'ada brill'
 */
export const sameName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

/**
 * An optional line.
 *
 * @example
 * lineText('the mark').parse(' A ') // 'A'
 */
export const lineText = (what: string) => textIn.trim().max(200, `Keep ${what} under 200 letters.`);

/** A note of any number of lines. */
export const noteText = textIn
  .trim()
  .max(4000, 'Keep a note under 4000 letters: put the rest on paper or in a second job.');

/**
 * One of a list by its id, or none; what was typed and never chosen is refused, so that it is not lost unsaid.
 *
 * @example
 * pickedOrNone('a frame').safeParse('typed').success // false
 */
export const pickedOrNone = (what: string) =>
  z
    .string()
    .refine(
      (value) => value === '' || z.uuid().safeParse(value).success,
      `Choose ${what} from the list, or leave the field empty.`,
    );
