'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { hearDay } from './hear-day';

/** Several changes of one moment are one look. */
const MOMENT_MS = 250;

/** Shows the day anew whenever something of it changes anywhere; a tab that nobody sees waits until it is seen. */
export function LiveDay() {
  const router = useRouter();
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const leave = hearDay(() => {
      clearTimeout(timer);
      timer = setTimeout(() => router.refresh(), MOMENT_MS);
    });
    return () => {
      clearTimeout(timer);
      leave();
    };
  }, [router]);
  return null;
}
