'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import { undoLast } from '../say';
import { takesLetters } from '../single-keys';

const Toaster = dynamic(() => import('sonner').then((part) => part.Toaster), { ssr: false });

/** Where words at the foot of a page appear (ui/say.ts), and the key that takes back what they name. */
export function Sayings() {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'u' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (!takesLetters(event.target) && undoLast()) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Toaster
      position="bottom-center"
      toastOptions={{
        className: 'rounded-none! border! border-ink! bg-sheet! text-ink! shadow-none! font-text!',
      }}
    />
  );
}
