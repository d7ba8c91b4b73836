'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { CodePad } from '@/app/(door)/code-pad';

interface LockDialogProps {
  readonly personId: string;
  readonly faces: readonly { readonly personId: string; readonly name: string }[];
  readonly device: string;
  /** Hands change; otherwise it is locked, and nobody goes back without a code. */
  readonly changing: boolean;
  readonly lock: () => void;
  /** The same person is back. */
  readonly goOn: () => void;
}

/** Who goes on at a trusted device, with their code. */
export function LockDialog({ personId, faces, device, changing, lock, goOn }: LockDialogProps) {
  return (
    <Dialog open onClose={() => changing && goOn()} className="relative z-50">
      <div className="bg-paper fixed inset-0" />
      <div className="fixed inset-0 overflow-y-auto">
        <DialogPanel className="mx-auto flex min-h-full max-w-2xl flex-col justify-center px-6 py-10">
          <DialogTitle className="figure mb-2 text-4xl">
            {changing ? 'Who goes on?' : 'Locked'}
          </DialogTitle>
          <p className="text-soft mb-6">
            {device}.{' '}
            {changing
              ? 'What was done so far stays with the one who did it.'
              : 'It was left alone. Everything is as it was.'}
          </p>
          <CodePad
            faces={faces}
            door="/hands/change"
            first={personId}
            onDone={(who) => {
              if (who === personId) goOn();
              // Somebody else sees what their role sees; a bench opens at the step that it stood at.
              else window.location.reload();
            }}
          />
          {changing && (
            <p className="mt-8 flex gap-6">
              <button type="button" className="underline" onClick={goOn}>
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
