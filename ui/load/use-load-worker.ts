'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { LoadAsked, LoadSaid } from '@/workers/load.worker';

export interface LoadWork {
  /** How far it is; undefined while nothing is worked out. */
  readonly at: { readonly words: string; readonly done: number; readonly of: number } | undefined;
  /** It was stopped before its end, or could not run. */
  readonly broken: 'stopped' | 'cannot run' | undefined;
  readonly start: (asked: LoadAsked, hear: (said: LoadSaid) => void) => void;
  readonly stop: () => void;
}

/** A worker that strings in thought: it says how far it is, and can be stopped at any moment. */
export function useLoadWorker(): LoadWork {
  const worker = useRef<Worker | undefined>(undefined);
  const [at, setAt] = useState<LoadWork['at']>();
  const [broken, setBroken] = useState<LoadWork['broken']>();
  const end = useCallback((why: LoadWork['broken']) => {
    worker.current?.terminate();
    worker.current = undefined;
    setAt(undefined);
    setBroken(why);
  }, []);
  const start = useCallback<LoadWork['start']>(
    (asked, hear) => {
      worker.current?.terminate();
      const made = new Worker(new URL('../../workers/load.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = made;
      setBroken(undefined);
      made.addEventListener('message', ({ data }: MessageEvent<LoadSaid>) => {
        if (worker.current !== made) return;
        if (data.is === 'at') setAt(data);
        else if (data.is === 'done') end(undefined);
        else hear(data);
      });
      made.addEventListener('error', () => {
        if (worker.current === made) end('cannot run');
      });
      made.postMessage(asked);
    },
    [end],
  );
  useEffect(() => () => worker.current?.terminate(), []);
  return { at, broken, start, stop: useCallback(() => end('stopped'), [end]) };
}
