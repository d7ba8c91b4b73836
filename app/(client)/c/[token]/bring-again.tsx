'use client';

import { useState } from 'react';
import { NoteField } from '@/ui/form/field';
import { OpensAwake } from '@/ui/form/opens-awake';

interface BringAgainProps {
  /** They have said so already, and nobody has answered yet. */
  readonly wished: boolean;
  readonly send: (text: string) => Promise<string>;
}

/** One press, and a word if they like. */
export function BringAgain({ wished, send }: BringAgainProps) {
  const [text, setText] = useState('');
  const [said, setSaid] = useState('');
  const [failed, setFailed] = useState(false);
  const [busy, setBusy] = useState(false);
  if (wished || said)
    return (
      <p role="status" className="bg-sheet mt-6 px-4 py-3">
        {said || 'You want to bring it again: the workshop knows.'}
      </p>
    );
  const go = async () => {
    setBusy(true);
    const answer = await send(text).catch(() => undefined);
    setFailed(answer === undefined);
    setSaid(answer ?? '');
    setBusy(false);
  };
  return (
    <section className="border-hair mt-6 border-t pt-4">
      <OpensAwake>
        <NoteField
          label="A word to the workshop, if you like"
          value={text}
          maxLength={400}
          onChange={(event) => setText(event.target.value)}
        />
        <button
          type="button"
          disabled={busy}
          onClick={() => void go()}
          className="bg-ink text-paper mt-3 px-5 py-2 font-medium disabled:opacity-60"
        >
          Bring it again
        </button>
        {failed && (
          <p role="alert" className="text-warn mt-2 font-medium">
            The workshop does not answer just now. What you wrote is here: please try again later.
          </p>
        )}
      </OpensAwake>
    </section>
  );
}
