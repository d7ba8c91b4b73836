'use client';

import { Pause, Play } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import type { Bed } from '@/core/frame/bed';
import type { Path } from '@/core/path/path';
import type { LengthSystem } from '@/core/measure/units';
import { BedDrawing } from './bed-drawing';

interface StrungBedProps {
  readonly bed: Bed;
  readonly path: Path;
  readonly lengthSystem: LengthSystem;
  readonly className?: string;
}

/** A string every so many milliseconds while it plays. */
const PACE_MS = 260;

/** The bed with a scrubber that strings it from the first pull to the last knot. */
export function StrungBed({ bed, path, lengthSystem, className }: StrungBedProps) {
  const last = path.order.length;
  const [strung, setStrung] = useState(last);
  const [playing, setPlaying] = useState(false);
  const id = useId();
  const at = Math.min(strung, last);

  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(
      () =>
        setStrung((now) => {
          if (now + 1 >= last) setPlaying(false);
          return Math.min(last, now + 1);
        }),
      PACE_MS,
    );
    return () => clearInterval(timer);
  }, [playing, last]);

  return (
    <BedDrawing
      bed={bed}
      path={path}
      strung={at === last ? undefined : at}
      lengthSystem={lengthSystem}
      {...(className !== undefined && { className })}
    >
      <div className="no-print flex items-center gap-3">
        <button
          type="button"
          aria-label={playing ? 'Pause' : 'String it'}
          className="border-edge grid size-9 shrink-0 place-items-center border"
          onClick={() => {
            if (!playing && at === last) setStrung(0);
            setPlaying(!playing);
          }}
        >
          {playing ? (
            <Pause aria-hidden className="size-4" />
          ) : (
            <Play aria-hidden className="size-4" />
          )}
        </button>
        <label htmlFor={id} className="sr-only">
          Strings that are in
        </label>
        <input
          id={id}
          type="range"
          min={0}
          max={last}
          value={at}
          onChange={(event) => {
            setPlaying(false);
            setStrung(Number(event.target.value));
          }}
          className="accent-ink grow"
        />
        <output htmlFor={id} className="figure w-24 text-right">
          {at === 0 ? 'empty' : at === last ? `all ${last}` : `${at}: ${path.order[at - 1]}`}
        </output>
      </div>
    </BedDrawing>
  );
}
