/** Outside runs in the groove: what they cover, and whether they cross. */
import type { Bed } from '../frame/bed';
import { halfPerimeter } from '../frame/outline';
import { SIDES, type Side } from '../terms/ends';
import type { HolePlace, Run } from './segments';

/** Where a run lies on one side, along the rim from the middle of the head, mm. */
interface Stretch {
  readonly run: Run;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
}

/** A run on one side is one stretch; a run over the centre line is one on each side of it. */
function stretchesOf(bed: Bed, run: Run): readonly Stretch[] {
  const { from, to } = run;
  if (from.side === to.side) {
    const [a, b] = [from.hole.arc, to.hole.arc].sort((p, q) => p - q) as [number, number];
    return [{ run, side: from.side, from: a, to: b }];
  }
  const middle = from.hole.end === 'head' ? 0 : halfPerimeter(bed.outline);
  return [from, to].map(({ hole, side }) => ({
    run,
    side,
    from: Math.min(hole.arc, middle),
    to: Math.max(hole.arc, middle),
  }));
}

/** Holes that a run passes over, ends left out. */
export function coveredBy(bed: Bed, run: Run): readonly HolePlace[] {
  return stretchesOf(bed, run).flatMap(({ side, from, to }) =>
    bed.holes
      .filter(({ arc }) => arc > from + 1e-6 && arc < to - 1e-6)
      .map((hole) => ({ hole, side })),
  );
}

export const runName = ({ from, to }: Run): string =>
  from.side === to.side
    ? `${from.hole.label}–${to.hole.label} ${from.side}`
    : `${from.hole.label} ${from.side}–${to.hole.label} ${to.side}`;

export interface Crossover {
  readonly side: Side;
  readonly runs: readonly [Run, Run];
}

/** Two stretches that overlap without one lying within the other. */
const interleave = (a: Stretch, b: Stretch): boolean =>
  (a.from < b.from - 1e-6 && b.from < a.to - 1e-6 && a.to < b.to - 1e-6) ||
  (b.from < a.from - 1e-6 && a.from < b.to - 1e-6 && b.to < a.to - 1e-6);

/**
 * Runs that cannot lie flat side by side. A groove has room for two lanes, one on either side of
 * its holes; runs that interleave must take different lanes. Runs whose lanes cannot be chosen so
 * cross over (the graph of interleaving runs has an odd cycle: it is not an embedding in two pages).
 */
export function crossovers(bed: Bed, runs: readonly Run[]): readonly Crossover[] {
  return lanesOf(bed, runs).crossovers;
}

/** The lane of each run, 0 or 1, alternating where runs interleave, and those that cross for want of a third. */
export function lanesOf(
  bed: Bed,
  runs: readonly Run[],
): { readonly lane: ReadonlyMap<Run, 0 | 1>; readonly crossovers: readonly Crossover[] } {
  const lane = new Map<Run, 0 | 1>();
  const found: Crossover[] = [];
  for (const side of SIDES) {
    const stretches = runs
      .flatMap((run) => stretchesOf(bed, run))
      .filter((stretch) => stretch.side === side);
    for (const seed of stretches) {
      if (lane.has(seed.run)) continue;
      lane.set(seed.run, 0);
      const queue = [seed];
      for (let here = queue.shift(); here; here = queue.shift())
        for (const other of stretches) {
          if (other.run === here.run || !interleave(here, other)) continue;
          const wanted = lane.get(here.run) === 0 ? 1 : 0;
          const has = lane.get(other.run);
          if (has === undefined) {
            lane.set(other.run, wanted);
            queue.push(other);
          } else if (has !== wanted && stretches.indexOf(here) < stretches.indexOf(other))
            found.push({ side, runs: [here.run, other.run] });
        }
    }
  }
  return { lane, crossovers: found };
}

/** Frame that a run lies along, mm of rim. */
export const rimAlong = (bed: Bed, run: Run): number =>
  stretchesOf(bed, run).reduce((sum, { from, to }) => sum + to - from, 0);
