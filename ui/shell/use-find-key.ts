'use client';

import { useEffect } from 'react';

/** Ctrl K, on any page and at the bench. */
export function useFindKey(open: () => void, isOffered: boolean): void {
  useEffect(() => {
    if (!isOffered) return;
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
      event.preventDefault();
      open();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [open, isOffered]);
}
