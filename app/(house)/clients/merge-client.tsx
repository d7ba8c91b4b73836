'use client';

import { useRouter } from 'next/navigation';
import { say } from '@/ui/say';
import type { Pick } from '@/ui/form/picker';
import { isDone } from '@/ui/is-done';
import { ChooseClient } from './choose-client';

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
  const undo = async () => {
    if (!(await isDone(unmerge, NOTHING_CHANGED))) return;
    say(`${name} is a client of their own again.`);
    router.refresh();
  };
  const go = async (chosen: Pick): Promise<boolean> => {
    if (!(await isDone(() => merge(chosen.id), NOTHING_CHANGED))) return false;
    say(`${name} and ${chosen.text} are one client now.`, {
      duration: 15_000,
      action: { label: 'Undo', onClick: () => void undo() },
    });
    router.push(`/clients/${chosen.id}`);
    router.refresh();
    return true;
  };
  return (
    <ChooseClient
      about="The same person as another client"
      label="The one to keep"
      hint={`The rackets of ${name} go to that client, and ${name} goes out of the lists.`}
      action="Merge the two"
      not={id}
      near={near}
      go={go}
    />
  );
}
