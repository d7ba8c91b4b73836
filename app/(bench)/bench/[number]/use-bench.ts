'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { SentEvent } from './actions';

interface Bench {
  /** Steps that are done. */
  readonly done: number;
  /** Goes to so many steps done, forwards or back. */
  readonly go: (done: number) => void;
  /** Steps that the server does not have yet. */
  readonly waiting: number;
  /** The job was closed elsewhere, so nothing is kept any more. */
  readonly closed: boolean;
}

const RETRY_MS = 2000;

function stored(key: string): SentEvent[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as SentEvent[];
  } catch {
    return [];
  }
}

/**
 * Where a job stands at the bench. Each step goes into the browser's store first and from there to the
 * server, in order and each once, so a reload or a lost connection loses nothing.
 */
export function useBench(
  number: number,
  serverDone: number,
  last: number,
  keep: (events: readonly SentEvent[]) => Promise<{ readonly kept: boolean }>,
): Bench {
  const key = `bench ${number}`;
  const [done, setDone] = useState(serverDone);
  const [waiting, setWaiting] = useState(0);
  const [closed, setClosed] = useState(false);
  const sending = useRef(false);
  const at = useRef(serverDone);

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      for (let queue = stored(key); queue.length > 0; queue = stored(key)) {
        const { kept } = await keep(queue);
        if (!kept) setClosed(true);
        const sent = new Set(queue.map(({ id }) => id));
        const left = stored(key).filter(({ id }) => !sent.has(id));
        localStorage.setItem(key, JSON.stringify(left));
        setWaiting(left.length);
      }
    } catch {
      // No connection: what waits is sent when the timer comes round again.
    } finally {
      sending.current = false;
    }
  }, [key, keep]);

  useEffect(() => {
    const queue = stored(key);
    const latest = queue.at(-1);
    if (latest) {
      at.current = Math.min(last, latest.done);
      // What waits in the store is newer than what the server knew, and only this browser has it.
      setDone(at.current);
      setWaiting(queue.length);
    }
    void send();
    const timer = setInterval(() => void send(), RETRY_MS);
    return () => clearInterval(timer);
  }, [key, last, send]);

  const go = useCallback(
    (to: number) => {
      const next = Math.max(0, Math.min(last, to));
      if (next === at.current) return;
      at.current = next;
      const queue = [
        ...stored(key),
        { id: crypto.randomUUID(), done: next, at: new Date().toISOString() },
      ];
      localStorage.setItem(key, JSON.stringify(queue));
      setWaiting(queue.length);
      setDone(next);
      void send();
    },
    [key, last, send],
  );

  return { done, go, waiting, closed };
}
