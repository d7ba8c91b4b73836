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

/** The same for who needs only what was found. */
export const useFound = <T>(
  ask: () => Promise<readonly T[]>,
  key: string,
  delay: number,
): readonly T[] => useAnswer(ask, key, delay).found;
