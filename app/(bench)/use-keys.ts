'use client';

import { useLayoutEffect } from 'react';
import { areSingleKeysOn, takesKeys } from '@/ui/single-keys';

/** What the keys of a bench do; any other key does nothing. */
export type BenchKeys = Readonly<Record<string, () => void>>;

/** The keys that a foot pedal types, which stay when single letters are turned off. */
const PEDAL = [' ', 'ArrowLeft', 'ArrowRight'];

/**
 * Listens to single keys while `active`; a key that is held down counts once. Where something is in focus
 * that takes keys itself, a button or a field, the key is that one's.
 */
export function useKeys(keys: BenchKeys, active: boolean): void {
  // As soon as a button is there to press, its key is too.
  useLayoutEffect(() => {
    if (!active) return;
    const keyed = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if (takesKeys(event.target)) return;
      if (!PEDAL.includes(event.key) && !areSingleKeysOn()) return;
      const act = Object.hasOwn(keys, event.key) ? keys[event.key] : undefined;
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', keyed);
    return () => window.removeEventListener('keydown', keyed);
  }, [keys, active]);
}
