'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { TextField } from '@/ui/form/field';
import { OpensAwake } from '@/ui/form/opens-awake';

interface PlaysProps {
  /** As they said it, or as the workshop wrote it down. */
  readonly plays: string;
  readonly send: (text: string) => Promise<string>;
}

/** How often they play: it moves the curve. */
export function Plays({ plays, send }: PlaysProps) {
  const router = useRouter();
  const [text, setText] = useState(plays);
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  return (
    <form
      className="mt-4 flex flex-wrap items-end gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (busy) return;
        setBusy(true);
        void send(text)
          .catch(() => 'The workshop does not answer just now. Please try again later.')
          .then((answer) => {
            setSaid(answer);
            setBusy(false);
            router.refresh();
          });
      }}
    >
      <OpensAwake>
        <TextField
          label="I play so many times a week"
          inputMode="decimal"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <button
          type="submit"
          disabled={busy || text === plays}
          className="border-ink border px-4 py-1.5 font-medium disabled:opacity-60"
        >
          Show my curve
        </button>
        <span role="status" className="label">
          {said}
        </span>
      </OpensAwake>
    </form>
  );
}
