'use client';

import { useEffect, useRef, useState } from 'react';
import type { RowKind, Rows, RowsAnswer, RowsQuestion } from '@/workers/rows.worker';

export interface LiveRows<K extends RowKind> {
  readonly rows: Rows<K> | undefined;
  readonly problem: string | undefined;
  /** The worker is at it. */
  readonly reading: boolean;
}

const NO_WORKER = 'This browser cannot read tables here. Try another one.';

/** What would become of the rows of a table, worked out in a worker; nothing while nothing is asked. */
export function useRows<K extends RowKind>(
  question: Omit<Extract<RowsQuestion, { readonly kind: K }>, 'id'> | undefined,
): LiveRows<K> {
  const worker = useRef<Worker | undefined>(undefined);
  const asked = useRef(0);
  const [live, setLive] = useState<LiveRows<K> & { readonly of?: unknown }>({
    rows: undefined,
    problem: undefined,
    reading: false,
  });

  useEffect(() => () => worker.current?.terminate(), []);

  useEffect(() => {
    if (!question) return;
    worker.current ??= new Worker(new URL('../../../workers/rows.worker.ts', import.meta.url), {
      type: 'module',
    });
    const id = ++asked.current;
    const made = worker.current;
    const hear = ({ data }: MessageEvent<RowsAnswer<K>>) => {
      if (data.id !== id) return;
      setLive(
        'problem' in data
          ? { rows: undefined, problem: data.problem, reading: false, of: question }
          : { rows: data.rows, problem: undefined, reading: false, of: question },
      );
    };
    const failed = () =>
      setLive({ rows: undefined, problem: NO_WORKER, reading: false, of: question });
    made.addEventListener('message', hear);
    made.addEventListener('error', failed);
    made.postMessage({ ...question, id });
    return () => {
      made.removeEventListener('message', hear);
      made.removeEventListener('error', failed);
    };
  }, [question]);

  if (!question) return { rows: undefined, problem: undefined, reading: false };
  return live.of === question ? live : { ...live, problem: undefined, reading: true };
}
