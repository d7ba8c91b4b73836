'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { letGo, useHeld } from './in-hand';

/** Asks, at the foot of the page, what becomes of what is typed elsewhere on it. */
export function StillInHand() {
  const held = useHeld();
  const here = usePathname();
  const first = useRef<HTMLButtonElement>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => letGo, [here]);
  useEffect(() => {
    if (held) first.current?.focus();
  }, [held]);
  if (!held) return null;

  const { others, goOn } = held;
  const them = others.length === 1 ? 'it' : 'them';
  const canSave = others.every(({ send }) => send !== undefined);
  const leave = () => {
    letGo();
    goOn();
  };
  const saveAll = async () => {
    setBusy(true);
    for (const { send } of others)
      if (!(await send?.())) {
        setBusy(false);
        // Its own sentence says why, and has the keyboard.
        return letGo();
      }
    setBusy(false);
    leave();
  };
  return (
    <div
      role="alertdialog"
      aria-label="Not saved yet"
      className="no-print border-ink bg-sheet fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-x-6 gap-y-2 border-t-2 px-6 py-3"
    >
      <p className="font-medium">
        Saved. Still typed and not saved on this page:{' '}
        {others.map((part) => part.title()).join(', ')}.
      </p>
      {canSave && (
        <button
          ref={first}
          type="button"
          disabled={busy}
          onClick={() => void saveAll()}
          className="bg-ink text-paper px-4 py-1.5 font-medium"
        >
          {busy ? 'Saving …' : `Save ${them} too, and go on`}
        </button>
      )}
      <button ref={canSave ? undefined : first} type="button" onClick={letGo} className="underline">
        Stay here
      </button>
      <button type="button" onClick={leave} className="underline">
        Go on without {them}
      </button>
    </div>
  );
}
