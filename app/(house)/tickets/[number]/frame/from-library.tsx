'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ListPicker } from '@/ui/form/list-picker';
import type { Pick } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';

interface FromLibraryProps {
  readonly frames: readonly Pick[];
  readonly pick: (frameId: string) => Promise<FormAnswer>;
}

/** For the racket whose frame is in the library after all. */
export function FromLibrary({ frames, pick }: FromLibraryProps) {
  const router = useRouter();
  const [notice, setNotice] = useState<string>();
  const [typed, setTyped] = useState('');
  if (frames.length === 0) return null;
  return (
    <ListPicker
      label="Or is it one of these?"
      className="mb-6 max-w-md"
      options={frames}
      value={typed}
      problem={notice}
      onChange={async (id) => {
        setTyped(id);
        // Letters on the way to a name are no choice yet.
        if (!frames.some((frame) => frame.id === id)) return;
        try {
          const answer = await pick(id);
          if (answer.ok) router.refresh();
          else setNotice(answer.notice);
        } catch {
          setNotice('The workshop’s server does not answer. Nothing was changed: try again.');
        }
      }}
    />
  );
}
