'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

interface BenchPanelProps {
  readonly title: string;
  readonly open: boolean;
  readonly close: () => void;
  readonly children: ReactNode;
}

/** A sheet over the bench; the keys of the bench rest while it is open, Esc leaves it. */
export function BenchPanel({ title, open, close, children }: BenchPanelProps) {
  return (
    <Dialog open={open} onClose={close} className="relative z-30">
      <div className="bg-ink/30 fixed inset-0" aria-hidden />
      <div className="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-16">
        <DialogPanel className="border-ink bg-sheet w-full max-w-3xl border p-5">
          <DialogTitle className="figure mb-3 text-3xl">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
