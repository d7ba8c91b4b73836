'use client';

import { useEffect, useRef } from 'react';
import { ARM_CAUTION } from '@/core/advice/talk';
import { useAwake } from '@/ui/use-awake';
import { TalkQuestions, type TalkQuestionsProps } from './talk-questions';

interface TalkPanelProps extends TalkQuestionsProps {
  /** The talk in a line of words; empty when nothing was said. */
  readonly words: string;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  /** What was asked for at take-in, in the client's own words. */
  readonly wish: string;
  /** Nothing was set up yet, so the keyboard begins here. */
  readonly autoFocus: boolean;
}

/** The talk at the counter: every question can be skipped; what is known is a line of words. */
export function TalkPanel({ words, open, onOpen, wish, autoFocus, ...questions }: TalkPanelProps) {
  const awake = useAwake();
  const first = useRef<HTMLElement>(null);
  const wasOpen = useRef(open);
  const began = useRef(false);
  useEffect(() => {
    if (!awake) return;
    const justOpened = open && !wasOpen.current;
    const beginsHere = autoFocus && !began.current;
    wasOpen.current = open;
    began.current = true;
    if (justOpened || beginsHere)
      first.current?.querySelector<HTMLButtonElement>('button:not([tabindex="-1"])')?.focus();
  }, [awake, open, autoFocus]);
  if (!open)
    return (
      <section aria-label="The talk" className="content-start" ref={first}>
        <h2 className="figure text-2xl">The talk</h2>
        {wish && <p className="mt-1">“{wish}”</p>}
        <p className="mt-1">{words || 'Nobody has asked yet.'}</p>
        {questions.armSaid && <p className="label mt-2">{ARM_CAUTION}</p>}
        <button type="button" className="mt-2 underline" onClick={() => onOpen(true)}>
          {words ? 'Ask again' : 'Ask the client'}
        </button>
      </section>
    );
  return (
    <section aria-label="The talk" className="flex flex-col gap-1.5" ref={first}>
      <h2 className="figure text-2xl">The talk</h2>
      {wish && <p>“{wish}”</p>}
      {words && <p className="text-soft text-sm">{words}</p>}
      <TalkQuestions {...questions} />
      <button
        type="button"
        className="bg-ink text-paper mt-1 self-start px-4 py-1.5 font-medium"
        onClick={() => onOpen(false)}
      >
        That is all they said
      </button>
    </section>
  );
}
