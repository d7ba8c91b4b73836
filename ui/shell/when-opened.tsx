'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';

/** What opens over a page is no part of its first load; it comes while the page stands idle. */
const WINDOWS = {
  palette: () => import('./palette'),
  help: () => import('./help'),
};

export const Palette = dynamic(() => WINDOWS.palette().then((part) => part.Palette), {
  ssr: false,
});
export const Help = dynamic(() => WINDOWS.help().then((part) => part.Help), {
  ssr: false,
});

/** So that the first letter that is typed after the key is not lost. */
export function useReadyAhead(...names: readonly (keyof typeof WINDOWS)[]): void {
  const wanted = names.join();
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const name of wanted.split(',')) void WINDOWS[name as keyof typeof WINDOWS]();
    }, 300);
    return () => clearTimeout(timer);
  }, [wanted]);
}
