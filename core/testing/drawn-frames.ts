/**
 * Frames drawn by chance whose holes follow no curve of the application's own: centre gaps that are
 * equal and then widen in pieces, ends that differ, steady growth, a dense middle in an open bed, all
 * drilled to a half millimetre. The kinds are common practice of drilling, no source; the figures are
 * the tests' own and are shared with nothing in the core.
 */
import type { Mm } from '../measure/quantities';
import type { Chance } from '../maths/chance';
import { LEAST_HOLE_GAP, type Skips } from '../frame/holes';
import { familyOutline, rimAtX, rimAtY, type Outline, type OutlineFamily } from '../frame/outline';
import type { Sport } from '../terms/sport';

export const DRILLINGS = ['in pieces', 'ends differ', 'steady growth', 'dense middle'] as const;
/** Beds whose outer gaps are far wider than the inner ones, which no smooth curve tells apart from a skip. */
export const WIDE_OUTSIDE = 'wide outside';
export type Drilling = (typeof DRILLINGS)[number] | typeof WIDE_OUTSIDE;

export interface DrawnFrame {
  readonly sport: Sport;
  readonly family: OutlineFamily;
  readonly outline: Outline;
  readonly mains: number;
  readonly crosses: number;
  readonly skips: Skips;
  /** Every hole of a half along the rim, from the head to the throat, mm. */
  readonly arcs: readonly number[];
  /** Main M1 outwards from the centre line, and cross 1 down from the middle of the head, mm. */
  readonly mainsMm: readonly Mm[];
  readonly crossesMm: readonly Mm[];
}

interface Make {
  readonly lengthMm: Mm;
  readonly widthMm: Mm;
  readonly mains: readonly number[];
  readonly crosses: readonly number[];
  /** From the outermost main to the side, and from the end crosses to the tip and the throat, mm. */
  readonly sideMm: readonly [number, number];
  readonly tipMm: readonly [number, number];
  readonly throatMm: readonly [number, number];
}

const MAKES: Record<Sport, Make> = {
  tennis: {
    lengthMm: 334,
    widthMm: 246,
    mains: [14, 16, 16, 16, 18],
    crosses: [16, 18, 19, 20],
    sideMm: [22, 34],
    tipMm: [28, 44],
    throatMm: [28, 44],
  },
  badminton: {
    lengthMm: 240,
    widthMm: 185,
    mains: [22],
    crosses: [20, 21, 22],
    sideMm: [10, 17],
    tipMm: [18, 28],
    throatMm: [18, 28],
  },
  squash: {
    lengthMm: 310,
    widthMm: 184,
    mains: [14, 16],
    crosses: [17, 18, 19],
    sideMm: [13, 23],
    tipMm: [24, 40],
    throatMm: [24, 40],
  },
};

/** No maker leaves more holes to crosses among the mains of an end, or strings so short a cross. */
const MOST_SKIPS = 5;
const SHORTEST_CROSS = 0.34;
/** A hole is moved by this share of the least gap, at most, to make room for its neighbour. */
const MOST_MOVED = 0.3;

/** Gaps from the middle of a bed outwards, as shares of the first. */
function gapShares(chance: Chance, drilling: Drilling, count: number): readonly number[] {
  const within = (low: number, high: number) => low + (high - low) * chance.next();
  const equal = 2 + chance.below(Math.max(1, Math.floor(count / 2)));
  const wider = within(1.08, 1.3);
  const growth = within(1, 1.035);
  const shares: number[] = [];
  const outer = within(1.4, 1.9);
  const wideFrom = count - 1 - chance.below(3);
  let [share, piece] = [1, equal];
  for (let i = 0; i < count; i++) {
    if (drilling === 'dense middle') {
      // One gap of its own between the dense and the open part.
      share = i < equal ? 1 : i === equal ? (1 + wider) / 2 : wider;
    } else if (drilling === 'wide outside') {
      share = i < wideFrom ? 1 : outer;
    } else if (drilling === 'steady growth') {
      if (i >= equal) share *= growth;
    } else if (i === piece) {
      share *= within(1.02, 1.13);
      piece += 1 + chance.below(4);
    }
    shares.push(share);
  }
  return shares;
}

