'use client';

import dynamic from 'next/dynamic';

const Toaster = dynamic(() => import('sonner').then((part) => part.Toaster), { ssr: false });

/** Where words at the foot of a page appear (ui/say.ts). */
export function Sayings() {
  return (
    <Toaster
      position="bottom-center"
      toastOptions={{
        className: 'rounded-none! border! border-ink! bg-sheet! text-ink! shadow-none! font-text!',
      }}
    />
  );
}
