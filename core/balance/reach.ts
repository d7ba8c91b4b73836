/** Which masses where give three wanted figures. */
import { solveLeast } from '../maths/least-squares';
import type { Sport } from '../terms/sport';
import { swingOfGram, withParts, type Figures } from './racket';

/** Where mass can be put on, and how much of it. */
export interface Place {
  readonly name: string;
  readonly atMm: number;
  readonly longMm?: number;
  readonly mostG: number;
}

export interface Put {
  readonly name: string;
  readonly massG: number;
}

export interface Reached {
  readonly puts: readonly Put[];
  /** What the racket has with them. */
  readonly figures: Figures;
  /** Within a tenth of a gram, half a millimetre and half a kg·cm². */
  readonly reached: boolean;
}

/** A gram, a millimetre and a kg·cm² off weigh alike. From memory. */
const REACHED = { massG: 0.1, balanceMm: 0.5, swingKgCm2: 0.5 } as const;
const SAME = 1e-7;
/** An equation is met within that of a gram, a millimetre of balance or a kg·cm². */
const MET = 0.05;
/** More places than that are not tried against each other. */
export const MOST_PLACES = 8;

interface Equation {
  readonly of: (place: Place) => number;
  readonly wanted: number;
}

/**
 * Mass, moment about the wanted balance, and swing weight: linear in the masses. The moment is measured in millimetres of
 * balance.
 */
const equations = (racket: Figures, target: Figures): readonly Equation[] => [
  { of: () => 1, wanted: target.massG - racket.massG },
  {
    of: ({ atMm }) => (atMm - target.balanceMm) / target.massG,
    wanted: (racket.massG * (target.balanceMm - racket.balanceMm)) / target.massG,
  },
  {
    of: ({ atMm, longMm }) => swingOfGram(atMm, longMm),
    wanted: target.swingKgCm2 - racket.swingKgCm2,
  },
];

interface Tried {
  readonly grams: readonly number[];
  readonly off: number;
  readonly total: number;
}

/** Which of two tries is better: nearer, then less mass, then fewer places. */
function isBetter(one: Tried, other: Tried | undefined): boolean {
  if (!other) return true;
  if (Math.abs(one.off - other.off) > SAME) return one.off < other.off;
  if (Math.abs(one.total - other.total) > SAME) return one.total < other.total;
  const places = ({ grams }: Tried) => grams.filter((each) => each > SAME).length;
  return places(one) < places(other);
}

/** Every way to hold each place at nothing or at its most, or to leave it free, at most three free. */
function* holds(
  places: readonly Place[],
  from = 0,
  free = 0,
): Generator<readonly (number | null)[]> {
  const place = places[from];
  if (!place) {
    yield [];
    return;
  }
  for (const rest of holds(places, from + 1, free)) {
    yield [0, ...rest];
    yield [place.mostG, ...rest];
  }
  if (free < 3) for (const rest of holds(places, from + 1, free + 1)) yield [null, ...rest];
}

/** The least squares over masses that are neither below nothing nor beyond their most. */
function leastSquares(places: readonly Place[], wanted: readonly Equation[]): Tried {
  let best: Tried | undefined;
  for (const held of holds(places)) {
    const free = places.filter((_, i) => held[i] === null);
    const rest = wanted.map(
      ({ of, wanted: value }) =>
        value - places.reduce((sum, place, i) => sum + (held[i] ?? 0) * of(place), 0),
    );
    const found = solveLeast(
      wanted.map(({ of }) => free.map(of)),
      rest,
    );
    if (!found) continue;
    let next = 0;
    const grams = held.map((each) => each ?? (found[next++] as number));
    if (grams.some((each, i) => each < -SAME || each > (places[i]?.mostG ?? 0) + SAME)) continue;
    const within = grams.map((each) => Math.max(0, each));
    const off = wanted.reduce(
      (sum, { of, wanted: value }) =>
        sum +
        (value -
          places.reduce((total, place, i) => total + (within[i] as number) * of(place), 0)) **
          2,
      0,
    );
    const tried = { grams: within, off, total: within.reduce((sum, each) => sum + each, 0) };
    if (isBetter(tried, best)) best = tried;
  }
  return best ?? { grams: places.map(() => 0), off: Infinity, total: 0 };
}

/**
 * The masses at some places with which a racket comes nearest to three wanted figures: least squares, no mass below nothing or
 * beyond what its place takes; of several that are as near the least mass, then the fewest places.
 *
 * Source: mass, moment and inertia are linear in the masses; every corner of the bounds is tried, so the least is the least.
 * Limits: at most eight places.
 *
 * @example
 * reach({ massG: 300, balanceMm: 320, swingKgCm2: 300 }, { massG: 310, balanceMm: 329.032258, swingKgCm2: 325 }, [{ name: 'tip', atMm: 600, mostG: 20 }]).puts // [{ name: 'tip', massG: 10 }]
 */
export function reach(racket: Figures, target: Figures, places: readonly Place[]): Reached {
  const known = places.slice(0, MOST_PLACES);
  const { grams } = leastSquares(known, equations(racket, target));
  const puts = known.flatMap(({ name }, i): readonly Put[] => {
    const massG = grams[i] as number;
    return massG > SAME ? [{ name, massG }] : [];
  });
  const after = withParts(
    racket,
    known.map(({ atMm, longMm }, i) => ({
      massG: grams[i] as number,
      atMm,
      ...(longMm !== undefined && { longMm }),
    })),
  );
  const figures = after.ok ? after.value : racket;
  const reached = (Object.keys(REACHED) as (keyof Figures)[]).every(
    (name) => Math.abs(figures[name] - target[name]) <= REACHED[name],
  );
  return { puts, figures, reached };
}

