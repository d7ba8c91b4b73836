'use client';

import { useEffect, useRef, useState } from 'react';
import type { Study } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import type { Mend } from '@/core/frame/single-fixes';
import type { StudyAnswer, StudyQuestion } from '@/workers/study.worker';

export interface LiveStudy {
  /** Of the latest spec that could be read, or of the one before while the worker is at it. */
  readonly study: Study | undefined;
  /** The latest that made a bed, so that the drawing stays while a figure is half typed. */
  readonly drawn: Study | undefined;
  readonly mends: readonly Mend[];
}

/**
 * Studies a frame while it is typed, in a worker. The first study comes from the server, so that the page
 * shows its bed at once.
 */
export function useStudy(spec: FrameSpec | undefined, first: Study | undefined): LiveStudy {
  const [live, setLive] = useState<LiveStudy>({
    study: first,
    drawn: first?.bed ? first : undefined,
    mends: [],
  });
  const worker = useRef<Worker>(undefined);
  const asked = useRef(0);

  useEffect(() => {
    const started = new Worker(new URL('../../workers/study.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = started;
    started.addEventListener('message', ({ data }: MessageEvent<StudyAnswer>) => {
      if (data.id !== asked.current) return;
      const { study, mends } = data;
      setLive((before) => ({ study, mends, drawn: study.bed ? study : before.drawn }));
    });
    return () => started.terminate();
  }, []);

  useEffect(() => {
    if (!spec) return;
    const question: StudyQuestion = { id: ++asked.current, spec };
    worker.current?.postMessage(question);
  }, [spec]);

  return live;
}
