'use client';

import { useEffect, useState } from 'react';
import { wallTime } from '@/core/measure/promised-time';

/** The time of the workshop, to the minute. */
export function Clock({ zone, now }: { readonly zone: string; readonly now: string }) {
  const [time, setTime] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setTime(wallTime(new Date(), zone).slice(11)), 5000);
    return () => clearInterval(timer);
  }, [zone]);
  return <time className="figure text-6xl">{time}</time>;
}
