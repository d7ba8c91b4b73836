'use client';

import { useEffect, useRef, useState } from 'react';
import { useHead } from '@/app/(bench)/head/use-head';
import { useKeys } from '@/app/(bench)/use-keys';
import { useSound } from '@/app/(bench)/use-sound';
import { wayTaken } from '@/core/bench/mishap';
import { headPull, type BenchStep } from '@/core/bench/plan';
import type { Sequence } from '@/core/bench/sequence';
import { isMain } from '@/core/terms/string-name';
import type { Family } from '@/core/terms/family';
import type { BenchHead } from './head-panel';
import type { useBench } from './use-bench';

interface StepOf {
  readonly sequence: Sequence;
  readonly bench: ReturnType<typeof useBench>;
  readonly machine: BenchHead | undefined;
  readonly families: { readonly mains: Family; readonly crosses: Family };
  /** No key does anything: the job is closed, or something is asked first. */
  readonly blocked: boolean;
  /** Where a step goes on at another place than the bench, what leads there. */
  readonly elsewhere: (step: BenchStep | undefined) => (() => void) | undefined;
}

/** The step in hand: what the head is set to for it, what goes on from it and back, and the keys for that. */
export function useStep({ sequence, bench, machine, families, blocked, elsewhere }: StepOf) {
  const { steps } = sequence;
  const { log, note } = bench;
  const head = useHead(machine?.address ?? null);
  const sound = useSound();
  const [panel, setPanel] = useState<'note' | 'mishap'>();
  const [byHand, setByHand] = useState(false);

  const done = Math.min(log.done, steps.length);
  const step = steps[done];
  const pullN = step && headPull(step);
  const setN = pullN === undefined ? undefined : pullN / (machine?.pulls ?? 1);
  const family =
    step?.string !== undefined && !isMain(step.string) ? families.crosses : families.mains;
  const byHead = head.link === 'linked' && !byHand && setN !== undefined;
  const wayOut = log.amiss && wayTaken(sequence, log.amiss);

  // A tone when the pull is there, another where care is due.
  const { play } = sound;
  const phase = useRef(head.phase);
  useEffect(() => {
    if (head.phase !== phase.current && head.phase === 'holding') play('there');
    if (head.phase !== phase.current && head.phase === 'faulty') play('care');
    phase.current = head.phase;
  }, [head.phase, play]);
  const caution = step?.caution;
  useEffect(() => {
    if (caution !== undefined) play('care');
  }, [caution, done, play]);

  const goOn = () => {
    if (log.paused || wayOut) return note(log.done, { kind: 'resume' });
    const lead = elsewhere(step);
    if (lead) return lead();
    if (done === steps.length) return;
    if (!byHead) return note(done + 1, { kind: 'step' });
    if (head.phase === 'rest' || head.phase === 'faulty') return head.pull(setN, family);
    // The step waits for its tension.
    if (head.phase === 'pulling') return;
    note(done + 1, { kind: 'step', pulledN: head.readingN * (machine?.pulls ?? 1) });
    head.release();
  };
  const takeBack = () => {
    if (done === 0) return;
    if (head.phase !== 'rest') head.release();
    note(done - 1, { kind: 'step' });
  };
  const pause = () => note(log.done, { kind: log.paused ? 'resume' : 'pause' });
  const turnHand = () => {
    head.release();
    setByHand(!byHand);
  };
  const keys = {
    ' ': goOn,
    ArrowRight: goOn,
    ArrowLeft: takeBack,
    '.': pause,
    n: () => setPanel('note'),
    r: () => setPanel('mishap'),
  };
  useKeys(keys, bench.ready && !blocked && panel === undefined);

  return {
    done,
    step,
    /** What the string is pulled at, and what its machine is set to for that, N. */
    pullN,
    setN,
    head,
    sound,
    byHand,
    byHead,
    wayOut,
    panel,
    setPanel,
    goOn,
    takeBack,
    pause,
    turnHand,
  };
}
