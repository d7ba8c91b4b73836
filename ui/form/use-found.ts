'use client';

import { useEffect, useState } from 'react';

/** What the server finds for `ask`, a moment after the typing stops; the last answer stays meanwhile. */
export function useFound<T>(
  ask: () => Promise<readonly T[]>,
  key: string,
  delay: number,
): readonly T[] {
  const [found, setFound] = useState<readonly T[]>([]);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const answer = await ask().catch(() => []);
      if (current) setFound(answer);
    }, delay);
    return () => {
      current = false;
      clearTimeout(timer);
    };
    // `ask` is made anew at each rendering; `key` says when it asks for something else.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, delay]);
  return found;
}
