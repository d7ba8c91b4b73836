/**
 * The holes of a half, numbered from the centre line outwards, separately at the head (H) and the
 * throat (T): 1H, 2H … 1T, 2T. Each knows the strings that go through it.
 */
import type { FrameProblem, FrameSpec } from './frame';
import { halfPerimeter, rimAtArc, rimAtX, rimAtY, type End, type Outline } from './outline';
import { crossPositions, evenSpacing, mainPositions, type Spacing } from './spacing';
import type { Sport } from './sport';

export interface Hole {
  /** `7H`: the same on both sides of the frame. */
  readonly label: string;
  readonly end: End;
  readonly number: number;
  /** On the right half; the left is its mirror image. */
  readonly arc: number;
  readonly x: number;
  readonly y: number;
  /** Number of the main through it (1 is next to the centre line), if any. */
  readonly main: number | undefined;
  /** Number of the cross through it (1 is next to the head), if any. */
  readonly cross: number | undefined;
  /** Among the mains, and left empty for a cross. */
  readonly skipped: boolean;
  readonly tieOff: boolean;
}

/** A hole's number and strings, before it has a place on the rim. */
interface Slot {
  readonly end: End;
  readonly number: number;
  readonly main: number | undefined;
  readonly cross: number | undefined;
  readonly skipped: boolean;
}

export const letter = (end: End): 'H' | 'T' => (end === 'head' ? 'H' : 'T');

/** The hole numbers among labels that stand at one end. */
export const numbersAt = (labels: readonly string[], end: End): readonly number[] =>
  labels.filter((label) => label.endsWith(letter(end))).map((label) => Number.parseInt(label, 10));

/** Hole numbers of the mains of one side at one end, M1 outwards, given the skips there. */
function mainNumbers(perSide: number, skips: readonly number[]): readonly number[] {
  const numbers: number[] = [];
  for (let hole = 1; numbers.length < perSide; hole++)
    if (!skips.includes(hole)) numbers.push(hole);
  return numbers;
}

/** Holes at one end that a cross takes among or together with the mains, outwards. */
const crossNumbersAmongMains = (skips: readonly number[], shared: readonly number[]) =>
  [...skips, ...shared].sort((a, b) => a - b);

export interface Skips {
  readonly head: readonly number[];
  readonly throat: readonly number[];
}

/** What is wrong with the skips and shared holes as counted, by counting alone. */
export function countProblems(spec: FrameSpec, skips: Skips): readonly FrameProblem[] {
  const problems: FrameProblem[] = [];
  const perSide = spec.pattern.mains / 2;
  let amongMains = 0;
  for (const end of ['head', 'throat'] as const) {
    const field = end === 'head' ? 'headSkip' : 'throatSkip';
    const wrong = skips[end].find((skip, i) => skip > perSide + i);
    const outermost = mainNumbers(
      perSide,
      skips[end].filter((skip, i) => skip <= perSide + i),
    ).at(-1);
    if (wrong !== undefined)
      problems.push({
        field,
        problem: `There is no skip at hole ${wrong}: with ${perSide} mains a side the outermost main is in ${outermost}${letter(end)}, and the holes beyond it belong to crosses anyway.`,
      });
    const shared = numbersAt(spec.holes.shared, end);
    const stray = shared.find((hole) => !mainNumbers(perSide, skips[end]).includes(hole));
    if (stray !== undefined)
      problems.push({
        field: 'shared',
        problem: `A shared hole takes a main and a cross, but no main goes through ${stray}${letter(end)}.`,
      });
    amongMains += skips[end].length + shared.length;
  }
  if (problems.length === 0 && amongMains > spec.pattern.crosses - 2)
    problems.push({
      field: skips.throat.length > skips.head.length ? 'throatSkip' : 'headSkip',
      problem: `${amongMains} holes among the mains are kept for crosses; a bed of ${spec.pattern.crosses} crosses leaves too few holes for that. Is a number too many?`,
    });
  return problems;
}

