/** How server actions answer forms, in one voice. */
import type { z } from 'zod';
import type { Saved } from '@/db/saving';
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

/** Thrown inside a transaction to undo all of it and answer with a sentence. */
export class Undone extends Error {
  constructor(readonly answer: FormAnswer) {
    super('undone');
  }
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
