'use client';

import { useEffect, useRef, useState } from 'react';
import type { BedStrings, SameFeel } from '@/core/advice/same-feel';
import type { Result } from '@/core/terms/result';
import type { FrameSpec } from '@/core/frame/frame';
import type { TicketTension } from '@/core/measure/units';
import type { FeelAnswer, FeelQuestion } from '@/workers/feel.worker';

interface Asked {
  readonly from: FrameSpec | undefined;
  readonly to: FrameSpec | undefined;
  readonly tension: TicketTension | undefined;
  readonly strings: BedStrings | undefined;
}

/** The tension of the same feel, worked out in a worker; undefined until it answers. */
export function useSameFeel({ from, to, tension, strings }: Asked): Result<SameFeel> | undefined {
  const worker = useRef<Worker>(undefined);
  const asked = useRef(0);
  const [answer, setAnswer] = useState<FeelAnswer>();
  const question =
    from && to && tension && strings ? JSON.stringify({ from, to, tension, strings }) : '';
  const [answered, setAnswered] = useState('');

  useEffect(() => {
    const started = new Worker(new URL('../../../workers/feel.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = started;
    return () => started.terminate();
  }, []);

  useEffect(() => {
    if (question === '') return;
    const id = ++asked.current;
    const hear = ({ data }: MessageEvent<FeelAnswer>) => {
      if (data.id !== id) return;
      setAnswer(data);
      setAnswered(question);
    };
    const here = worker.current;
    here?.addEventListener('message', hear);
    here?.postMessage({ id, ...(JSON.parse(question) as Omit<FeelQuestion, 'id'>) });
    return () => here?.removeEventListener('message', hear);
  }, [question]);

  return question !== '' && answered === question ? answer?.found : undefined;
}
