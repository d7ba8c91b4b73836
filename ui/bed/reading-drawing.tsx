'use client';

import { curveBasis, line } from 'd3-shape';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { Bed } from '@/core/frame/bed';
import type { BedSeen } from '@/core/reading/seen';
import { rimLine, stringLines, type Point } from './ink';
import { placeWords, readingPlaces, type ReadingMode } from './reading-places';

interface ReadingDrawingProps {
  readonly bed: Bed;
  readonly seen: Pick<
    BedSeen,
    'crossBow' | 'mainBow' | 'knots' | 'otherMains' | 'gaps' | 'weaveFaults'
  >;
  /** What a press marks. */
  readonly mode: ReadingMode;
  readonly onPress: (key: string) => void;
}

/** A bow is drawn so many times larger than it is. */
const MAGNIFIED = 3;

const curve = line<Point>(
  (p) => p.x,
  (p) => -p.y,
).curve(curveBasis);

/** A string that is pushed aside at its middle. */
const bowed = (from: Point, to: Point, dx: number, dy: number): string =>
  curve([
    from,
    { x: from.x + (to.x - from.x) / 4 + dx, y: from.y + (to.y - from.y) / 4 + dy },
    { x: from.x + ((to.x - from.x) * 3) / 4 + dx, y: from.y + ((to.y - from.y) * 3) / 4 + dy },
    to,
  ]) ?? '';

const stateWords = (seen: ReadingDrawingProps['seen'], mode: ReadingMode, key: string): string => {
  switch (mode) {
    case 'knots': {
      const knot = seen.knots?.find(({ hole }) => hole === key);
      return knot ? (knot.of ? `a knot of the ${knot.of}` : 'a knot') : 'no knot';
    }
    case 'mains':
      return seen.otherMains?.includes(key) ? 'of the crosses’ string' : 'of the mains’ string';
    case 'gaps': {
      const gap = seen.gaps?.find(({ end, main }) => `${end} ${main}` === key);
      return gap ? gap.is : 'even';
    }
    case 'weave':
      return seen.weaveFaults?.some(({ cross, main }) => `C${cross} ${main}` === key)
        ? 'does not alternate'
        : 'alternates';
  }
};

/**
 * A finished bed as it was seen, each mark a press. Knots are told apart by shape: a disc of the mains, a square of the crosses, a ring
 * where nobody can say. One stop for Tab; the arrows go from place to place.
 */
export function ReadingDrawing({ bed, seen, mode, onPress }: ReadingDrawingProps) {
  const { places, across } = useMemo(() => readingPlaces(bed, mode), [bed, mode]);
  const lines = useMemo(() => stringLines(bed), [bed]);
  const rims = useMemo(() => ({ inner: rimLine(bed, 0), outer: rimLine(bed, 9) }), [bed]);
  const spots = useMemo(
    () =>
      new Map(
        (['knots', 'gaps', 'weave'] as const).flatMap((each) =>
          readingPlaces(bed, each).places.map(({ key, at }) => [key, at] as const),
        ),
      ),
    [bed],
  );
  const [at, setAt] = useState(0);
  const stop = Math.min(at, places.length - 1);
  const marks = useRef<(SVGGElement | null)[]>([]);
  const margin = 24;
  const width = bed.outline.widthMm + 2 * margin;
  const height = bed.outline.lengthMm + 2 * margin;
  const push = (bow: { towards: string; mm: number } | null, plus: string) =>
    bow && bow.towards !== 'neither' ? (bow.towards === plus ? 1 : -1) * bow.mm * MAGNIFIED : 0;
  const up = push(seen.crossBow, 'head');
  const aside = push(seen.mainBow, 'right');

  const keyed = (event: KeyboardEvent, key: string) => {
    const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: across, ArrowUp: -across }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const next = (stop + step + places.length) % places.length;
      setAt(next);
      marks.current[next]?.focus();
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onPress(key);
    }
  };

  return (
    <svg
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      className="block h-[30rem] w-full"
      role="group"
      aria-label={`The bed, head up: press to mark ${mode}; the arrow keys go from place to place`}
    >
      <path d={rims.outer} className="stroke-hair fill-none" strokeWidth={0.8} />
      <path d={rims.inner} className="fill-sheet stroke-edge" strokeWidth={0.8} />
      {lines.map(({ name, kind, from, to }) => (
        <path
          key={name}
          d={kind === 'main' ? bowed(from, to, aside, 0) : bowed(from, to, 0, up)}
          className={`fill-none ${kind === 'cross' || seen.otherMains?.includes(name) ? 'stroke-crosses' : 'stroke-mains'}`}
          strokeWidth={seen.otherMains?.includes(name) ? 3.2 : 1.5}
        />
      ))}
      {seen.knots?.map(({ hole, of }) => {
        const spot = spots.get(hole);
        if (!spot) return null;
        const { x, y } = spot;
        return of === 'crosses' ? (
          <rect key={hole} x={x - 4} y={-y - 4} width={8} height={8} className="fill-crosses-ink" />
        ) : (
          <circle
            key={hole}
            cx={x}
            cy={-y}
            r={4.2}
            className={of === 'mains' ? 'fill-mains' : 'stroke-ink fill-paper'}
            strokeWidth={of === 'mains' ? 0 : 2}
          />
        );
      })}
      {seen.gaps?.map(({ end, main, is }) => {
        const spot = spots.get(`${end} ${main}`);
        if (!spot) return null;
        return (
          <path
            key={`${end} ${main}`}
            transform={`translate(${spot.x} ${-spot.y})`}
            d={
              is === 'wide'
                ? 'M-7 0h14M-7 0l3-3M-7 0l3 3M7 0l-3-3M7 0l-3 3'
                : 'M-7-3l5 3-5 3M7-3l-5 3 5 3'
            }
            className="stroke-warn fill-none"
            strokeWidth={1.6}
          />
        );
      })}
      {seen.weaveFaults?.map(({ cross, main }) => {
        const spot = spots.get(`C${cross} ${main}`);
        if (!spot) return null;
        return (
          <circle
            key={`${cross} ${main}`}
            cx={spot.x}
            cy={-spot.y}
            r={5}
            className="stroke-warn fill-none"
            strokeWidth={2}
          />
        );
      })}
      {places.map(({ key, at: spot }, i) => (
        <g
          key={key}
          ref={(node) => {
            marks.current[i] = node;
          }}
          role="button"
          tabIndex={i === stop ? 0 : -1}
          aria-label={`${placeWords(key)}: ${stateWords(seen, mode, key)}`}
          className="group cursor-pointer focus:outline-none"
          onClick={() => {
            setAt(i);
            onPress(key);
          }}
          onFocus={() => setAt(i)}
          onKeyDown={(event) => keyed(event, key)}
        >
          <title>{placeWords(key)}</title>
          {mode === 'mains' && (
            <rect
              x={spot.x - 5}
              y={-height / 2}
              width={10}
              height={height}
              className="fill-transparent"
            />
          )}
          <circle
            cx={spot.x}
            cy={-spot.y}
            r={mode === 'weave' ? 5.5 : 8}
            className="group-hover:stroke-edge group-focus-visible:stroke-ink fill-transparent stroke-transparent"
            strokeWidth={1.4}
          />
          {mode === 'knots' && !seen.knots?.some(({ hole }) => hole === key) && (
            <circle cx={spot.x} cy={-spot.y} r={1.6} className="fill-edge" />
          )}
        </g>
      ))}
    </svg>
  );
}
