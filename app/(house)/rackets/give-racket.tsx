'use client';

import { useRouter } from 'next/navigation';
import { say, sayDone } from '@/ui/say';
import { ChooseClient } from '@/app/(house)/clients/choose-client';
import type { Pick } from '@/ui/form/picker';
import { isDone } from '@/ui/is-done';

interface GiveRacketProps {
  readonly owner: { readonly id: string; readonly name: string };
  readonly near: (typed: string) => Promise<readonly Pick[]>;
  /** From one owner to another; refused where it is not the first one's any more. */
  readonly give: (from: string, to: string) => Promise<string | void>;
}

/** For a racket that was sold or handed down: from here on it is somebody else's, and it can be undone. */
export function GiveRacket({ owner, near, give }: GiveRacketProps) {
  const router = useRouter();
  const moved = async (from: string, to: string): Promise<boolean> => {
    if (!(await isDone(() => give(from, to), 'Nothing was changed.'))) return false;
    router.refresh();
    return true;
  };
  const undo = async (from: string) => {
    if (await moved(from, owner.id)) say(`It is ${owner.name}’s again.`);
  };
  const go = async (chosen: Pick): Promise<boolean> => {
    if (!(await moved(owner.id, chosen.id))) return false;
    sayDone(`It is ${chosen.text}’s racket now.`, () => void undo(chosen.id));
    return true;
  };
  return (
    <ChooseClient
      about="It belongs to somebody else now"
      label="Its new owner"
      hint={`How it was strung goes with it. Its jobs, and what is owed for them, stay with ${owner.name}. The address of its page is withdrawn.`}
      action="Give it over"
      not={owner.id}
      near={near}
      go={go}
    />
  );
}
