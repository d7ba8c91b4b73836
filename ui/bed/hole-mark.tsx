import type { Hole } from '@/core/frame/holes';
import type { Side } from '@/core/terms/ends';

interface HoleMarkProps {
  readonly hole: Hole;
  readonly side: Side;
  readonly covered: boolean;
  readonly doubted: boolean;
  readonly x: number;
  readonly y: number;
}

/**
 * A hole, told apart by shape: a ring for a main, a square for a cross, both for a shared hole, a
 * filled square for a skip, a wide outer ring where it is bored for a knot, a bar across one that a
 * run will cover, two dots for two barrels, a ring of dashes for an open port.
 */
export function HoleMark({ hole, side, covered, doubted, x, y }: HoleMarkProps) {
  const main = hole.main !== undefined;
  const cross = hole.cross !== undefined;
  return (
    <g transform={`translate(${x} ${y})`} strokeWidth={0.8}>
      {doubted && <circle r={7} className="stroke-warn fill-none" strokeWidth={1.2} />}
      {hole.tieOff.includes(side) && (
        <circle r={4.4} className="stroke-ink fill-none" strokeWidth={0.7} />
      )}
      {cross && (
        <rect
          x={-2.1}
          y={-2.1}
          width={4.2}
          height={4.2}
          strokeDasharray={hole.port ? '1.2 0.9' : undefined}
          className={
            hole.skipped ? 'fill-crosses stroke-crosses-ink' : 'fill-paper stroke-crosses-ink'
          }
        />
      )}
      {main && (
        <circle
          r={cross ? 1.3 : 2}
          strokeDasharray={hole.port ? '1.2 0.9' : undefined}
          className="fill-paper stroke-mains"
        />
      )}
      {hole.double && (
        <path
          d="M-0.9 0h.01M0.9 0h.01"
          className="stroke-ink"
          strokeWidth={1.1}
          strokeLinecap="round"
        />
      )}
      {covered && <path d="M-4.2-4.2 4.2 4.2" className="stroke-ink" strokeWidth={1.1} />}
    </g>
  );
}