/** More than that nobody sticks on a racket to make a pair, g. From memory. */
const MOST_ON_ONE_G = 25;

/**
 * The least masses that fulfil all three equations, at three places at most, of all that there are; nothing where none do,
 * or where it would take more than anybody sticks on.
 */
function leastPutOn(
  places: readonly (Place & { readonly sign: number })[],
  wanted: readonly Equation[],
): readonly number[] | undefined {
  let best: { readonly grams: readonly number[]; readonly total: number } | undefined;
  const sumOf = (grams: readonly number[], sign: number) =>
    grams.reduce((sum, each, i) => sum + (places[i]?.sign === sign ? each : 0), 0);
  const at = (free: readonly number[]) => {
    const found = solveLeast(
      wanted.map(({ of }) => free.map((i) => of(places[i] as Place))),
      wanted.map(({ wanted: value }) => value),
    );
    if (!found) return;
    const grams = places.map((_, i) => Math.max(0, found[free.indexOf(i)] ?? 0));
    const isWithin = found.every(
      (each, k) => each >= -SAME && each <= (places[free[k] as number]?.mostG ?? 0),
    );
    const isMet = wanted.every(
      ({ of, wanted: value }) =>
        Math.abs(
          places.reduce((sum, place, i) => sum + (grams[i] as number) * of(place), 0) - value,
        ) < MET,
    );
    if (!isWithin || !isMet || Math.max(sumOf(grams, 1), sumOf(grams, -1)) > MOST_ON_ONE_G) return;
    const total = sumOf(grams, 1) + sumOf(grams, -1);
    if (!best || total < best.total - SAME) best = { grams, total };
  };
  const all = places.map((_, i) => i);
  at([]);
  for (const a of all) {
    at([a]);
    for (const b of all.slice(a + 1)) {
      at([a, b]);
      for (const c of all.slice(b + 1)) at([a, b, c]);
    }
  }
  return best?.grams;
}

/**
 * The masses that bring two rackets to the same three figures, the least of them in all, of all places; nothing where no masses
 * at these places do that anybody would stick on.
 *
 * @example
 * matchPair({ massG: 300, balanceMm: 320, swingKgCm2: 300 }, { massG: 300, balanceMm: 320, swingKgCm2: 300 }, []).reached // true
 */
export function matchPair(
  one: Figures,
  other: Figures,
  places: readonly Place[],
): {
  readonly one: readonly Put[];
  readonly other: readonly Put[];
  readonly figures: Figures;
  readonly reached: boolean;
} {
  // What is put on the other counts against; moments about the butt, so that no balance has to be known before.
  const both = [
    ...places.map((place) => ({ ...place, sign: 1 })),
    ...places.map((place) => ({ ...place, sign: -1 })),
  ];
  const signOf = (place: Place) => both.find((each) => each === place)?.sign ?? 1;
  const wanted: readonly Equation[] = [
    { of: signOf, wanted: other.massG - one.massG },
    {
      of: (place) => (signOf(place) * place.atMm) / other.massG,
      wanted: (other.massG * other.balanceMm - one.massG * one.balanceMm) / other.massG,
    },
    {
      of: (place) => signOf(place) * swingOfGram(place.atMm, place.longMm),
      wanted: other.swingKgCm2 - one.swingKgCm2,
    },
  ];
  const grams = leastPutOn(both, wanted) ?? both.map(() => 0);
  const puts = (from: number) =>
    places.flatMap(({ name }, i): readonly Put[] => {
      const massG = grams[from + i] as number;
      return massG > SAME ? [{ name, massG }] : [];
    });
  const after = (racket: Figures, from: number) => {
    const made = withParts(
      racket,
      places.map(({ atMm, longMm }, i) => ({
        massG: grams[from + i] as number,
        atMm,
        ...(longMm !== undefined && { longMm }),
      })),
    );
    return made.ok ? made.value : racket;
  };
  const [a, b] = [after(one, 0), after(other, places.length)];
  const reached = (Object.keys(REACHED) as (keyof Figures)[]).every(
    (name) => Math.abs(a[name] - b[name]) <= REACHED[name],
  );
  return { one: puts(0), other: puts(places.length), figures: a, reached };
}

/** Where mass is put when nobody says where, by shares of the length of a racket; at most so much at a place. From memory. */
const USUAL: readonly (Omit<Place, 'atMm'> & { readonly at: number })[] = [
  { name: 'at the tip', at: 0.985, mostG: 20 },
  { name: 'at 10 and 2 o’clock', at: 0.92, longMm: 60, mostG: 20 },
  { name: 'at 3 and 9 o’clock', at: 0.775, longMm: 80, mostG: 20 },
  { name: 'at the throat', at: 0.555, longMm: 40, mostG: 20 },
  { name: 'above the grip', at: 0.305, longMm: 40, mostG: 20 },
  { name: 'under the grip', at: 0.115, longMm: 120, mostG: 20 },
  { name: 'in the butt', at: 0.015, mostG: 20 },
];
/** Usual lengths of rackets, mm: the federations allow more. From memory. */
export const LENGTH_MM: Readonly<Record<Sport, number>> = {
  tennis: 685,
  badminton: 675,
  squash: 685,
};

/**
 * The places of a racket where lead usually goes.
 *
 * @example
 * usualPlaces('tennis').length // 7
 */
export const usualPlaces = (sport: Sport): readonly Place[] =>
  USUAL.map(({ at, ...place }) => ({ ...place, atMm: Math.round(at * LENGTH_MM[sport]) }));
