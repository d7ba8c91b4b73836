import { memo } from 'react';
import type { Bed } from '@/core/frame/bed';
import { lanesOf } from '@/core/path/groove';
import { runsOf, type Path } from '@/core/path/path';
import { isRun } from '@/core/path/segments';
import { outside, runLine } from './ink';
import { inkOf } from './walk';

export interface DrawnRun {
  readonly key: string;
  readonly d: string;
  readonly ink: 'mains' | 'crosses';
  readonly tail: boolean;
  /** Pulls after which it is there: both of its strings, or its knot. */
  readonly after: number;
}

/** The outside runs of a path as they are drawn, each in its lane. */
export function drawnRuns(bed: Bed, path: Path): readonly DrawnRun[] {
  const { lane } = lanesOf(bed, runsOf(path));
  const when = new Map(path.order.map((string, i) => [string, i + 1]));
  return path.pieces.flatMap(({ name, segments }) =>
    segments.flatMap((segment, i): readonly DrawnRun[] => {
      if (!isRun(segment)) return [];
      const near = [segments[i - 1], segments[i + 1]].flatMap((each) =>
        each?.kind === 'inside' ? [each.string] : [],
      );
      const tail = segment.kind === 'tie-off run';
      const knot = path.knots.find(({ string }) => near.includes(string));
      const ink = inkOf(segments, i);
      return [
        {
          key: `${name}${i}`,
          d: runLine(bed, segment, ink, lane.get(segment) ?? 0),
          ink,
          tail,
          after:
            tail && knot
              ? knot.tiedAfter + 1
              : Math.max(...near.map((string) => when.get(string) ?? 0)),
        },
      ];
    }),
  );
}

const Run = memo(function Run({ run, there }: { readonly run: DrawnRun; readonly there: boolean }) {
  return there ? (
    <path
      d={run.d}
      className={`fill-none ${run.ink === 'mains' ? 'stroke-mains' : 'stroke-crosses'}`}
      strokeWidth={1.3}
      strokeDasharray={run.tail ? '2.4 1.6' : undefined}
    />
  ) : null;
});

export function BedRuns({
  runs,
  strung,
}: {
  readonly runs: readonly DrawnRun[];
  readonly strung: number;
}) {
  return runs.map((run) => <Run key={run.key} run={run} there={run.after <= strung} />);
}

const KNOT_DEPTH = -7;

export const BedKnots = memo(function BedKnots({
  bed,
  path,
  strung,
}: {
  readonly bed: Bed;
  readonly path: Path;
  readonly strung: number;
}) {
  return path.knots
    .filter(({ tiedAfter }) => tiedAfter < strung)
    .map((knot) => {
      const at = outside(bed, knot.hole, knot.side, KNOT_DEPTH);
      return (
        <g key={knot.string} transform={`translate(${at.x} ${-at.y})`}>
          <path
            d="M0-4.4 4.4 0 0 4.4-4.4 0Z"
            className={`stroke-sheet ${knot.ties === 'main' ? 'fill-mains' : 'fill-crosses-ink'}`}
            strokeWidth={1.2}
          />
          <title>{`Knot of ${knot.string}, ${knot.hole.label} ${knot.side}`}</title>
        </g>
      );
    });
});
