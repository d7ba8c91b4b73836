'use client';

import clsx from 'clsx';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useAwake } from './use-awake';

interface PressProps {
  readonly action: string;
  /** A sentence to be said, or nothing. */
  readonly press: () => Promise<string | void>;
  readonly main?: boolean;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was changed: try again.';

/** One press that does something at once, and says what became of it. */
export function Press({ action, press, main = false }: PressProps) {
  const router = useRouter();
  const awake = useAwake();
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState('');
  const go = async () => {
    setBusy(true);
    setSaid((await press().catch(() => NO_ANSWER)) ?? '');
    setBusy(false);
    router.refresh();
  };
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-3">
      <button
        type="button"
        disabled={!awake || busy}
        onClick={() => void go()}
        className={clsx(
          main ? 'bg-ink text-paper px-4 py-1.5 font-medium' : 'underline',
          'disabled:opacity-60',
        )}
      >
        {action}
      </button>
      <span role="status" className="label max-w-prose">
        {said}
      </span>
    </span>
  );
}
