/** Zod over the parsers of what people type, so that a form's schema speaks their sentences. */
import { z } from 'zod';
import type { Result } from './result';

/** A schema that takes text and gives what `parse` makes of it, or its sentence as the issue. */
export const reading = <T>(parse: (text: string) => Result<T>) =>
  z.string().transform((text, context): T => {
    const read = parse(text);
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: read.problem });
    return z.NEVER;
  });

/** The same, where an empty text means that nothing was said. */
export const optionalReading = <T>(parse: (text: string) => Result<T>) =>
  z.string().transform((text, context): T | null => {
    if (text.trim() === '') return null;
    const read = parse(text);
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: read.problem });
    return z.NEVER;
  });

/** Control characters carry nothing a person typed, and PostgreSQL refuses the first of them. */
const withoutControls = (text: string) =>
  text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '').trim();

/** A name of one line, in any script. */
export const nameText = (what: string) =>
  z
    .string()
    .transform(withoutControls)
    .pipe(z.string().min(1, `Give ${what}.`).max(120, `Keep ${what} under 120 letters.`));

/** An optional line. */
export const lineText = (what: string) =>
  z
    .string()
    .transform(withoutControls)
    .pipe(z.string().max(200, `Keep ${what} under 200 letters.`));

/** A note of any number of lines. */
export const noteText = z
  .string()
  .transform(withoutControls)
  .pipe(
    z
      .string()
      .max(4000, 'Keep a note under 4000 letters: put the rest on paper or in a second job.'),
  );
