import { memo } from 'react';
import type { Bed } from '@/core/frame/bed';
import type { Hole } from '@/core/frame/holes';
import { ENDS, SIDES, type Side } from '@/core/terms/ends';
import { HoleMark } from './hole-mark';
import { outside } from './ink';

/** Height of the numbers on a head of 336 mm; they grow and shrink with the head, so that they are read alike. */
export const numberSize = ({ outline }: Bed): number => 9.2 * (outline.lengthMm / 336);

/**
 * How far outside the rim each hole's number stands, mm: in rows around it, skips in the second,
 * others in the first row where they touch no number before them.
 */
function numberReaches(bed: Bed, reach: number): ReadonlyMap<Hole, number> {
  const size = numberSize(bed);
  const reaches = new Map<Hole, number>();
  const boxes: { x: number; y: number; width: number }[] = [];
  for (const hole of bed.holes) {
    const width = size * 0.5 * String(hole.number).length;
    const at = (row: number) => reach + row * size;
    const free = (row: number) => {
      const { x, y } = outside(bed, hole, 'right', at(row));
      return boxes.every(
        (box) =>
          Math.abs(box.x - x) > (box.width + width) / 2 + 1 || Math.abs(box.y - y) > 0.85 * size,
      );
    };
    const row = (hole.skipped ? [1, 2] : [0, 1, 2]).find(free) ?? 0;
    reaches.set(hole, at(row));
    boxes.push({ ...outside(bed, hole, 'right', at(row)), width });
  }
  return reaches;
}

interface BedHolesProps {
  readonly bed: Bed;
  /** How far outside the rim the numbers begin, mm. */
  readonly reach: number;
  /** Holes that a run will cover while they are still needed, as `7H left`. */
  readonly covered: ReadonlySet<string>;
  /** Holes to look at again, by label. */
  readonly doubted: ReadonlySet<string>;
  readonly onTap?: ((hole: Hole) => void) | undefined;
}

/** Holes on both sides; drawn once, whatever is strung. */
export const BedHoles = memo(function BedHoles({
  bed,
  reach,
  covered,
  doubted,
  onTap,
}: BedHolesProps) {
  return SIDES.map((side: Side) =>
    bed.holes.map((hole) => {
      const at = outside(bed, hole, side, 0);
      const tap = outside(bed, hole, side, reach / 2);
      return (
        <g key={side + hole.label}>
          <HoleMark
            hole={hole}
            side={side}
            covered={covered.has(`${hole.label} ${side}`)}
            doubted={doubted.has(hole.label)}
            x={at.x}
            y={-at.y}
          />
          {onTap && (
            <circle
              cx={tap.x}
              cy={-tap.y}
              r={7}
              className="cursor-pointer fill-transparent"
              data-hole={`${hole.label} ${side}`}
              onClick={() => onTap(hole)}
            >
              <title>{`${hole.label}: tap to mark`}</title>
            </circle>
          )}
        </g>
      );
    }),
  );
});

/** The numbers of the holes on both sides, and which end is which. */
export const BedNumbers = memo(function BedNumbers({
  bed,
  reach,
}: {
  readonly bed: Bed;
  readonly reach: number;
}) {
  const reaches = numberReaches(bed, reach);
  const size = numberSize(bed);
  return (
    <>
      {SIDES.map((side: Side) =>
        bed.holes.map((hole) => {
          const { x, y } = outside(bed, hole, side, reaches.get(hole) ?? reach);
          return (
            <text
              key={side + hole.label}
              x={x}
              y={-y}
              dy="0.35em"
              textAnchor="middle"
              fontSize={size}
              className={`figure ${hole.main !== undefined ? 'fill-mains' : 'fill-crosses-ink'} ${
                hole.skipped ? 'underline' : ''
              }`}
            >
              {hole.number}
            </text>
          );
        }),
      )}
      {ENDS.map((end) => (
        <text
          key={end}
          y={(end === 'head' ? -1 : 1) * (bed.outline.lengthMm / 2 + reach + 1.25 * size)}
          dy="0.35em"
          textAnchor="middle"
          fontSize={size}
          className="fill-soft"
        >
          {end}
        </text>
      ))}
    </>
  );
});
