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

/**
 * Holes that a run passes over, ends left out.
 *
 * @example
 * coveredBy(usual.bed, { kind: 'outside', from: { hole: usual.bed.holes[0], side: 'left' }, to: { hole: usual.bed.holes[2], side: 'left' } }).map(({ hole }) => hole.label) // ['2H']
 */
export function coveredBy(bed: Bed, run: Run): readonly HolePlace[] {
  return stretchesOf(bed, run).flatMap(({ side, from, to }) =>
    bed.holes
      .filter(({ arc }) => arc > from + 1e-6 && arc < to - 1e-6)
      .map((hole) => ({ hole, side })),
  );
}

/**
 * @example
 * runName({ kind: 'outside', from: { hole: usual.bed.holes[0], side: 'left' }, to: { hole: usual.bed.holes[2], side: 'left' } }) // '1H–3H left'
 */
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

/** For each of the stretches of one side, by its place among them, those that it interleaves with. */
function interleaving(stretches: readonly Stretch[]): readonly (readonly number[])[] {
  const beside = stretches.map((): number[] => []);
  const byStart = [...stretches.keys()].sort(
    (a, b) => (stretches[a] as Stretch).from - (stretches[b] as Stretch).from,
  );
  for (const [place, first] of byStart.entries()) {
    const a = stretches[first] as Stretch;
    // Runs are short: what begins beyond its end is not looked at.
    for (let i = place + 1; i < byStart.length; i++) {
      const second = byStart[i] as number;
      const b = stretches[second] as Stretch;
      if (b.from >= a.to) break;
      if (!interleave(a, b)) continue;
      beside[first]?.push(second);
      beside[second]?.push(first);
    }
  }
  for (const each of beside) each.sort((a, b) => a - b);
  return beside;
}

/**
 * Runs that cannot lie flat side by side. A groove has room for two lanes, one on either side of
 * its holes; runs that interleave must take different lanes. Runs whose lanes cannot be chosen so
 * cross over (the graph of interleaving runs has an odd cycle: it is not an embedding in two pages).
 *
 * @example
 * crossovers(usual.bed, []) // []
 */
export function crossovers(bed: Bed, runs: readonly Run[]): readonly Crossover[] {
  return lanesOf(bed, runs).crossovers;
}

/**
 * The lane of each run, 0 or 1, alternating where runs interleave, and those that cross for want of a third.
 *
 * @example
 * lanesOf(usual.bed, []).lane.size // 0
 */
export function lanesOf(
  bed: Bed,
  runs: readonly Run[],
): { readonly lane: ReadonlyMap<Run, 0 | 1>; readonly crossovers: readonly Crossover[] } {
  const lane = new Map<Run, 0 | 1>();
  const found: Crossover[] = [];
  const all = runs.flatMap((run) => stretchesOf(bed, run));
  for (const side of SIDES) {
    const stretches = all.filter((stretch) => stretch.side === side);
    const beside = interleaving(stretches);
    for (const [seed, { run }] of stretches.entries()) {
      if (lane.has(run)) continue;
      lane.set(run, 0);
      const queue = [seed];
      for (let here = queue.shift(); here !== undefined; here = queue.shift()) {
        const its = (stretches[here] as Stretch).run;
        const wanted = lane.get(its) === 0 ? 1 : 0;
        for (const other of beside[here] ?? []) {
          const others = (stretches[other] as Stretch).run;
          if (others === its) continue;
          const has = lane.get(others);
          if (has === undefined) {
            lane.set(others, wanted);
            queue.push(other);
          } else if (has !== wanted && here < other) found.push({ side, runs: [its, others] });
        }
      }
    }
  }
  return { lane, crossovers: found };
}

/**
 * Frame that a run lies along, mm of rim.
 *
 * @example
 * rimAlong(usual.bed, { kind: 'outside', from: { hole: usual.bed.holes[0], side: 'left' }, to: { hole: usual.bed.holes[0], side: 'left' } }) // 0
 */
export const rimAlong = (bed: Bed, run: Run): number =>
  stretchesOf(bed, run).reduce((sum, { from, to }) => sum + to - from, 0);
