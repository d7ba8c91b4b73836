'use client';

import { useCallback, useEffect, useSyncExternalStore } from 'react';

const KEY = 'low light';
const listeners = new Set<() => void>();

function listen(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}

/** The theme for bad light; the browser remembers it. The whole page takes it, sheets over it too. */
export function useLowLight(): readonly [boolean, () => void] {
  const on = useSyncExternalStore(
    listen,
    () => localStorage.getItem(KEY) === 'on',
    () => false,
  );
  useEffect(() => {
    document.documentElement.classList.toggle('low-light', on);
    return () => document.documentElement.classList.remove('low-light');
  }, [on]);
  const turn = useCallback(() => {
    localStorage.setItem(KEY, localStorage.getItem(KEY) === 'on' ? 'off' : 'on');
    for (const changed of listeners) changed();
  }, []);
  return [on, turn];
}
