'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { Tick } from '../form/choice';
import { areSingleKeysOn, turnSingleKeys } from '../single-keys';

const KEYS = [
  ['n', 'take a racket in'],
  ['s', 'a short ticket: one racket on one page'],
  ['d', 'today’s tickets'],
  ['Ctrl K', 'find anything'],
  ['?', 'these keys'],
  ['Ctrl Enter', 'save, in any form'],
  ['u', 'undo what was just removed or moved'],
  ['arrows', 'walk the strings of a bed, or the choices of a field'],
] as const;

export function ShortcutHelp({ close }: { readonly close: () => void }) {
  const [on, setOn] = useState(areSingleKeysOn);
  return (
    <Dialog open onClose={close} className="relative z-30">
      <div className="bg-ink/30 fixed inset-0" aria-hidden />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-24">
        <DialogPanel className="border-ink bg-sheet w-full max-w-md border p-5">
          <DialogTitle className="figure text-2xl">Keys</DialogTitle>
          <dl className="mt-3">
            {KEYS.map(([key, what]) => (
              <div key={key} className="border-hair flex items-baseline gap-4 border-t py-2">
                <dt className="figure w-20 text-lg">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Tick
            className="mt-4"
            label="Single letters work as keys on this device"
            checked={on}
            onChange={(wanted) => {
              turnSingleKeys(wanted);
              setOn(wanted);
            }}
          />
          <button type="button" onClick={close} className="mt-4 underline">
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
