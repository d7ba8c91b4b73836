'use client';

import { useEffect, useState } from 'react';
import type { Study } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import type { Mend } from '@/core/frame/single-fixes';
import { askStudy } from './ask-study';

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

  useEffect(() => {
    if (!spec) return;
    let wanted = true;
    void askStudy(spec).then((answer) => {
      if (!wanted || !answer) return;
      const { study, mends } = answer;
      setLive((before) => ({ study, mends, drawn: study.bed ? study : before.drawn }));
    });
    return () => {
      wanted = false;
    };
  }, [spec]);

  return live;
}
