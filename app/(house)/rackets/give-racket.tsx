'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { Picker, type Pick } from '@/ui/form/picker';
import { useFound } from '@/ui/form/use-found';
import { isDone } from '@/ui/is-done';
import { useAwake } from '@/ui/use-awake';

interface GiveRacketProps {
  readonly owner: { readonly id: string; readonly name: string };
  readonly near: (typed: string) => Promise<readonly Pick[]>;
  /** From one owner to another; refused where it is not the first one's any more. */
  readonly give: (from: string, to: string) => Promise<string | void>;
}

const NOTHING_CHANGED = 'Nothing was changed.';

/** For a racket that was sold or handed down: from here on it is somebody else's, and it can be undone. */
export function GiveRacket({ owner, near, give }: GiveRacketProps) {
  const router = useRouter();
  const awake = useAwake();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<Pick>();
  const found = useFound(() => near(typed), typed, 150);

  const move = async (from: string, to: string, words: string, undo: boolean) => {
    if (!(await isDone(() => give(from, to), NOTHING_CHANGED))) return;
    toast(words, {
      duration: 15_000,
      ...(undo && {
        action: {
          label: 'Undo',
          onClick: () => void move(to, from, `It is ${owner.name}’s again.`, false),
        },
      }),
    });
    setTyped('');
    setChosen(undefined);
    router.refresh();
  };

  return (
    <details className="mt-6">
      <summary className="cursor-pointer underline">It belongs to somebody else now</summary>
      <div className="mt-2 flex max-w-xl flex-wrap items-end gap-4">
        <Picker
          className="grow"
          label="Its new owner"
          options={found.filter((each) => each.id !== owner.id)}
          text={typed}
          onText={(text) => {
            setTyped(text);
            setChosen(undefined);
          }}
          onPick={(pick) => {
            setTyped(pick.text);
            setChosen(pick);
          }}
          hint="What was done on it goes with it; closed records keep the name that stood there. The address of its page is withdrawn."
        />
        <button
          type="button"
          disabled={!awake || !chosen}
          onClick={() =>
            chosen && void move(owner.id, chosen.id, `It is ${chosen.text}’s racket now.`, true)
          }
          className="border-ink border px-4 py-1.5 disabled:opacity-50"
        >
          Give it over
        </button>
      </div>
    </details>
  );
}
