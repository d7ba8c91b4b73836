'use client';

import { useState } from 'react';
import { Picker } from '@/ui/form/picker';
import { Press } from '@/ui/press';

export interface StringChoice {
  readonly id: string;
  /** Its name and thickness. */
  readonly text: string;
  /** What its bed weighs, g. */
  readonly massG: number;
  /** What changes on the racket, as it is typed among the parts; empty where nothing does. */
  readonly part: string;
  /** The racket with it. */
  readonly figures: string;
}

interface StringPanelProps {
  readonly choices: readonly StringChoice[];
  /** What is in it now, in words; empty where it was weighed without strings. */
  readonly inIt: string;
  readonly putOn: (part: string) => Promise<string | undefined | void>;
}

const SHOWN = 12;

/** What another string, or the first one, would make of the racket. */
export function StringPanel({ choices, inIt, putOn }: StringPanelProps) {
  const [text, setText] = useState('');
  const [id, setId] = useState<string>();
  const chosen = choices.find((each) => each.id === id);
  const typed = text.trim().toLowerCase();
  const found = choices.filter((each) => each.text.toLowerCase().includes(typed)).slice(0, SHOWN);
  return (
    <section aria-label="Another string">
      <h2 className="figure mb-1 text-2xl">{inIt ? 'Another string' : 'With its strings'}</h2>
      {inIt && <p className="label mb-2">In it now: {inIt}.</p>}
      <Picker
        label="String"
        options={found.map((each) => ({ id: each.id, text: each.text }))}
        text={text}
        onText={(next) => {
          setText(next);
          setId(undefined);
        }}
        onPick={(pick) => {
          setText(pick.text);
          setId(pick.id);
        }}
      />
      <div role="status" className="mt-2">
        {chosen && (
          <>
            <p>
              <span className="figure text-xl">{chosen.massG.toFixed(1)} g</span> of string, and the
              racket then has {chosen.figures}.
            </p>
            {chosen.part === '' ? (
              <p>It weighs what is in it.</p>
            ) : (
              <Press action={`Put on: ${chosen.part}`} press={() => putOn(chosen.part)} />
            )}
          </>
        )}
      </div>
    </section>
  );
}
