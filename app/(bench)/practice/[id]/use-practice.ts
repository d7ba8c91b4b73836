'use client';

import { useCallback, useEffect, useState } from 'react';
import { z } from 'zod';

const stateSchema = z.object({
  /** Makes this round differ from the one before. */
  seed: z.number().int(),
  done: z.number().int().min(0),
  answers: z.array(
    z.object({
      step: z.number().int(),
      ask: z.string(),
      given: z.string(),
      right: z.string(),
      /** What speaks against what was given; null where it is right, or as right. */
      against: z.string().nullable(),
    }),
  ),
});

export type PracticeState = z.infer<typeof stateSchema>;

const START: PracticeState = { seed: 1, done: 0, answers: [] };

/** A round of practice, kept in the window until it is begun anew. */
export function usePractice(id: string) {
  const key = `practice ${id}`;
  const [state, setState] = useState(START);

  useEffect(() => {
    try {
      const kept = stateSchema.safeParse(JSON.parse(sessionStorage.getItem(key) ?? 'null'));
      // The page as the server sent it knows nothing of this window.
      // eslint-disable-next-line react-hooks/set-state-in-effect
      if (kept.success) setState(kept.data);
    } catch {
      // A torn store begins anew.
    }
  }, [key]);

  const change = useCallback(
    (next: PracticeState) => {
      sessionStorage.setItem(key, JSON.stringify(next));
      setState(next);
    },
    [key],
  );
  return [state, change] as const;
}
