'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { AGAIN, COURT_PLACES, type CourtWords } from '@/core/ageing/court';
import { FAULTS } from '@/core/advice/talk';
import { bareFigure } from '@/core/measure/figures';
import { Ask, AskMany } from '../form/ask';
import { NoteField, TextField } from '../form/field';
import { useInHand } from '../form/in-hand';
import { OpensAwake } from '../form/opens-awake';

export interface CourtAnswer {
  readonly saved: boolean;
  /** Thanks, or why it was not saved. */
  readonly words: string;
}

interface HowItPlayedProps {
  readonly said: CourtWords;
  readonly send: (words: CourtWords) => Promise<CourtAnswer>;
  readonly action: string;
}

const NO_ANSWER: CourtAnswer = {
  saved: false,
  words: 'The workshop does not answer just now. Nothing was saved: please try again.',
};
const AGAIN_WORDS = { yes: 'yes', no: 'no, another one' } as const;

/** A minute: how the bed played, where and when it broke, and whether they would take it again. */
export function HowItPlayed({ said, send, action }: HowItPlayedProps) {
  const router = useRouter();
  const [words, setWords] = useState(said);
  const [hours, setHours] = useState(said.brokeHours === null ? '' : String(said.brokeHours));
  const [shown, setShown] = useState({ words, hours });
  const [told, setTold] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const set = (changes: Partial<CourtWords>) => setWords({ ...words, ...changes });
  const broke = words.faults.includes('broke');
  const isTouched = JSON.stringify(words) !== JSON.stringify(shown.words) || hours !== shown.hours;
  const go = async (): Promise<boolean> => {
    const typed = bareFigure(hours, 2);
    if (broke && hours.trim() !== '' && !(typed > 0 && typed <= 500)) {
      setProblem('Hours of play are a number up to 500, such as 12.');
      return false;
    }
    setProblem(undefined);
    setBusy(true);
    // By name: `said` comes as a row of the records, and what else it holds is nothing that a page sends.
    const { faults, again, note } = words;
    const whole: CourtWords = {
      faults,
      again,
      note,
      brokeHours: broke && hours.trim() !== '' ? typed : null,
      brokeAt: broke ? words.brokeAt : null,
    };
    const answer = await send(whole).catch(() => NO_ANSWER);
    setTold(answer.words);
    if (answer.saved) setShown({ words, hours });
    setBusy(false);
    router.refresh();
    return answer.saved;
  };
  useInHand('How it played', isTouched, go);
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
            {told}
          </span>
        </p>
      </OpensAwake>
    </div>
  );
}
