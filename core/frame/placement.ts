/** Where the holes lie on the rim: as ruled, or as evenly widening gaps would have them. */
import { refusal } from '../terms/result';
import type { FrameProblem, FrameSpec } from './frame';
import {
  LEAST_HOLE_GAP,
  letter,
  numbersAt,
  slotsOf,
  type Hole,
  type Skips,
  type Slot,
} from './holes';
import { halfPerimeter, rimAtArc, rimAtX, rimAtY, type Outline } from './outline';
import { SIDES, type End } from '../terms/ends';
import { crossPositions, evenSpacing, mainPositions, type Spacing } from './spacing';
import type { Sport } from '../terms/sport';

/** How far apart two neighbouring holes are wanted, mm along the rim. Common practice, no source. */
const WANTED_HOLE_GAP: Record<Sport, number> = { tennis: 8, badminton: 5.5, squash: 6.5 };

interface Places {
  /** Distances of the mains from the centre line at each end, mm. */
  readonly mains: Record<End, readonly number[]>;
  /** Heights of the crosses over the middle of the head, mm. */
  readonly crosses: readonly number[];
}

function placesFor(spec: FrameSpec, spacing: Spacing): Places {
  const { head, pattern } = spec;
  const mains = mainPositions(head.widthMm, pattern.mains / 2, spacing);
  return {
    mains: { head: mains, throat: mains.map((x) => x * spacing.fan) },
    crosses: crossPositions(head.lengthMm, pattern.crosses, spacing),
  };
}

/** In a teardrop the mains run together towards the yoke. */
export const fansOut = ({ head }: FrameSpec): boolean => head.outline === 'teardrop';

const usualSpacing = (spec: FrameSpec): Spacing => evenSpacing(spec.sport, fansOut(spec));

const mainArcs = (outline: Outline, places: Places, end: End): readonly number[] =>
  places.mains[end].map((x) => rimAtX(outline, x, end).arc);

/**
 * Every hole of a half where the usual spacing has it, along the rim from the middle of the head, mm. A
 * shared hole is one: it stands where its main meets the rim, and the cross that is nearest to it has no
 * hole of its own.
 */
export function usualArcs(spec: FrameSpec, outline: Outline): readonly number[] {
  const places = placesFor(spec, usualSpacing(spec));
  const mains = {
    head: mainArcs(outline, places, 'head'),
    throat: mainArcs(outline, places, 'throat'),
  };
  const crosses = places.crosses.map((y) => rimAtY(outline, y).arc);
  for (const end of ['head', 'throat'] as const)
    for (const hole of numbersAt(spec.holes.shared, end)) {
      // Which main is in it depends on the skips inside; the one of its number is near enough for a guess.
      const main = mains[end][Math.min(hole, mains[end].length) - 1] ?? 0;
      const nearest = crosses.reduce(
        (best, arc, i) => (Math.abs(arc - main) < Math.abs((crosses[best] ?? 0) - main) ? i : best),
        0,
      );
      crosses.splice(nearest, 1);
    }
  return [...mains.head, ...mains.throat, ...crosses].sort((a, b) => a - b);
}

/**
 * The skips that the usual spacing makes on this head: they come out of the order in which mains
 * and crosses meet the rim.
 */
export function evenSkips(spec: FrameSpec, outline: Outline): Skips {
  const places = placesFor(spec, usualSpacing(spec));
  const half = halfPerimeter(outline);
  const at = (end: End): readonly number[] => {
    const outwards = (arc: number) => (end === 'head' ? arc : half - arc);
    const mains = mainArcs(outline, places, end).map(outwards);
    const outermost = mains.at(-1) ?? 0;
    return places.crosses
      .map((y) => outwards(rimAtY(outline, y).arc))
      .filter((arc) => arc < outermost)
      .sort((a, b) => a - b)
      .map((arc, i) => mains.filter((main) => main < arc).length + i + 1);
  };
  // A cross in a shared hole needs no skip of its own, and the holes beyond it move in by one.
  const own = (end: End) => {
    const shared = numbersAt(spec.holes.shared, end);
    const skips: number[] = [];
    let spared = 0;
    for (const skip of at(end))
      if (shared.includes(skip - spared)) spared++;
      else skips.push(skip - spared);
    return skips;
  };
  return { head: own('head'), throat: own('throat') };
}

