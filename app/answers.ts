/** How server actions answer forms, in one voice. */
import type { z } from 'zod';
import { says, type Saved } from '@/db/saving';
import type { FormAnswer } from '@/ui/form/result';

export const refused = (notice: string): FormAnswer => ({ ok: false, notice });

/** The refusal of an action that answers with a sentence or with nothing. */
export const said = (sentence: string): string | void => sentence;

/** Each field's first sentence from a failed reading. */
export function misread(error: z.ZodError): FormAnswer {
  const problems: Record<string, string> = {};
  for (const { path, message } of error.issues) problems[path.join('.')] ??= message;
  return { ok: false, problems };
}

/** The answer to a change, with what to do when somebody else was quicker. */
export function answerTo(saved: Saved, what: string, go?: string): FormAnswer {
  if (saved === 'changed')
    return refused(
      `This ${what} was changed in another tab or on another device meanwhile. Nothing of yours was saved. Reload to see the change: what you typed is put over it.`,
    );
  if (saved === 'gone')
    return refused(
      `This ${what} was closed or removed in another tab. Nothing was saved; copy what you still need from here.`,
    );
  return go === undefined ? { ok: true } : { ok: true, go };
}

/**
 * The answer to a form that adds, by what stands under its key now: what it said, or what an earlier press of it said, whose
 * answer was lost on the way.
 */
export function answerToAdded<Facts extends { readonly name: string }>(
  kept: { readonly name: string } | undefined,
  typed: Facts,
  go?: string,
): FormAnswer {
  if (!kept || says(kept, JSON.parse(JSON.stringify(typed)) as Facts))
    return answerTo('saved', '', go);
  return refused(
    kept.name === typed.name
      ? `The press before kept “${kept.name}” with something else beside the name. What you changed since is not kept: open it, and change it there.`
      : `The press before kept “${kept.name}”. “${typed.name}” is not kept: open the other and change it there, or reload and write this one anew.`,
  );
}

/** Thrown inside a transaction to undo all of it and answer with a sentence. */
export class Undone extends Error {
  constructor(readonly answer: FormAnswer) {
    super('undone');
  }
}

/** What was read; or nothing of the transaction is kept, and it is said why it could not be. */
export function readOrUndone<T>(
  read: { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string },
): T {
  if (!read.ok) throw new Undone(refused(read.problem));
  return read.value;
}

/** Runs a transaction, and turns what it was undone for into the answer. */
export async function wholly(work: () => Promise<FormAnswer>): Promise<FormAnswer> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Undone) return error.answer;
    throw error;
  }
}
