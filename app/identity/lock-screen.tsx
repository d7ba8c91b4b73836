'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { CodePad } from '@/app/(door)/code-pad';
import { askDoor } from './client';

/** A device that nobody has touched for so long is left alone. */
const IDLE_MS = 10 * 60_000;
const LOOK_MS = 5000;
const SIGNS_OF_LIFE = ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const;
/** Any part of a page asks for the change of hands by this event. */
const CHANGE_HANDS = 'orthotens:change-hands';

export const changeHands = (): void => {
  window.dispatchEvent(new Event(CHANGE_HANDS));
};

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

  return (
    <Dialog
      open={state !== 'open'}
      onClose={() => state === 'changing' && setState('open')}
      className="relative z-50"
    >
      <div className="bg-paper fixed inset-0" />
      <div className="fixed inset-0 overflow-y-auto">
        <DialogPanel className="mx-auto flex min-h-full max-w-2xl flex-col justify-center px-6 py-10">
          <DialogTitle className="figure mb-2 text-4xl">
            {state === 'locked' ? 'Locked' : 'Who goes on?'}
          </DialogTitle>
          <p className="text-soft mb-6">
            {device}.{' '}
            {state === 'locked'
              ? 'It was left alone. Everything is as it was.'
              : 'What was done so far stays with the one who did it.'}
          </p>
          <CodePad
            faces={faces}
            door="/hands/change"
            first={personId}
            onDone={(who) => {
              touched.current = Date.now();
              if (who === personId) setState('open');
              // Somebody else sees what their role sees; a bench opens at the step that it stood at.
              else window.location.reload();
            }}
          />
          {state === 'changing' && (
            <p className="mt-8 flex gap-6">
              <button type="button" className="underline" onClick={() => setState('open')}>
                Nobody, go back
              </button>
              <button type="button" className="underline" onClick={lock}>
                Lock it
              </button>
            </p>
          )}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
