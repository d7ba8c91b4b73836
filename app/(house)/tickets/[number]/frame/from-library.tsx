'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ListPicker } from '@/ui/form/list-picker';
import type { Pick } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';

interface FromLibraryProps {
  readonly frames: readonly Pick[];
  /** Those of its very name, and what tells them apart. */
  readonly namesakes: readonly Pick[];
  readonly pick: (frameId: string) => Promise<FormAnswer>;
}

/** For the racket whose frame is in the library after all. */
export function FromLibrary({ frames, namesakes, pick }: FromLibraryProps) {
  const router = useRouter();
  const [notice, setNotice] = useState<string>();
  const [typed, setTyped] = useState('');
  if (frames.length === 0) return null;
  const take = async (id: string) => {
    try {
      const answer = await pick(id);
      if (answer.ok) router.refresh();
      else setNotice(answer.notice);
    } catch {
      setNotice('The workshop’s server does not answer. Nothing was changed: try again.');
    }
  };
  return (
    <div className="mb-6 flex max-w-md flex-col items-start gap-3">
      {namesakes.map(({ id, text, detail }) => (
        <button
          key={id}
          type="button"
          className="bg-ink text-paper px-5 py-2 font-medium"
          onClick={() => void take(id)}
        >
          It is the {text} of the library, {detail}
        </button>
      ))}
      <ListPicker
        label="Or is it one of these?"
        className="w-full"
        options={frames}
        value={typed}
        problem={notice}
        onChange={(id) => {
          setTyped(id);
          // Letters on the way to a name are no choice yet.
          if (frames.some((frame) => frame.id === id)) void take(id);
        }}
      />
    </div>
  );
}
