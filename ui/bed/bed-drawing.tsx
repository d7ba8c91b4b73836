'use client';

import type { StringName } from '@/core/terms/string-name';
import clsx from 'clsx';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { memo, useCallback, useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import type { Bed } from '@/core/frame/bed';
import { coveredHoles } from '@/core/path/covered-holes';
import type { Hole } from '@/core/frame/holes';
import { passageMm } from '@/core/cut/lengths';
import type { Path } from '@/core/path/path';
import { placeName } from '@/core/path/segments';
import type { LengthSystem } from '@/core/measure/units';
import { BedHoles, BedNumbers, numberSize } from './bed-holes';
import { BedKnots, BedRuns, drawnRuns } from './bed-runs';
import { BedStrings } from './bed-strings';
import { outside, rimLine, stringLines } from './ink';
import { useZoom } from './use-zoom';
import { stopsOf, type Stop } from './walk';

interface BedDrawingProps {
  readonly bed: Bed;
  /** With the path, the outside runs, tie-offs and knots are drawn too, and the arrows follow it. */
  readonly path?: Path | undefined;
  /** How many strings are in, in the order of the path; all when left out. */
  readonly strung?: number | undefined;
  readonly lengthSystem: LengthSystem;
  readonly className?: string;
  /** Nothing in it answers: it is only to look at, and no string is bright but the one that is named. */
  readonly still?: boolean;
  readonly inked?: StringName | undefined;
  /** What a tap on a hole does; without it holes cannot be tapped. */
  readonly onTap?: ((hole: Hole) => void) | undefined;
  /** Stands below the drawing. */
  readonly children?: ReactNode;
}

const NONE: ReadonlySet<string> = new Set();

const ZOOM_BUTTON = 'text-soft hover:text-ink grid size-8 place-items-center';

/**
 * The bed to scale, seen from the face with the head up. Arrow keys or the pointer name a string, a
 * run and its holes in the line below; the arrows walk along the string where its path is known.
 */
export function BedDrawing({
  bed,
  path,
  strung,
  lengthSystem,
  className,
  still = false,
  inked,
  onTap,
  children,
}: BedDrawingProps) {
  const [named, setNamed] = useState<number>();
  const { svg, transform, zoomed, by, whole, onKey } = useZoom();
  const depth = passageMm(bed.spec.sport);
  const lines = useMemo(() => stringLines(bed), [bed]);
  const stops = useMemo(() => stopsOf(bed, path, lengthSystem), [bed, path, lengthSystem]);
  const runs = useMemo(() => (path ? drawnRuns(bed, path) : []), [bed, path]);
  const covered = useMemo(
    () => (path ? new Set(coveredHoles(bed, path).map(({ at }) => placeName(at))) : NONE),
    [bed, path],
  );
  const doubted = useMemo(
    () => new Set(bed.look.outliers.slice(0, 2).map(({ hole }) => hole)),
    [bed],
  );
  const rims = useMemo(
    () => ({ inner: rimLine(bed, 0), groove: rimLine(bed, depth + 1.5) }),
    [bed, depth],
  );
  const there = strung ?? Infinity;
  const order = useMemo(() => new Map((path?.order ?? []).map((name, i) => [name, i + 1])), [path]);
  const isStrung = useCallback(
    (name: StringName) => (order.get(name) ?? 0) <= there,
    [order, there],
  );
  const current = still || strung === undefined ? inked : path?.order[strung - 1];
  const chosen = named === undefined ? undefined : stops[named];
  const bright = chosen
    ? chosen.d || runs.find(({ key }) => key === chosen.key)?.d
    : lines.find(({ name }) => name === current)?.d;

  const labelReach = depth + (path ? 12 : 8);
  const size = numberSize(bed);
  const margin = labelReach + 1.8 * size;
  const width = bed.outline.widthMm + 2 * margin;
  const height = bed.outline.lengthMm + 2 * margin;
  const viewBox = `${-width / 2} ${-height / 2} ${width} ${height}`;

  const walk = (event: KeyboardEvent) => {
    if (onKey(event)) {
      event.preventDefault();
      return;
    }
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    setNamed(((named ?? (step > 0 ? -1 : 0)) + step + stops.length) % stops.length);
  };

  return (
    <figure className={clsx('flex flex-col', className)}>
      <div className="relative min-h-0 grow">
        <svg
          ref={svg}
          viewBox={viewBox}
          className={clsx('block h-full w-full', zoomed && 'cursor-grab')}
          role="img"
          aria-label={`Bed of ${bed.spec.pattern.mains} mains and ${bed.spec.pattern.crosses} crosses, head up; the arrow keys walk along the strings, plus and minus zoom`}
          tabIndex={0}
          onKeyDown={walk}
          onPointerLeave={() => setNamed(undefined)}
        >
          <g transform={transform}>
            <path d={rims.groove} className="stroke-hair fill-none" strokeWidth={0.7} />
            <path d={rims.inner} className="fill-sheet stroke-edge" strokeWidth={0.7} />
            <BedStrings lines={lines} isStrung={isStrung} />
            {bright && (
              <path
                d={bright}
                className="stroke-ink fill-none"
                strokeWidth={2.6}
                strokeLinecap="round"
              />
            )}
            <BedRuns runs={runs} strung={there} />
            <BedHoles
              bed={bed}
              reach={labelReach}
              covered={covered}
              doubted={doubted}
              onTap={onTap}
            />
            {chosen?.to && <Arrival bed={bed} at={chosen.to} />}
            {path && <BedKnots bed={bed} path={path} strung={there} />}
            <HitLines stops={stops} onPoint={setNamed} />
          </g>
        </svg>
        {/* A layer of its own: text is dear to paint again, and never changes while it is strung. */}
        <svg
          viewBox={viewBox}
          className="pointer-events-none absolute inset-0 h-full w-full will-change-transform"
          aria-hidden
        >
          <g transform={transform}>
            <BedNumbers bed={bed} reach={labelReach} />
          </g>
        </svg>
        <div
          className={clsx('no-print absolute top-0 right-0 flex-col', still ? 'hidden' : 'flex')}
        >
          <button type="button" aria-label="Larger" className={ZOOM_BUTTON} onClick={() => by(1.3)}>
            <ZoomIn aria-hidden className="size-4" />
          </button>
          <button
            type="button"
            aria-label="Smaller"
            className={ZOOM_BUTTON}
            onClick={() => by(1 / 1.3)}
          >
            <ZoomOut aria-hidden className="size-4" />
          </button>
          <button type="button" aria-label="The whole bed" className={ZOOM_BUTTON} onClick={whole}>
            <Maximize aria-hidden className="size-4" />
          </button>
        </div>
      </div>
      <figcaption className="label no-print min-h-7 pt-1 text-center" aria-live="polite">
        {still
          ? 'Head up, seen from the face.'
          : chosen
            ? chosen.words
            : onTap
              ? 'Head up, seen from the face. Tap a hole to mark it.'
              : 'Head up, seen from the face. Point at a string, or walk with the arrows.'}
      </figcaption>
      {children}
    </figure>
  );
}

/** A ring round the hole that a walk has come to. */
function Arrival({
  bed,
  at,
}: {
  readonly bed: Bed;
  readonly at: { hole: Hole; side: 'left' | 'right' };
}) {
  const { x, y } = outside(bed, at.hole, at.side, 0);
  return <circle cx={x} cy={-y} r={5.5} className="stroke-ink fill-none" strokeWidth={1.4} />;
}

/** Wide invisible lines over the strings, for the pointer to find; they never change while it is strung. */
const HitLines = memo(function HitLines({
  stops,
  onPoint,
}: {
  readonly stops: readonly Stop[];
  readonly onPoint: (stop: number) => void;
}) {
  return stops.map(({ key, d, string }, i) =>
    string === undefined ? null : (
      <path
        key={key}
        d={d}
        className="fill-none stroke-transparent"
        strokeWidth={6}
        onPointerEnter={() => onPoint(i)}
      />
    ),
  );
});
