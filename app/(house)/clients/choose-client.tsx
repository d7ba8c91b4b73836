'use client';

import { useState } from 'react';
import { Picker, type Pick } from '@/ui/form/picker';
import { useFound } from '@/ui/form/use-found';
import { useAwake } from '@/ui/use-awake';

interface ChooseClientProps {
  /** What it is about, folded until somebody opens it. */
  readonly about: string;
  readonly label: string;
  readonly hint: string;
  readonly action: string;
  /** The one who cannot be chosen. */
  readonly not: string;
  readonly near: (typed: string) => Promise<readonly Pick[]>;
  /** Whether it is done, so that the next one can be chosen. */
  readonly go: (chosen: Pick) => Promise<boolean>;
}

/** One of the clients by a few letters, and one press that does something with them. */
export function ChooseClient({ about, label, hint, action, not, near, go }: ChooseClientProps) {
  const awake = useAwake();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<Pick>();
  const found = useFound(() => near(typed), typed, 150);
  const choose = (text: string, pick?: Pick) => {
    setTyped(text);
    setChosen(pick);
  };
  return (
    <details className="mt-6">
      <summary className="cursor-pointer underline">{about}</summary>
      <div className="mt-2 flex max-w-xl flex-wrap items-end gap-4">
        <Picker
          className="grow"
          label={label}
          options={found.filter(({ id }) => id !== not)}
          text={typed}
          onText={(text) => choose(text)}
          onPick={(pick) => choose(pick.text, pick)}
          hint={hint}
        />
        <button
          type="button"
          disabled={!awake || !chosen}
          onClick={() =>
            chosen &&
            void go(chosen).then((done) => {
              if (done) choose('');
            })
          }
          className="border-ink border px-4 py-1.5 disabled:opacity-50"
        >
          {action}
        </button>
      </div>
    </details>
  );
}