/**
 * About how long a cross through this hole would be, mm, going by where the usual spacing has the
 * mains on either side of it. Tells a misread hole number from a real one.
 */
export function usualCrossLength(spec: FrameSpec, skips: Skips, end: End, hole: number): number {
  const { mains } = placesFor(spec, usualSpacing(spec));
  const inside = hole - 1 - skips[end].filter((skip) => skip < hole).length;
  const inner = inside > 0 ? (mains[end][inside - 1] as number) : 0;
  const outer = mains[end][inside] ?? spec.head.widthMm / 2;
  return skips[end].includes(hole) ? inner + outer : 2 * outer;
}

const MAIN_RIMS = [1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.4, 2.6, 2.8, 3, 3.2];
const CROSS_RIMS = Array.from({ length: 25 }, (_, i) => 1 + i / 4);
/** What a square millimetre of crowding is worth against moving a rim distance by its tenth. */
const CROWDING_WEIGHT = 0.005;
const FANS = [0.35, 0.45, 0.55, 0.65, 0.75, 0.85, 1];
/** A main and a cross nearer than this on the rim count as out of order, mm. */
const IN_ORDER = 2;

interface Strain {
  /** How far the strings are from meeting the rim in the order of their holes, mm². */
  readonly disorder: number;
  /** How far the holes are from lying comfortably apart, mm². */
  readonly crowding: number;
}

function strainOf(
  slots: readonly Slot[],
  mains: Record<End, readonly number[]>,
  crosses: readonly number[],
  wanted: number,
): Strain {
  let disorder = 0;
  let crowding = 0;
  let before: { readonly arc: number; readonly isMain: boolean } | undefined;
  for (const { end, main, cross } of slots) {
    const mainArc = main === undefined ? undefined : (mains[end][main - 1] as number);
    const crossArc = cross === undefined ? undefined : (crosses[cross - 1] as number);
    if (mainArc !== undefined && crossArc !== undefined) disorder += (mainArc - crossArc) ** 2;
    const here = { arc: mainArc ?? crossArc ?? 0, isMain: mainArc !== undefined };
    if (before && before.isMain !== here.isMain) {
      const gap = here.arc - before.arc;
      disorder += Math.max(0, IN_ORDER - gap) ** 2;
      crowding += Math.max(0, wanted - gap) ** 2;
    }
    before = here;
  }
  return { disorder, crowding };
}

/**
 * The spacing nearest to the usual one in which the strings meet the rim in the order of their
 * holes. Only the distances to the rim move, and the fan where there is one: every value of a
 * coarse grid for the mains, and for each of them the two ends of the crosses by turns.
 */
function fittedPlaces(
  spec: FrameSpec,
  outline: Outline,
  slots: readonly Slot[],
): { places: Places; disorder: number } {
  const usual = usualSpacing(spec);
  const wanted = WANTED_HOLE_GAP[spec.sport];
  // The crosses depend on their two rim distances only, and meet again in every turn of the mains.
  const known = new Map<string, { heights: readonly number[]; arcs: readonly number[] }>();
  const crossesFor = (spacing: Spacing) => {
    const key = `${spacing.headRim} ${spacing.throatRim}`;
    let crosses = known.get(key);
    if (!crosses) {
      const heights = placesFor(spec, spacing).crosses;
      crosses = { heights, arcs: heights.map((y) => rimAtY(outline, y).arc) };
      known.set(key, crosses);
    }
    return crosses;
  };
  let best: { places: Places; disorder: number; cost: number } | undefined;
  const moved = (spacing: Spacing) =>
    (['mainRim', 'headRim', 'throatRim', 'fan'] as const).reduce(
      (sum, name) => sum + (spacing[name] / usual[name] - 1) ** 2,
      0,
    );
  for (const fan of usual.fan < 1 ? [usual.fan, ...FANS] : [1]) {
    for (const mainRim of [usual.mainRim, ...MAIN_RIMS]) {
      const start: Spacing = { ...usual, fan, mainRim };
      const startPlaces = placesFor(spec, start);
      const mains = {
        head: mainArcs(outline, startPlaces, 'head'),
        throat: mainArcs(outline, startPlaces, 'throat'),
      };
      const judge = (spacing: Spacing) => {
        const { heights, arcs } = crossesFor(spacing);
        const { disorder, crowding } = strainOf(slots, mains, arcs, wanted);
        const cost = 100 * disorder + CROWDING_WEIGHT * crowding + moved(spacing);
        return { spacing, places: { ...startPlaces, crosses: heights }, disorder, cost };
      };
      let local = judge(start);
      for (const name of ['headRim', 'throatRim', 'headRim', 'throatRim'] as const)
        for (const value of CROSS_RIMS) {
          const tried = judge({ ...local.spacing, [name]: value });
          if (tried.cost < local.cost) local = tried;
        }
      if (!best || local.cost < best.cost) best = local;
    }
  }
  return best as { places: Places; disorder: number };
}

