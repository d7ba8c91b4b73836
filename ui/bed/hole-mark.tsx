import type { Hole } from '@/core/holes';

/**
 * A hole, told apart by shape: a ring for a main, a square for a cross, both for a shared hole, a
 * filled square for a skip, and a wide outer ring where it is bored for a knot.
 */
export function HoleMark({
  hole,
  x,
  y,
}: {
  readonly hole: Hole;
  readonly x: number;
  readonly y: number;
}) {
  const main = hole.main !== undefined;
  const cross = hole.cross !== undefined;
  return (
    <g transform={`translate(${x} ${y})`} strokeWidth={0.8}>
      {hole.tieOff && <circle r={4.4} className="stroke-ink fill-none" strokeWidth={0.7} />}
      {cross && (
        <rect
          x={-2.1}
          y={-2.1}
          width={4.2}
          height={4.2}
          className={
            hole.skipped ? 'fill-crosses stroke-crosses-ink' : 'fill-paper stroke-crosses-ink'
          }
        />
      )}
      {main && <circle r={cross ? 1.3 : 2} className="fill-paper stroke-mains" />}
    </g>
  );
}
