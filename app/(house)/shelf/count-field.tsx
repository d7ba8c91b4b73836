'use client';

import { useRouter } from 'next/navigation';
import { useId, useState } from 'react';
import { useAwake } from '@/ui/use-awake';

interface CountFieldProps {
  readonly label: string;
  readonly left: string;
  readonly count: (typed: string) => Promise<string | undefined | void>;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was written down: try again.';

/** What is left of a length, to be put right by whoever measures it. */
export function CountField({ label, left, count }: CountFieldProps) {
  const router = useRouter();
  const awake = useAwake();
  const id = useId();
  const [typed, setTyped] = useState(left);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  return (
    <form
      className="flex flex-wrap items-baseline gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (busy || typed === left) return;
        setBusy(true);
        void count(typed)
          .catch(() => NO_ANSWER)
          .then((refusal) => {
            setProblem(refusal ?? undefined);
            setBusy(false);
            router.refresh();
          });
      }}
    >
      <input
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? id : undefined}
        disabled={!awake}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="border-edge bg-sheet figure w-24 border-b-2 px-2 py-0.5 text-right"
      />
      {typed !== left && (
        <button type="submit" disabled={busy} className="underline">
          Counted
        </button>
      )}
      {problem && (
        <span id={id} role="alert" className="text-warn">
          {problem}
        </span>
      )}
    </form>
  );
}
