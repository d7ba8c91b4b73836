'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { say, sayDone } from './say';
import { useOnlySeen } from './form/only-seen';
import { isDone } from './is-done';
import { useAwake } from './use-awake';

interface RemoveButtonProps {
  readonly what: string;
  /** Removes, or answers with the sentence that says why not. */
  readonly remove: () => Promise<string | void>;
  /** Nothing where it cannot be put back. */
  readonly restore: (() => Promise<string | void>) | undefined;
  readonly listHref: string;
}

/** Takes a row out of the lists at once, and offers to put it back. */
export function RemoveButton({ what, remove, restore, listHref }: RemoveButtonProps) {
  const router = useRouter();
  const awake = useAwake();
  const onlySeen = useOnlySeen();
  const [working, setWorking] = useState(false);

  const putBack = async () => {
    if (!restore || !(await isDone(restore))) return;
    router.refresh();
    say(`The ${what} is back.`);
  };

  const takeOut = async () => {
    setWorking(true);
    if (await isDone(remove, 'Nothing was removed.')) {
      if (restore) sayDone(`The ${what} is removed.`, () => void putBack());
      else say(`The ${what} is removed.`);
      router.push(listHref);
      router.refresh();
    }
    setWorking(false);
  };

  if (onlySeen) return null;
  return (
    <button
      type="button"
      disabled={working || !awake}
      onClick={takeOut}
      className="text-warn min-h-6 underline"
    >
      Remove this {what}
    </button>
  );
}
