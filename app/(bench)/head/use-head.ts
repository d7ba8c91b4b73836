'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Family } from '@/core/terms/family';
import type { HeadFault } from '@/core/bench/tension-head';
import type { FromHead, Rehearsal } from '@/formats/head-lines';
import type { TensionHead } from './driver';
import { linkLineHead } from './line-head';

interface HeadState {
  /** `none` where the machine has no head to link to. */
  readonly link: 'none' | 'linking' | 'linked' | 'lost';
  readonly name: string;
  readonly phase: 'rest' | 'pulling' | 'holding' | 'faulty';
  /** Its latest reading, N. */
  readonly readingN: number;
  readonly fault: HeadFault | undefined;
  /** Why it did not do what it was told. */
  readonly refused: string | undefined;
  /** What is rehearsed in the next pull. */
  readonly rehearsal: Rehearsal;
}

export interface Head extends HeadState {
  readonly pull: (n: number, family: Family) => void;
  readonly release: () => void;
  readonly rehearse: (what: Rehearsal) => void;
}

const RETRY_MS = 3000;

const REST = { phase: 'rest', readingN: 0, fault: undefined, refused: undefined } as const;

function after(state: HeadState, line: FromHead): HeadState {
  switch (line.say) {
    case 'head':
      return { ...state, name: line.name };
    case 'reading':
      return { ...state, readingN: line.n };
    case 'hold':
      return { ...state, phase: 'holding', readingN: line.n };
    case 'fault':
      return { ...state, phase: 'faulty', fault: line.fault, readingN: line.n };
    case 'refused':
      return { ...state, phase: 'rest', refused: line.why };
    case 'released':
      return { ...state, ...REST };
    case 'ready':
      return state;
  }
}

/** The head of a machine, linked anew whenever the link is lost. */
export function useHead(address: string | null): Head {
  const head = useRef<TensionHead>(undefined);
  const [state, setState] = useState<HeadState>({
    link: address === null ? 'none' : 'linking',
    name: '',
    rehearsal: 'nothing',
    ...REST,
  });

  useEffect(() => {
    if (address === null) return;
    let timer: ReturnType<typeof setTimeout>;
    const link = () => {
      head.current = linkLineHead(address, {
        hear: (line) => setState((was) => after(was, line)),
        linked: () => setState((was) => ({ ...was, ...REST, link: 'linked' })),
        lost: () => {
          setState((was) => ({ ...was, ...REST, link: 'lost' }));
          timer = setTimeout(link, RETRY_MS);
        },
      });
    };
    link();
    return () => {
      clearTimeout(timer);
      head.current?.close();
    };
  }, [address]);

  const pull = useCallback((n: number, family: Family) => {
    setState((was) => ({ ...was, ...REST, phase: 'pulling', rehearsal: 'nothing' }));
    head.current?.pull(n, family);
  }, []);
  const release = useCallback(() => {
    setState((was) => ({ ...was, ...REST }));
    head.current?.release();
  }, []);
  const rehearse = useCallback((what: Rehearsal) => {
    setState((was) => ({ ...was, rehearsal: what }));
    head.current?.rehearse(what);
  }, []);
  return { ...state, pull, release, rehearse };
}
