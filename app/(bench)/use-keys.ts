'use client';

import { useLayoutEffect } from 'react';

/** What the keys of a bench do; any other key does nothing. */
export type BenchKeys = Readonly<Record<string, () => void>>;

/** Listens to single keys while `active`; a key that is held down counts once. */
export function useKeys(keys: BenchKeys, active: boolean): void {
  // As soon as a button is there to press, its key is too.
  useLayoutEffect(() => {
    if (!active) return;
    const keyed = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = Object.hasOwn(keys, event.key) ? keys[event.key] : undefined;
      if (!act) return;
      event.preventDefault();
      act();
    };
    // A button in focus would take the space bar a second time when it comes up.
    const risen = (event: KeyboardEvent) => {
      if (event.key === ' ') event.preventDefault();
    };
    window.addEventListener('keydown', keyed);
    window.addEventListener('keyup', risen);
    return () => {
      window.removeEventListener('keydown', keyed);
      window.removeEventListener('keyup', risen);
    };
  }, [keys, active]);
}
