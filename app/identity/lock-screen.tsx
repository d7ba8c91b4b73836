'use client';

import dynamic from 'next/dynamic';
import { useCallback, useEffect, useRef, useState } from 'react';
import { askDoor } from './ask-door';

/** A device that nobody has touched for so long is left alone. */
const IDLE_MS = 10 * 60_000;
const LOOK_MS = 5000;
const SIGNS_OF_LIFE = ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const;
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

  const lock = useCallback(() => {
    setState('locked');
    void askDoor('/hands/lock');
  }, []);

  useEffect(() => {
    touched.current = Date.now();
    // Before it is needed: a locked device may have lost its connection.
    void openDialog();
    const alive = () => {
      touched.current = Date.now();
    };
    const change = () => setState('changing');
    const timer = setInterval(() => {
      if (Date.now() - touched.current > IDLE_MS) lock();
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
        touched.current = Date.now();
        setState('open');
      }}
    />
  );
}
