'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** Several changes of one moment are one look. */
const MOMENT_MS = 250;

/** Shows the day anew whenever something of it changes anywhere; a tab that nobody sees waits until it is seen. */
export function LiveDay() {
  const router = useRouter();
  useEffect(() => {
    const events = new EventSource('/day/live');
    let timer: ReturnType<typeof setTimeout> | undefined;
    let missed = false;
    const look = () => {
      clearTimeout(timer);
      if (document.hidden) {
        missed = true;
        return;
      }
      timer = setTimeout(() => router.refresh(), MOMENT_MS);
    };
    const seen = () => {
      if (!missed || document.hidden) return;
      missed = false;
      look();
    };
    events.addEventListener('message', look);
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearTimeout(timer);
      events.close();
      document.removeEventListener('visibilitychange', seen);
    };
  }, [router]);
  return null;
}
