'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { ListPicker } from '@/ui/form/list-picker';
import type { Pick } from '@/ui/form/picker';
import { useAwake } from '@/ui/use-awake';

interface MergeClientProps {
  readonly name: string;
  readonly others: readonly Pick[];
  readonly merge: (into: string) => Promise<string | void>;
  readonly unmerge: () => Promise<string | void>;
}

const NO_ANSWER = 'The workshop’s server does not answer. Nothing was changed.';

/** For the client who was taken in twice: their rackets go to the other one, and it can be undone. */
export function MergeClient({ name, others, merge, unmerge }: MergeClientProps) {
  const router = useRouter();
  const awake = useAwake();
  const [into, setInto] = useState('');
  const chosen = others.find(({ id }) => id === into);

  const undo = async () => {
    const refusal = await unmerge().catch(() => NO_ANSWER);
    if (refusal) return void toast.error(refusal);
    toast(`${name} is a client of their own again.`);
    router.refresh();
  };
  const go = async () => {
    if (!chosen) return;
    const refusal = await merge(chosen.id).catch(() => NO_ANSWER);
    if (refusal) return void toast.error(refusal);
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
        <ListPicker
          className="grow"
          label="The one to keep"
          options={others}
          value={into}
          onChange={setInto}
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
