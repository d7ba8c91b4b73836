'use client';

import type { LoadWork } from './use-load-worker';

interface LoadProgressProps {
  readonly work: LoadWork;
  /** Begins, or goes on after a stop. */
  readonly onStart: () => void;
}

/** How far the work is, with a way to stop it and to go on. */
export function LoadProgress({ work: { at, broken, stop }, onStart }: LoadProgressProps) {
  if (at)
    return (
      <p role="status" className="flex items-baseline gap-4">
        <progress value={at.done} max={at.of} className="accent-ink w-48" aria-label="Done" />
        <span className="label">
          {at.words}, {at.done + 1} of {at.of}
        </span>
        <button type="button" className="underline" onClick={stop}>
          Stop
        </button>
      </p>
    );
  if (broken === undefined) return null;
  return (
    <p role="status" className="flex items-baseline gap-4">
      <span>
        {broken === 'stopped'
          ? 'Stopped: what is not worked out is missing.'
          : 'This browser does not work it out.'}
      </span>
      <button type="button" className="underline" onClick={onStart}>
        {broken === 'stopped' ? 'Go on' : 'Try again'}
      </button>
    </p>
  );
}
