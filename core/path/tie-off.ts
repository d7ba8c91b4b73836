/** Which hole each tail is tied off in. */
import { crossName, isMain, mainName, type StringName } from '../terms/string-name';
import type { Mm } from '../measure/quantities';
import type { Bed } from '../frame/bed';
import { crossovers } from './groove';
import type { Hole } from '../frame/holes';
import type { End, Side } from '../terms/ends';
import { type HolePlace, type Run } from './segments';

export interface Knot {
  /** The string whose tail it is. */
  readonly string: StringName;
  readonly ties: 'main' | 'cross';
  readonly end: End;
  readonly side: Side;
  /** The hole of that string, from which the tail runs to the knot. */
  readonly from: Hole;
  /** The tie-off hole. */
  readonly hole: Hole;
  /** It is bored for a knot; otherwise the knot would be forced into an ordinary hole. */
  readonly bored: boolean;
  /** Place in the order of the pulls after which it is tied, 0 for the first string. */
  readonly tiedAfter: number;
}

export interface KnotNeed {
  readonly string: StringName;
  readonly at: HolePlace;
  /** A first cross, held by a starting clamp and tied when a few of its neighbours are in. */
  readonly late: boolean;
}

export interface TieOffCandidate {
  readonly hole: Hole;
  readonly bored: boolean;
  /** Frame between the last hole and this one, mm: the slack between clamp and knot grows with it. */
  readonly runMm: Mm;
  /** The tail is tied onto a string of its own kind. */
  readonly likeToLike: boolean;
  /** Frame to the nearest neighbouring hole, mm: what the knot has to lie in. */
  readonly roomMm: Mm;
  /** Other runs that its run would cross. */
  readonly crossings: number;
  /** Millimetres of run that all of this is worth; the least wins. */
  readonly cost: number;
}

/**
 * What counts against a hole, in millimetres of run. Common practice names the reasons and their
 * order (a bored hole before all, then no crossover, then a short run); the figures are our own.
 */
const NOT_BORED = 400;
const CROSSING = 60;
const UNLIKE = 5;
const OUTWARDS = 4;
const KNOT_ROOM_MM = 8;
const CRAMPED = 3;

const kindOf = (string: StringName): Knot['ties'] => (isMain(string) ? 'main' : 'cross');

/** A first cross is tied after two or three more (common practice). */
const LATE_BY = 3;

/**
 * The holes that a tail could be tied off in, best first. A knot is tied onto a string that is there
 * already (or comes in with the tail), at the same end and side; a hole that two strings fill, or
 * that another tail has taken, is none.
 */
export function rankTieOffs(
  bed: Bed,
  need: KnotNeed,
  isThere: (string: StringName) => boolean,
  taken: ReadonlySet<string>,
  runs: readonly Run[],
): readonly TieOffCandidate[] {
  const { hole: from, side } = need.at;
  // A tail lies at its own end and side, and only runs there can be in its way.
  const near = runs.filter(({ from: a, to: b }) =>
    [a, b].some((place) => place.side === side && place.hole.end === from.end),
  );
  const crossingsBefore = crossovers(bed, near).length;
  return bed.holes
    .filter((hole) => hole.end === from.end && hole !== from && !taken.has(keyOf(hole, side)))
    .flatMap((hole): TieOffCandidate[] => {
      const strings = stringsIn(hole, side).filter(isThere);
      const capacity = hole.double ? 2 : 1;
      if (strings.length === 0 || strings.length > capacity) return [];
      if (hole.main !== undefined && hole.cross !== undefined && !hole.double) return [];
      const bored = hole.tieOff.includes(side);
      const runMm = Math.abs(hole.arc - from.arc);
      const likeToLike = strings.some((string) => kindOf(string) === kindOf(need.string));
      const i = bed.holes.indexOf(hole);
      const roomMm = Math.min(
        ...[bed.holes[i - 1], bed.holes[i + 1]].map((other) =>
          other ? Math.abs(other.arc - hole.arc) : Infinity,
        ),
      );
      const run: Run = { kind: 'tie-off run', from: need.at, to: { hole, side } };
      const crossings = crossovers(bed, [...near, run]).length - crossingsBefore;
      const outwards = from.end === 'head' ? hole.arc > from.arc : hole.arc < from.arc;
      const cost =
        runMm +
        (bored ? 0 : NOT_BORED) +
        CROSSING * Math.max(0, crossings) +
        (likeToLike ? 0 : UNLIKE) +
        (outwards ? OUTWARDS : 0) +
        CRAMPED * Math.max(0, KNOT_ROOM_MM - roomMm);
      return [{ hole, bored, runMm, likeToLike, roomMm, crossings, cost }];
    })
    .sort((a, b) => a.cost - b.cost);
}

const keyOf = (hole: Hole, side: Side) => `${hole.label} ${side}`;

const stringsIn = (hole: Hole, side: Side): readonly StringName[] => [
  ...(hole.main === undefined ? [] : [mainName(hole.main, side)]),
  ...(hole.cross === undefined ? [] : [crossName(hole.cross)]),
];

/**
 * The tie-off hole of every tail, chosen in the order in which the strings are pulled, so that the
 * same frame gives the same holes every time. `runs` are the outside runs that are there anyway.
 */
export function chooseKnots(
  bed: Bed,
  needs: readonly KnotNeed[],
  order: readonly StringName[],
  runs: readonly Run[],
): readonly Knot[] {
  const when = new Map(order.map((string, i) => [string, i]));
  const at = (string: StringName) => when.get(string) ?? Infinity;
  const taken = new Set<string>();
  const laid = [...runs];
  const knots = new Map<KnotNeed, Knot>();
  for (const need of needs.toSorted((a, b) => at(a.string) - at(b.string))) {
    const moment = Math.min(order.length - 1, at(need.string) + (need.late ? LATE_BY : 0));
    const best = rankTieOffs(bed, need, (string) => at(string) <= moment, taken, laid)[0];
    // A bed of so few strings that nothing is free has its knot at its own hole.
    const hole = best?.hole ?? need.at.hole;
    taken.add(keyOf(hole, need.at.side));
    laid.push({ kind: 'tie-off run', from: need.at, to: { hole, side: need.at.side } });
    knots.set(need, {
      string: need.string,
      ties: kindOf(need.string),
      end: need.at.hole.end,
      side: need.at.side,
      from: need.at.hole,
      hole,
      bored: best?.bored ?? false,
      tiedAfter: moment,
    });
  }
  return needs.map((need) => knots.get(need) as Knot);
}
