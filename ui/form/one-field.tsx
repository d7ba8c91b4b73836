'use client';

import clsx from 'clsx';
import { useRouter } from 'next/navigation';
import { useId, useState } from 'react';
import { useInHand } from './in-hand';
import { OpensAwake } from './opens-awake';

interface OneFieldProps {
  readonly label: string;
  /** What is kept now. */
  readonly value: string;
  /** The press that keeps what was typed; there once something was. */
  readonly action: string;
  /** A sentence where it was refused. */
  readonly save: (typed: string) => Promise<string | undefined | void>;
  readonly figure?: boolean;
  readonly narrow?: boolean;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was written down: try again.';

/** A single field that is kept by itself; make it anew (by its key) when what is kept changes. */
export function OneField({
  label,
  value,
  action,
  save,
  figure = false,
  narrow = false,
}: OneFieldProps) {
  const router = useRouter();
  const id = useId();
  const [typed, setTyped] = useState(value);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const send = async (): Promise<boolean> => {
    if (busy || typed === value) return true;
    setBusy(true);
    const refusal = await save(typed).catch(() => NO_ANSWER);
    setProblem(refusal ?? undefined);
    setBusy(false);
    router.refresh();
    return !refusal;
  };
  useInHand(label, typed !== value, send);
  return (
    <form
      className="flex flex-wrap items-baseline gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <OpensAwake>
        <input
          aria-label={label}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? id : undefined}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          className={clsx(
            'border-edge bg-sheet border-b-2 px-2 py-0.5',
            figure ? 'figure w-24 text-right' : narrow ? 'w-24' : 'w-48',
          )}
        />
        {typed !== value && (
          <button type="submit" disabled={busy} className="underline">
            {action}
          </button>
        )}
        {problem && (
          <span id={id} role="alert" className="text-warn">
            {problem}
          </span>
        )}
      </OpensAwake>
    </form>
  );
}
