'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { Picker, type Pick } from '@/ui/form/picker';
import { useFound } from '@/ui/form/use-found';
import { isDone } from '@/ui/is-done';
import { useAwake } from '@/ui/use-awake';

interface MergeClientProps {
  readonly id: string;
  readonly name: string;
  readonly near: (typed: string) => Promise<readonly Pick[]>;
  readonly merge: (into: string) => Promise<string | void>;
  readonly unmerge: () => Promise<string | void>;
}

const NOTHING_CHANGED = 'Nothing was changed.';

/** For the client who was taken in twice: their rackets go to the other one, and it can be undone. */
export function MergeClient({ id, name, near, merge, unmerge }: MergeClientProps) {
  const router = useRouter();
  const awake = useAwake();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<Pick>();
  const found = useFound(() => near(typed), typed, 150);

  const undo = async () => {
    if (!(await isDone(unmerge, NOTHING_CHANGED))) return;
    toast(`${name} is a client of their own again.`);
    router.refresh();
  };
  const go = async () => {
    if (!chosen) return;
    if (!(await isDone(() => merge(chosen.id), NOTHING_CHANGED))) return;
    toast(`${name} and ${chosen.text} are one client now.`, {
      duration: 15_000,
      action: { label: 'Undo', onClick: () => void undo() },
    });
    router.push(`/clients/${chosen.id}`);
    router.refresh();
  };

  return (
    <details className="mt-6">
      <summary className="cursor-pointer underline">The same person as another client</summary>
      <div className="mt-2 flex max-w-xl flex-wrap items-end gap-4">
        <Picker
          className="grow"
          label="The one to keep"
          options={found.filter((each) => each.id !== id)}
          text={typed}
          onText={(text) => {
            setTyped(text);
            setChosen(undefined);
          }}
          onPick={(pick) => {
            setTyped(pick.text);
            setChosen(pick);
          }}
          hint={`The rackets of ${name} go to that client, and ${name} goes out of the lists.`}
        />
        <button
          type="button"
          disabled={!awake || !chosen}
          onClick={() => void go()}
          className="border-ink border px-4 py-1.5 disabled:opacity-50"
        >
          Merge the two
        </button>
      </div>
    </details>
  );
}
