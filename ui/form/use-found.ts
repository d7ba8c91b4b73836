'use client';

import { useEffect, useState } from 'react';

interface Answer<T> {
  /** What was asked for; the answer to something else stays until the next one comes. */
  readonly to: string | undefined;
  readonly found: readonly T[];
  /** The server did not answer. */
  readonly lost: boolean;
}

/** What the server answers to `ask`, a moment after the typing stops; the last answer stays meanwhile. */
export function useAnswer<T>(
  ask: () => Promise<readonly T[]>,
  key: string,
  delay: number,
): Answer<T> {
  const [answer, setAnswer] = useState<Answer<T>>({ to: undefined, found: [], lost: false });
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const next = await ask().then(
        (found) => ({ to: key, found, lost: false }),
        () => ({ to: key, found: [], lost: true }),
      );
      if (current) setAnswer(next);
    }, delay);
    return () => {
      current = false;
      clearTimeout(timer);
    };
    // `ask` is made anew at each rendering; `key` says when it asks for something else.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, delay]);
  return answer;
}

/** Whether an answer is the one to this text, or none will come. */
export const isSettled = (
  { to, lost }: Pick<Answer<unknown>, 'to' | 'lost'>,
  text: string,
): boolean => to === text || lost;

/** The same for who needs only what was found. */
export const useFound = <T>(
  ask: () => Promise<readonly T[]>,
  key: string,
  delay: number,
): readonly T[] => useAnswer(ask, key, delay).found;

/**
 * What was found for the text that stands there now. Of the answer to an earlier text only what still goes by this one
 * is offered, so that nobody who types fast takes what they never looked for.
 */
export const offered = <T extends { readonly text: string; readonly detail?: string | undefined }>(
  { to, found }: Answer<T>,
  text: string,
): readonly T[] => {
  if (to === text) return found;
  const typed = text.trim().toLowerCase();
  return found.filter(({ text: name, detail = '' }) =>
    `${name} ${detail}`.toLowerCase().includes(typed),
  );
};
