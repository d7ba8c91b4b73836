'use client';

import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { GrommetState } from '@/core/counter/inspection';
import type { Bed } from '@/core/frame/bed';
import type { Hole } from '@/core/frame/holes';
import type { Side } from '@/core/terms/ends';
import { numberSize } from './bed-holes';
import { outside, rimLine } from './ink';

interface GrommetDrawingProps {
  readonly bed: Bed;
  /** By place, `7H left`. */
  readonly states: ReadonlyMap<string, GrommetState>;
  readonly onPress: (place: string) => void;
}

interface Place {
  readonly hole: Hole;
  readonly side: Side;
}

/** Told apart by shape: a slash for split, a filled spot for sunken, a cross for missing. */
const MARKS: Readonly<Record<GrommetState, string>> = {
  split: 'M-4 4 4-4',
  sunken: 'M-3.4-3.4h6.8v6.8h-6.8z',
  missing: 'M-4-4 4 4M-4 4 4-4',
};

const AHEAD: Partial<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

/**
 * The rim of a frame with its grommets, each a press: whole, split, sunken, missing and whole again. One stop for
 * Tab; the arrows walk around the rim.
 */
export function GrommetDrawing({ bed, states, onPress }: GrommetDrawingProps) {
  const places = useMemo(
    () => [
      ...bed.holes.map((hole): Place => ({ hole, side: 'right' })),
      ...bed.holes.toReversed().map((hole): Place => ({ hole, side: 'left' })),
    ],
    [bed],
  );
  const [at, setAt] = useState(0);
  const marks = useRef<(SVGGElement | null)[]>([]);
  const rims = useMemo(() => ({ inner: rimLine(bed, 0), outer: rimLine(bed, 9) }), [bed]);
  const size = numberSize(bed);
  const margin = 30;
  const width = bed.outline.widthMm + 2 * margin;
  const height = bed.outline.lengthMm + 2 * margin;

  const keyed = (event: KeyboardEvent, place: string) => {
    const step = AHEAD[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const next = (at + step + places.length) % places.length;
      setAt(next);
      marks.current[next]?.focus();
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onPress(place);
    }
  };

  return (
    <svg
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      className="block h-[32rem] w-full"
      role="group"
      aria-label="Grommets, head up: press one for split, sunken, missing; the arrow keys walk around the rim"
    >
      <path d={rims.outer} className="stroke-hair fill-none" strokeWidth={0.8} />
      <path d={rims.inner} className="fill-sheet stroke-edge" strokeWidth={0.8} />
      {places.map(({ hole, side }, i) => {
        const place = `${hole.label} ${side}`;
        const state = states.get(place);
        const mark = outside(bed, hole, side, 4);
        const number = outside(bed, hole, side, 18);
        return (
          <g
            key={place}
            ref={(node) => {
              marks.current[i] = node;
            }}
            role="button"
            tabIndex={i === at ? 0 : -1}
            aria-label={`${place}: ${state ?? 'whole'}`}
            className="group cursor-pointer focus:outline-none"
            onClick={() => {
              setAt(i);
              onPress(place);
            }}
            onFocus={() => setAt(i)}
            onKeyDown={(event) => keyed(event, place)}
          >
            <circle cx={mark.x} cy={-mark.y} r={9} className="fill-transparent" />
            <g transform={`translate(${mark.x} ${-mark.y})`}>
              <circle
                r={7}
                className="group-focus-visible:stroke-ink fill-none stroke-transparent"
                strokeWidth={1}
              />
              <circle r={2.6} className="fill-paper stroke-ink" strokeWidth={0.9} />
              {state && (
                <path
                  d={MARKS[state]}
                  className={state === 'sunken' ? 'fill-warn' : 'stroke-warn fill-none'}
                  strokeWidth={2}
                  strokeLinecap="round"
                />
              )}
            </g>
            <text
              x={number.x}
              y={-number.y}
              dy="0.35em"
              textAnchor="middle"
              fontSize={size}
              className={state ? 'figure fill-warn font-semibold' : 'figure fill-soft'}
            >
              {hole.number}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
