'use client';

import { useState } from 'react';
import { askDoor, startOver } from '@/app/identity/ask-door';
import { shortCode } from '@/app/identity/identity-entry';
import { OpensAwake } from '@/ui/form/opens-awake';

interface CodePadProps {
  readonly faces: readonly { readonly personId: string; readonly name: string }[];
  readonly door: '/hands/change' | '/hands/watch';
  /** Whose code is asked for first. */
  readonly first?: string | undefined;
  /** What happens when the code was right; where none is said, the page is loaded anew. */
  readonly onDone?: (personId: string) => void;
}

/** Names to press and a code to type: hands change in two seconds. */
export function CodePad({ faces, door, first, onDone }: CodePadProps) {
  const [personId, setPersonId] = useState(first ?? faces[0]?.personId ?? '');
  const [code, setCode] = useState('');
  const [problem, setProblem] = useState<string>();
  const [asking, setAsking] = useState(false);
  if (faces.length === 0)
    return <p className="max-w-prose">Nobody here has a code yet. It is made under your name.</p>;

  const give = async () => {
    if (asking) return;
    if (!shortCode.safeParse(code).success) return setProblem('A code is four to eight digits.');
    setAsking(true);
    const refusal = await askDoor(door, { personId, code });
    setCode('');
    setProblem(refusal);
    setAsking(false);
    if (refusal === undefined)
      if (onDone) onDone(personId);
      else startOver('/');
  };

  return (
    <form
      method="post"
      onSubmit={(event) => {
        event.preventDefault();
        void give();
      }}
    >
      <OpensAwake className="flex flex-wrap items-end gap-x-6 gap-y-4">
        <div role="radiogroup" aria-label="Who" className="flex flex-wrap gap-x-4 gap-y-2">
          {faces.map(({ personId: id, name }) => (
            <button
              key={id}
              type="button"
              role="radio"
              aria-checked={id === personId}
              onClick={() => {
                setPersonId(id);
                setProblem(undefined);
                document.getElementById(`code-${door}`)?.focus();
              }}
              className="border-hair text-soft aria-checked:border-ink aria-checked:text-ink border-b-2 px-1 py-2 text-lg aria-checked:font-medium"
            >
              {name}
            </button>
          ))}
        </div>
        <label className="block">
          <span className="label block">Code</span>
          <input
            id={`code-${door}`}
            type="password"
            // Pressed open to type at once: two seconds, not five.
            autoFocus
            data-autofocus
            inputMode="numeric"
            autoComplete="off"
            value={code}
            maxLength={8}
            aria-invalid={problem !== undefined}
            onChange={(event) => setCode(event.target.value.replace(/\D/g, ''))}
            className="border-edge bg-sheet figure w-32 border-0 border-b-2 px-2 py-1.5 text-2xl tracking-widest"
          />
        </label>
        <button type="submit" disabled={asking} className="bg-ink text-paper px-5 py-2 font-medium">
          {asking ? 'Looking …' : door === '/hands/watch' ? 'I watch' : 'Take over'}
        </button>
      </OpensAwake>
      {problem && (
        <p role="alert" className="text-warn mt-3 font-medium">
          {problem}
        </p>
      )}
    </form>
  );
}
