'use client';

import dynamic from 'next/dynamic';
import { useCallback, useEffect, useRef, useState } from 'react';
import { knock } from './ask-door';

/** A device that nobody has touched for so long is left alone. */
const IDLE_MS = 10 * 60_000;
const LOOK_MS = 5000;
/** So often the server hears that somebody is still there. */
const TELL_MS = 2 * 60_000;
const SIGNS_OF_LIFE = ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const;
/** A lock that the server has not heard of yet: a reload or a lost line must not open what was shut. */
const UNHEARD = 'lock not heard';
const RETRY_MS = 2000;
/** Any part of a page asks for the change of hands by this event. */
const CHANGE_HANDS = 'orthotens:change-hands';

export const changeHands = (): void => {
  window.dispatchEvent(new Event(CHANGE_HANDS));
};

const openDialog = () => import('./lock-dialog').then((part) => part.LockDialog);
/** No part of a page's first load; it comes while the page stands idle. */
const LockDialog = dynamic(openDialog, {
  ssr: false,
  loading: () => <div className="bg-paper fixed inset-0 z-50" />,
});

/** Tells the server until it has heard, across reloads of this window. */
async function tellOfLock(): Promise<void> {
  sessionStorage.setItem(UNHEARD, 'yes');
  while (sessionStorage.getItem(UNHEARD)) {
    const answer = await knock('/hands/lock');
    // A refusal is an answer: who is signed out has nothing to lock.
    if (answer && answer.status < 500) return sessionStorage.removeItem(UNHEARD);
    await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
  }
}

interface LockScreenProps {
  readonly personId: string;
  readonly faces: readonly { readonly personId: string; readonly name: string }[];
  readonly device: string;
  readonly locked: boolean;
}

/** Over everything; what stands below keeps its state, and goes on when the same person is back. */
export function LockScreen({ personId, faces, device, locked: lockedBefore }: LockScreenProps) {
  const [state, setState] = useState<'open' | 'locked' | 'changing'>(
    lockedBefore ? 'locked' : 'open',
  );
  const touched = useRef(0);
  const shut = useRef(lockedBefore);

  const lock = useCallback(() => {
    if (shut.current) return;
    shut.current = true;
    setState('locked');
    void tellOfLock();
  }, []);

  useEffect(() => {
    touched.current = Date.now();
    if (sessionStorage.getItem(UNHEARD)) lock();
    // Before it is needed: a locked device may have lost its connection.
    void openDialog();
    const alive = () => {
      touched.current = Date.now();
    };
    const change = () => setState('changing');
    // The server locks what nobody is at: it hears of hands that ask for nothing, and says where they came too late.
    let told = Date.now();
    const tell = async () => {
      told = Date.now();
      const answer = await knock('/hands/here');
      const said = answer?.ok ? ((await answer.json()) as { readonly locked?: boolean }) : {};
      if (said.locked) lock();
    };
    const timer = setInterval(() => {
      if (Date.now() - touched.current > IDLE_MS) lock();
      else if (!shut.current && Date.now() - told > TELL_MS && touched.current > told) void tell();
    }, LOOK_MS);
    for (const sign of SIGNS_OF_LIFE) window.addEventListener(sign, alive, { passive: true });
    window.addEventListener(CHANGE_HANDS, change);
    return () => {
      clearInterval(timer);
      for (const sign of SIGNS_OF_LIFE) window.removeEventListener(sign, alive);
      window.removeEventListener(CHANGE_HANDS, change);
    };
  }, [lock]);

  if (state === 'open') return null;
  return (
    <LockDialog
      personId={personId}
      faces={faces}
      device={device}
      changing={state === 'changing'}
      lock={lock}
      goOn={() => {
        sessionStorage.removeItem(UNHEARD);
        shut.current = false;
        touched.current = Date.now();
        setState('open');
      }}
    />
  );
}
