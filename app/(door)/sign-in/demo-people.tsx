'use client';

import { useState } from 'react';
import { askDoor, startOver } from '@/app/identity/ask-door';
import { useAwake } from '@/ui/use-awake';

interface Invented {
  readonly name: string;
  readonly username: string;
  readonly role: string;
  readonly does: string;
}

/** The demo's invented people, each with one press. */
export function DemoPeople({ people }: { readonly people: readonly Invented[] }) {
  const awake = useAwake();
  const [problem, setProblem] = useState<string>();
  const come = async (username: string) => {
    const refusal = await askDoor('/sign-in/demo', { username });
    setProblem(refusal);
    if (refusal === undefined) startOver('/');
  };
  return (
    <section aria-labelledby="demo-people" className="border-hair mt-10 border-t pt-6">
      <h2 id="demo-people" className="label mb-3">
        This is a demo: come in as one of its invented people
      </h2>
      <ul className="flex flex-col">
        {people.map(({ name, username, role, does }) => (
          <li key={username} className="border-hair border-b">
            <button
              type="button"
              disabled={!awake}
              onClick={() => void come(username)}
              className="hover:bg-sheet flex w-full flex-wrap items-baseline gap-x-4 py-2 text-left"
            >
              <span className="w-44 font-medium underline">{name}</span>
              <span className="w-20">{role}</span>
              <span className="text-soft grow text-sm">{does}</span>
            </button>
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="text-warn mt-3 font-medium">
          {problem}
        </p>
      )}
    </section>
  );
}
