'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { findClients } from '@/app/(house)/take-in/actions';
import { Picker } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';
import { isSettled, offered, useAnswer } from '@/ui/form/use-found';

interface AddPlayerProps {
  readonly workshopId: string;
  readonly add: (who: { readonly clientId: string; readonly name: string }) => Promise<FormAnswer>;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nobody was added: try again.';

/** Somebody who plays, found among the clients by a few letters or new. */
export function AddPlayer({ workshopId, add }: AddPlayerProps) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const found = useAnswer(() => findClients(workshopId, text), text, 120);
  const waits = !isSettled(found, text);
  const send = (who: { readonly clientId: string; readonly name: string }) => {
    if (busy) return;
    setBusy(true);
    void add(who)
      .catch((): FormAnswer => ({ ok: false, notice: NO_ANSWER }))
      .then((answer) => {
        setBusy(false);
        if (!answer.ok) setProblem(answer.notice ?? Object.values(answer.problems ?? {})[0]);
        else if (answer.go) router.push(answer.go);
      });
  };
  return (
    <section aria-label="Add a player">
      <h2 className="figure mb-1 text-2xl">Add a player</h2>
      <Picker
        label="Who plays"
        options={offered(found, text)}
        settled={!waits}
        text={text}
        onText={(typed) => {
          setText(typed);
          setProblem(undefined);
        }}
        onPick={({ id, text: name }) => send({ clientId: id, name })}
        addText={waits ? undefined : (typed) => `New client: ${typed}`}
        onAdd={(typed) => send({ clientId: '', name: typed })}
        problem={problem}
        hint={busy ? 'One moment.' : 'A few letters of the name; then take one from the list.'}
      />
    </section>
  );
}