const drilled = (mm: Mm): number => Math.round(2 * mm) / 2;

function drawn(chance: Chance, sport: Sport, drilling: Drilling): DrawnFrame | undefined {
  const make = MAKES[sport];
  const within = ([low, high]: readonly [number, number]) => low + (high - low) * chance.next();
  const lengthMm = drilled(make.lengthMm * within([0.96, 1.04]));
  const widthMm = drilled(make.widthMm * within([0.96, 1.04]));
  const family = chance.one(['oval', 'squared oval', 'egg'] as const);
  const outline = familyOutline(lengthMm, widthMm, family);
  const [mains, crosses] = [chance.one(make.mains), chance.one(make.crosses)];

  const mainShares = gapShares(chance, drilling, mains / 2).map((share, i) =>
    i === 0 ? share / 2 : share,
  );
  const mainUnit = (widthMm / 2 - within(make.sideMm)) / sumOf(mainShares);
  const mainsMm = placesAfter(0, mainShares, mainUnit).map(drilled);

  const tipMm = within(make.tipMm);
  const throatMm = drilling === 'ends differ' ? within(make.throatMm) : tipMm;
  const upper = gapShares(chance, drilling, Math.floor((crosses - 1) / 2));
  const lower =
    drilling === 'ends differ'
      ? gapShares(chance, drilling, Math.ceil((crosses - 1) / 2))
      : [...upper, ...(crosses % 2 === 0 ? [upper.at(-1) as number] : [])];
  const shares = [...upper.toReversed(), ...lower];
  const crossUnit = (lengthMm - tipMm - throatMm) / sumOf(shares);
  const belowTip = [tipMm, ...placesAfter(tipMm, shares, crossUnit)];
  const crossesMm = belowTip.map((below) => drilled(lengthMm / 2 - below));

  const strings = [
    ...(['head', 'throat'] as const).flatMap((end) =>
      mainsMm.map((x) => ({ main: true, arc: rimAtX(outline, x, end).arc, reach: x })),
    ),
    ...crossesMm.map((y) => {
      const { arc, x } = rimAtY(outline, y);
      return { main: false, arc, reach: x };
    }),
  ].sort((a, b) => a.arc - b.arc);
  // What would meet is bored further apart, each a little off its place.
  const least = LEAST_HOLE_GAP[sport];
  const bored = strings.map(({ arc }) => arc);
  for (let turn = 0; turn < 40; turn++)
    for (let i = 1; i < bored.length; i++) {
      const lacking = least - ((bored[i] as number) - (bored[i - 1] as number));
      if (lacking <= 0) continue;
      bored[i - 1] = (bored[i - 1] as number) - lacking / 2;
      bored[i] = (bored[i] as number) + lacking / 2;
    }
  const skipsFrom = (from: typeof strings) => {
    const outermost = from.flatMap(({ main }, i) => (main ? [i] : []))[mains / 2 - 1] ?? 0;
    return from.flatMap(({ main }, i) => (!main && i < outermost ? [i + 1] : []));
  };
  const skips = { head: skipsFrom(strings), throat: skipsFrom(strings.toReversed()) };
  const isMade =
    bored.every(
      (arc, i) =>
        Math.abs(arc - (strings[i]?.arc ?? 0)) <= MOST_MOVED * least &&
        (i === 0 || arc - (bored[i - 1] as number) >= least - 0.1),
    ) &&
    strings.every(({ main, reach }) => main || reach >= (SHORTEST_CROSS * widthMm) / 2) &&
    Math.max(skips.head.length, skips.throat.length) <= MOST_SKIPS;
  if (!isMade) return undefined;
  return { sport, family, outline, mains, crosses, skips, arcs: bored, mainsMm, crossesMm };
}

const sumOf = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0);

/** Where the gaps end when each begins where the last ended. */
function placesAfter(from: number, shares: readonly number[], unit: number): number[] {
  let place = from;
  return shares.map((share) => (place += share * unit));
}

/** A frame as a maker would drill it: drawn again until no two holes meet and no cross is a stub. */
export function drawnFrame(chance: Chance, sport: Sport, drilling: Drilling): DrawnFrame {
  for (;;) {
    const frame = drawn(chance, sport, drilling);
    if (frame) return frame;
  }
}
