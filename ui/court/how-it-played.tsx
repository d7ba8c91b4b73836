'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { AGAIN, COURT_PLACES, type CourtWords } from '@/core/ageing/court';
import { FAULTS } from '@/core/advice/talk';
import { Ask, AskMany } from '../form/ask';
import { NoteField, TextField } from '../form/field';
import { OpensAwake } from '../form/opens-awake';

interface HowItPlayedProps {
  readonly said: CourtWords;
  /** A sentence: thanks, or why it was not kept. */
  readonly send: (words: CourtWords) => Promise<string>;
  readonly action: string;
}

const NO_ANSWER = 'The workshop does not answer just now. Nothing was kept: please try again.';
const AGAIN_WORDS = { yes: 'yes', no: 'no, another one' } as const;

/** A minute: how the bed played, where and when it broke, and whether they would take it again. */
export function HowItPlayed({ said, send, action }: HowItPlayedProps) {
  const router = useRouter();
  const [words, setWords] = useState(said);
  const [hours, setHours] = useState(said.brokeHours === null ? '' : String(said.brokeHours));
  const [answer, setAnswer] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const set = (changes: Partial<CourtWords>) => setWords({ ...words, ...changes });
  const broke = words.faults.includes('broke');
  const go = async () => {
    const typed = Number(hours.replace(',', '.'));
    if (broke && hours.trim() !== '' && !(typed > 0 && typed <= 500)) {
      setProblem('Hours of play are a number up to 500, such as 12.');
      return;
    }
    setProblem(undefined);
    setBusy(true);
    const whole: CourtWords = {
      ...words,
      brokeHours: broke && hours.trim() !== '' ? typed : null,
      brokeAt: broke ? words.brokeAt : null,
    };
    setAnswer(await send(whole).catch(() => NO_ANSWER));
    setBusy(false);
    router.refresh();
  };
  return (
    <div className="flex flex-col gap-3">
      <OpensAwake>
        <AskMany
          label="How did it play?"
          options={FAULTS}
          value={words.faults}
          onChange={(faults) => set({ faults })}
        />
        {broke && (
          <div className="flex flex-wrap items-end gap-5">
            <TextField
              label="After how many hours of play"
              inputMode="decimal"
              value={hours}
              onChange={(event) => setHours(event.target.value)}
              problem={problem}
            />
            <Ask
              label="Where"
              options={COURT_PLACES.map((value) => ({ value, text: value }))}
              value={words.brokeAt ?? ''}
              onChange={(place) => set({ brokeAt: place === '' ? null : place })}
            />
          </div>
        )}
        <Ask
          label="The same again?"
          options={AGAIN.map((value) => ({ value, text: AGAIN_WORDS[value] }))}
          value={words.again ?? ''}
          onChange={(again) => set({ again: again === '' ? null : again })}
        />
        <NoteField
          label="A word more, if you like"
          value={words.note}
          maxLength={400}
          onChange={(event) => set({ note: event.target.value })}
        />
        <p className="flex flex-wrap items-baseline gap-4">
          <button
            type="button"
            disabled={busy}
            onClick={() => void go()}
            className="border-ink border px-5 py-2 font-medium disabled:opacity-60"
          >
            {action}
          </button>
          <span role="status" className="label">
            {answer}
          </span>
        </p>
      </OpensAwake>
    </div>
  );
}
