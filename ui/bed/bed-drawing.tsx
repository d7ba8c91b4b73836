'use client';

import { useMemo, useState, type KeyboardEvent } from 'react';
import type { Bed } from '@/core/bed';
import { passageMm } from '@/core/lengths';
import type { TwoPiecePath } from '@/core/path';
import { formatHeadDimension, type LengthSystem } from '@/core/units';
import { HoleMark } from './hole-mark';
import { lineOf, mainsOver, outside, rimLine, runLine, stringLines, type StringLine } from './ink';

interface BedDrawingProps {
  readonly bed: Bed;
  /** With the path, the outside runs, tie-offs and knots are drawn too. */
  readonly path?: TwoPiecePath | undefined;
  readonly lengthSystem: LengthSystem;
  readonly className?: string;
}

const SIDES = ['left', 'right'] as const;
/** Strings are drawn a little thicker than they are, so that over and under can be seen. */
const MAIN_WIDTH = 1.7;
const CROSS_WIDTH = 2.6;
const HALO = 1.6;
const CROSS_CORE = 0.9;
/** Numbers of skipped holes stand further out, clear of their neighbours and easy to find. */
const SKIP_STEP = 7.5;
const RUN_EXTRA = { mains: 0, crosses: 3.2 };

function describe({ name, from, to }: StringLine, bed: Bed, system: LengthSystem): string {
  const length = formatHeadDimension(Math.hypot(from.x - to.x, from.y - to.y), system);
  const number = Number.parseInt(name.slice(1), 10);
  if (name.startsWith('C'))
    return `Cross ${number}: ${length}, hole ${bed.crossHoles[number - 1]?.label}`;
  const holes = `${bed.mainHoles.head[number - 1]?.label} to ${bed.mainHoles.throat[number - 1]?.label}`;
  return `Main ${number} ${name.endsWith('L') ? 'left' : 'right'}: ${length}, holes ${holes}`;
}

/**
 * The bed to scale, seen from the face with the head up. Arrow keys or the pointer name a string
 * and its holes in the line below.
 */
export function BedDrawing({ bed, path, lengthSystem, className }: BedDrawingProps) {
  const [named, setNamed] = useState<number>();
  const depth = passageMm(bed.spec.sport);
  const lines = useMemo(() => stringLines(bed), [bed]);
  const over = useMemo(() => mainsOver(bed, CROSS_WIDTH / 2 + HALO), [bed]);
  const rims = useMemo(
    () => ({ inner: rimLine(bed, 0), groove: rimLine(bed, depth + 1.5) }),
    [bed, depth],
  );
  const chosen = named === undefined ? undefined : lines[named];
  const of = (kind: StringLine['kind']) =>
    lines
      .filter((each) => each.kind === kind)
      .map(lineOf)
      .join('');

  const labelReach = depth + (path ? 12 : 8.5);
  const margin = labelReach + 15;
  const width = bed.outline.widthMm + 2 * margin;
  const height = bed.outline.lengthMm + 2 * margin;

  const walk = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    setNamed(((named ?? (step > 0 ? -1 : 0)) + step + lines.length) % lines.length);
  };

  return (
    <figure className={className}>
      <svg
        viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
        className="block h-full max-h-[calc(100%-1.75rem)] w-full"
        role="img"
        aria-label={`Bed of ${bed.spec.pattern.mains} mains and ${bed.spec.pattern.crosses} crosses, head up; the arrow keys name each string`}
        tabIndex={0}
        onKeyDown={walk}
        onPointerLeave={() => setNamed(undefined)}
      >
        <path d={rims.groove} className="stroke-hair fill-none" strokeWidth={0.7} />
        <path d={rims.inner} className="fill-sheet stroke-edge" strokeWidth={0.7} />
        <path d={of('main')} className="stroke-mains fill-none" strokeWidth={MAIN_WIDTH} />
        <path d={of('cross')} className="stroke-sheet fill-none" strokeWidth={CROSS_WIDTH + HALO} />
        <path d={of('cross')} className="stroke-crosses fill-none" strokeWidth={CROSS_WIDTH} />
        <path d={of('cross')} className="stroke-sheet fill-none" strokeWidth={CROSS_CORE} />
        <path d={over} className="stroke-sheet fill-none" strokeWidth={MAIN_WIDTH + HALO} />
        <path d={over} className="stroke-mains fill-none" strokeWidth={MAIN_WIDTH} />
        {chosen && (
          <path
            d={lineOf(chosen)}
            className="stroke-ink fill-none"
            strokeWidth={2.6}
            strokeLinecap="round"
          />
        )}

        {path &&
          [path.crosses, path.mains].flatMap((piece) =>
            piece.segments.map((segment, i) =>
              segment.kind === 'outside' || segment.kind === 'tie-off run' ? (
                <path
                  key={`${piece.name}${i}`}
                  d={runLine(bed, segment, RUN_EXTRA[piece.name])}
                  className={`fill-none ${piece.name === 'mains' ? 'stroke-mains' : 'stroke-crosses'}`}
                  strokeWidth={1.3}
                  strokeDasharray={segment.kind === 'tie-off run' ? '2.4 1.6' : undefined}
                />
              ) : null,
            ),
          )}

        {SIDES.map((side) =>
          bed.holes.map((hole) => {
            const at = outside(bed, hole, side, 0);
            const text = outside(bed, hole, side, labelReach + (hole.skipped ? SKIP_STEP : 0));
            return (
              <g key={side + hole.label}>
                <HoleMark hole={hole} x={at.x} y={-at.y} />
                <text
                  x={text.x}
                  y={-text.y}
                  dy="0.35em"
                  textAnchor="middle"
                  fontSize={7.2}
                  className={`figure ${hole.main !== undefined ? 'fill-mains' : 'fill-crosses-ink'} ${
                    hole.skipped ? 'underline' : ''
                  }`}
                >
                  {hole.number}
                </text>
              </g>
            );
          }),
        )}

        {(['head', 'throat'] as const).map((end) => (
          <text
            key={end}
            y={(end === 'head' ? -1 : 1) * (bed.outline.lengthMm / 2 + labelReach + 9)}
            dy="0.35em"
            textAnchor="middle"
            fontSize={7.2}
            className="fill-soft"
          >
            {end}
          </text>
        ))}

        {path?.knots.map((knot) => {
          const at = outside(bed, knot.hole, knot.side, -7);
          return (
            <g
              key={`${knot.end}${knot.side}${knot.piece}`}
              transform={`translate(${at.x} ${-at.y})`}
            >
              <path
                d="M0-4.4 4.4 0 0 4.4-4.4 0Z"
                className={`stroke-sheet ${knot.piece === 'mains' ? 'fill-mains' : 'fill-crosses-ink'}`}
                strokeWidth={1.2}
              />
              <title>{`Knot of the ${knot.piece}, ${knot.hole.label} ${knot.side}`}</title>
            </g>
          );
        })}

        {lines.map((each, i) => (
          <path
            key={each.name}
            d={lineOf(each)}
            className="fill-none stroke-transparent"
            strokeWidth={6}
            onPointerEnter={() => setNamed(i)}
          />
        ))}
      </svg>
      <figcaption className="label h-7 pt-1 text-center" aria-live="polite">
        {chosen
          ? describe(chosen, bed, lengthSystem)
          : 'Head up, seen from the face. Point at a string, or walk with the arrows.'}
      </figcaption>
    </figure>
  );
}