/** All holes of a half in order from the head to the throat, with their strings. */
function slotsOf(spec: FrameSpec, skips: Skips): readonly Slot[] {
  const { mains, crosses } = spec.pattern;
  const among = {
    head: crossNumbersAmongMains(skips.head, numbersAt(spec.holes.shared, 'head')),
    throat: crossNumbersAmongMains(skips.throat, numbersAt(spec.holes.shared, 'throat')),
  };
  const atHead = Math.min(
    crosses - among.throat.length,
    Math.max(among.head.length, Math.ceil(crosses / 2)),
  );
  const outwards = (end: End, crossCount: number): readonly Slot[] => {
    const mainsHere = mainNumbers(mains / 2, skips[end]);
    const last = mainsHere.at(-1) as number;
    const beyond = Array.from({ length: crossCount - among[end].length }, (_, i) => last + 1 + i);
    const crossesHere = [...among[end], ...beyond];
    const numbers = [...new Set([...mainsHere, ...crossesHere])].sort((a, b) => a - b);
    return numbers.map((number): Slot => {
      const main = mainsHere.indexOf(number);
      const cross = crossesHere.indexOf(number);
      return {
        end,
        number,
        main: main < 0 ? undefined : main + 1,
        cross: cross < 0 ? undefined : end === 'head' ? cross + 1 : crosses - cross,
        skipped: main < 0 && number < last,
      };
    });
  };
  return [...outwards('head', atHead), ...outwards('throat', crosses - atHead).toReversed()];
}

/**
 * How close two neighbouring holes are ever bored, and how far apart they are wanted, mm along the
 * rim. Common practice, no source.
 */
const HOLE_GAP: Record<Sport, { readonly least: number; readonly wanted: number }> = {
  tennis: { least: 5, wanted: 8 },
  badminton: { least: 3.5, wanted: 5.5 },
  squash: { least: 4, wanted: 6.5 },
};

interface Places {
  /** Distances of the mains from the centre line at each end, mm. */
  readonly mains: Record<End, readonly number[]>;
  /** Heights of the crosses over the middle of the head, mm. */
  readonly crosses: readonly number[];
}

function placesFor(spec: FrameSpec, spacing: Spacing): Places {
  const { head, pattern, holes } = spec;
  const mains = holes.positionsMm?.mains ?? mainPositions(head.widthMm, pattern.mains / 2, spacing);
  return {
    mains: { head: mains, throat: mains.map((x) => x * spacing.fan) },
    crosses:
      holes.positionsMm?.crosses?.map((below) => head.lengthMm / 2 - below) ??
      crossPositions(head.lengthMm, pattern.crosses, spacing),
  };
}

const usualSpacing = (spec: FrameSpec): Spacing =>
  evenSpacing(spec.sport, spec.head.outline === 'teardrop');

const mainArcs = (outline: Outline, places: Places, end: End): readonly number[] =>
  places.mains[end].map((x) => rimAtX(outline, x, end).arc);

/**
 * The skips that even spacing, or the ruled distances where given, would make on this head: they
 * come out of the order in which mains and crosses meet the rim.
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
  return { head: at('head'), throat: at('throat') };
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
  const { wanted } = HOLE_GAP[spec.sport];
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
  const { least } = HOLE_GAP[spec.sport];
  if (holes * least <= halfPerimeter(outline)) return undefined;
  return {
    field: 'crosses',
    problem: `A head of this size has no room for ${holes} holes a side: they would lie closer than ${least} mm. Is the pattern or the size another?`,
  };
}

export interface PlacedHoles {
  readonly holes: readonly Hole[];
  /** True when the counted holes do not go with evenly widening gaps, or with what was ruled. */
  readonly uneven: boolean;
}

/** Every hole of the right half on the rim, in order from the head to the throat. */
export function placeHoles(spec: FrameSpec, outline: Outline, skips: Skips): PlacedHoles {
  const slots = slotsOf(spec, skips);
  const { places, disorder } = fittedPlaces(spec, outline, slots);
  const wanted = slots.map((slot) => {
    const arcs: number[] = [];
    if (slot.main !== undefined)
      arcs.push(rimAtX(outline, places.mains[slot.end][slot.main - 1] as number, slot.end).arc);
    if (slot.cross !== undefined)
      arcs.push(rimAtY(outline, places.crosses[slot.cross - 1] as number).arc);
    return arcs.reduce((a, b) => a + b) / arcs.length;
  });
  const arcs = keepApart(wanted, HOLE_GAP[spec.sport].least, halfPerimeter(outline));
  const holes = slots.map((slot, i): Hole => {
    const { x, y, arc } = rimAtArc(outline, arcs[i] as number);
    const label = `${slot.number}${letter(slot.end)}`;
    return { ...slot, label, arc, x, y, tieOff: spec.holes.tieOff.includes(label) };
  });
  return { holes, uneven: disorder > 4 };
}
