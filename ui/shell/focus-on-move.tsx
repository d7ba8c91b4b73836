'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** After a move to another page the keyboard stands on its heading, unless something there has taken it already. */
export function FocusOnMove() {
  const here = usePathname();
  const before = useRef(here);
  useEffect(() => {
    if (before.current === here) return;
    before.current = here;
    const timer = setTimeout(() => {
      if (document.activeElement !== document.body) return;
      const heading = document.querySelector<HTMLElement>('main h1, main h2');
      if (!heading) return;
      heading.tabIndex = -1;
      heading.focus({ preventScroll: true });
    }, 60);
    return () => clearTimeout(timer);
  }, [here]);
  return null;
}
