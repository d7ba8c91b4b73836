'use client';

import { useState } from 'react';
import { NOTE_MOST } from '@/core/bench/log';
import { BenchButton } from '@/app/(bench)/bench-frame';
import { BenchPanel } from './bench-panel';

interface NotePanelProps {
  readonly open: boolean;
  readonly close: () => void;
  readonly keep: (text: string) => void;
  readonly notes: readonly { readonly at: string; readonly text: string }[];
}

/** A note at the step in hand; Enter keeps it. */
export function NotePanel({ open, close, keep, notes }: NotePanelProps) {
  const [text, setText] = useState('');
  const [missing, setMissing] = useState(false);
  const save = () => {
    if (text.trim() === '') return setMissing(true);
    keep(text.trim());
    setText('');
    setMissing(false);
    close();
  };
  return (
    <BenchPanel title="Note at this step" open={open} close={close}>
      <textarea
        autoFocus
        aria-label="Note"
        aria-invalid={missing}
        rows={3}
        maxLength={NOTE_MOST}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || event.shiftKey) return;
          event.preventDefault();
          save();
        }}
        className="border-edge bg-sheet w-full border p-3 text-xl"
      />
      {missing && (
        <p role="alert" className="text-warn mt-1">
          Write what you saw, such as: grommet 7H worn. Esc leaves without a note.
        </p>
      )}
      <div className="mt-3 flex gap-4">
        <BenchButton main onClick={save}>
          Keep (Enter)
        </BenchButton>
        <BenchButton onClick={close}>Leave (Esc)</BenchButton>
      </div>
      {notes.length > 0 && (
        <ul className="mt-4">
          {notes.map(({ at, text: kept }, i) => (
            <li key={i} className="border-hair border-t py-1">
              {kept} <span className="label">{at}</span>
            </li>
          ))}
        </ul>
      )}
    </BenchPanel>
  );
}
