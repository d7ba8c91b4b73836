'use client';

import clsx from 'clsx';
import { useEffect, useState } from 'react';
import { formatWall, wallTime } from '@/core/measure/promised-time';

interface ClockProps {
  readonly secondsLeft: number;
  /** On the workshop's clock, `2026-11-27T17:00`. */
  readonly promised: string;
  readonly timeZone: string;
}

/** Minutes to go against the promise. */
export function Clock({ secondsLeft, promised, timeZone }: ClockProps) {
  const [now, setNow] = useState<number>();
  useEffect(() => {
    const tick = () => setNow(Date.now());
    tick();
    const timer = setInterval(tick, 10_000);
    return () => clearInterval(timer);
  }, []);
  // The server's clock is not the bench's: nothing is said before this one is known.
  if (now === undefined) return <p className="label">…</p>;
  const ready = wallTime(new Date(now + 1000 * secondsLeft), timeZone);
  const late = secondsLeft > 0 && ready > promised;
  return (
    <p className={clsx(late ? 'text-warn' : 'text-soft')}>
      <span className="figure text-xl">{Math.ceil(secondsLeft / 60)} min</span> to go, ready{' '}
      {ready.slice(11)}
      {late ? ': late for ' : ', promised '}
      {formatWall(promised, wallTime(new Date(now), timeZone))}
    </p>
  );
}
