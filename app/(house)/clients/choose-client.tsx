'use client';

import { useState, type ReactNode } from 'react';
import { OpensAwake } from '@/ui/form/opens-awake';
import { Picker, type Pick } from '@/ui/form/picker';
import { isSettled, offered, useAnswer } from '@/ui/form/use-found';

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
  /** Another one was chosen, or typed for. */
  readonly onChosen?: () => void;
  /** What is asked before it is done. */
  readonly children?: ReactNode;
}

/** One of the clients by a few letters, and one press that does something with them. */
export function ChooseClient(props: ChooseClientProps) {
  const { about, label, hint, action, not, near, go, onChosen, children } = props;
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<Pick>();
  const found = useAnswer(() => near(typed), typed, 150);
  const choose = (text: string, pick?: Pick) => {
    setTyped(text);
    setChosen(pick);
    onChosen?.();
  };
  return (
    <details className="mt-6">
      <summary className="cursor-pointer underline">{about}</summary>
      <OpensAwake className="mt-2 flex max-w-xl flex-wrap items-end gap-4">
        <Picker
          className="grow"
          label={label}
          options={offered(found, typed).filter(({ id }) => id !== not)}
          settled={isSettled(found, typed)}
          text={typed}
          onText={(text) => choose(text)}
          onPick={(pick) => choose(pick.text, pick)}
          hint={hint}
        />
        <button
          type="button"
          disabled={!chosen}
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
      </OpensAwake>
      {children}
    </details>
  );
}