/**
 * The nearest places (least squares) that keep the holes in order, `gap` apart, and that far from
 * 0 and `length` in halves: pooling of adjacent violators on the places less i·gap (isotonic
 * regression; Barlow et al. 1972), held within its bounds. `length` must have room for all.
 */
export function keepApart(
  places: readonly number[],
  gap: number,
  length: number,
): readonly number[] {
  const pools: { sum: number; count: number }[] = [];
  for (const [i, place] of places.entries()) {
    let pool = { sum: place - i * gap, count: 1 };
    for (
      let last = pools.at(-1);
      last && last.sum / last.count > pool.sum / pool.count;
      last = pools.at(-1)
    ) {
      pools.pop();
      pool = { sum: pool.sum + last.sum, count: pool.count + last.count };
    }
    pools.push(pool);
  }
  const most = length - (places.length - 0.5) * gap;
  return pools
    .flatMap(({ sum, count }) => new Array<number>(count).fill(sum / count))
    .map((place, i) => Math.min(most, Math.max(gap / 2, place)) + i * gap);
}

/** A head that has no room for all its holes. */
export function roomProblem(spec: FrameSpec, outline: Outline): FrameProblem | undefined {
  const holes = spec.pattern.mains + spec.pattern.crosses - spec.holes.shared.length;
  const least = LEAST_HOLE_GAP[spec.sport];
  if (holes * least <= halfPerimeter(outline)) return undefined;
  return {
    field: 'crosses',
    ...refusal('frame.no room', { holes, least }),
  };
}

export interface PlacedHoles {
  readonly holes: readonly Hole[];
  /** True when the counted holes do not go with evenly widening gaps. Nothing is said of ruled ones. */
  readonly uneven: boolean;
}

/** Every hole of the right half on the rim, in order from the head to the throat. */
export function placeHoles(
  spec: FrameSpec,
  outline: Outline,
  skips: Skips,
  ruled: readonly number[] | undefined,
): PlacedHoles {
  const slots = slotsOf(spec, skips);
  const fitted = ruled ? { arcs: ruled, uneven: false } : fittedArcs(spec, outline, slots);
  const holes = slots.map((slot, i): Hole => {
    const { x, y, arc } = rimAtArc(outline, fitted.arcs[i] as number);
    const label = `${slot.number}${letter(slot.end)}`;
    return {
      ...slot,
      label,
      arc,
      x,
      y,
      tieOff: SIDES.filter((side) =>
        spec.holes.tieOff.some((bored) => bored === label || bored === `${label}${initial(side)}`),
      ),
      double: spec.holes.double.includes(label),
      port: spec.holes.ports.includes(label),
    };
  });
  return { holes, uneven: fitted.uneven };
}

const initial = (side: 'left' | 'right'): 'L' | 'R' => (side === 'left' ? 'L' : 'R');

function fittedArcs(
  spec: FrameSpec,
  outline: Outline,
  slots: readonly Slot[],
): { readonly arcs: readonly number[]; readonly uneven: boolean } {
  const { places, disorder } = fittedPlaces(spec, outline, slots);
  const wanted = slots.map((slot) => {
    const arcs: number[] = [];
    if (slot.main !== undefined)
      arcs.push(rimAtX(outline, places.mains[slot.end][slot.main - 1] as number, slot.end).arc);
    if (slot.cross !== undefined)
      arcs.push(rimAtY(outline, places.crosses[slot.cross - 1] as number).arc);
    return arcs.reduce((a, b) => a + b) / arcs.length;
  });
  return {
    arcs: keepApart(wanted, LEAST_HOLE_GAP[spec.sport], halfPerimeter(outline)),
    uneven: disorder > 4,
  };
}
