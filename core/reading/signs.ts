/** What was seen, sign by sign, held against what the frame asks for. */
import type { Bed } from '../frame/bed';
import { type End, SIDES } from '../terms/ends';
import type { BedSeen } from './seen';

/** What of a frame says how its bed should look. */
export interface BedFacts {
  readonly mains: number;
  /** The end at which the mains are tied. */
  readonly mainsFinish: End;
  readonly crossesFrom: End;
  /** Holes bored for a knot, with their sides; empty where nobody has read them. */
  readonly tieOff: readonly string[];
  /** Numbers of the mains beside a skip, by end: one in a wrong hole is one of these. */
  readonly besideSkips: Readonly<Record<End, readonly number[]>>;
}

/**
 * What a bed asks for.
 *
 * @example
 * bedFacts(usual.bed).mains // 16
 */
export function bedFacts({ spec, mainsFinish, holes, skips }: Bed): BedFacts {
  const beside = (end: End): readonly number[] => {
    const numbers = skips[end].flatMap((skip) => [skip - 1, skip + 1]);
    return holes.flatMap(({ end: at, number, main }) =>
      at === end && main !== undefined && numbers.includes(number) ? [main] : [],
    );
  };
  return {
    mains: spec.pattern.mains,
    mainsFinish,
    crossesFrom: spec.stringing.crossesFrom ?? 'head',
    tieOff: holes.flatMap(({ label, tieOff }) =>
      tieOff.map((side) => `${label}${side === SIDES[0] ? 'L' : 'R'}`),
    ),
    besideSkips: { head: beside('head'), throat: beside('throat') },
  };
}

/** Signs that are one of a few, with what they can be. */
export const OUTCOMES = {
  'loose crosses': ['none', 'few', 'many'],
  knots: ['as expected', 'one piece', 'other way round', 'mains apart', 'more', 'other'],
  'knot holes': ['bored', 'one ordinary', 'several ordinary'],
  mains: ['as they should', 'of the other string', 'one missing', 'otherwise'],
  gaps: ['even', 'by a skip', 'elsewhere'],
  weave: ['alternates', 'one fault', 'several faults'],
  marks: ['none', 'few', 'many'],
  notches: ['none', 'few', 'many'],
  runs: ['flat', 'crossing', 'leaping'],
} as const;
export type PlainSign = keyof typeof OUTCOMES;
export type Outcome<S extends PlainSign = PlainSign> = (typeof OUTCOMES)[S][number];

/**
 * Signs that are a figure: the bow of the crosses towards the head and of the mains to the right, mm; by how many per cent the right
 * mains ring above the left; what is left of the pitch that was set.
 */
const FIGURE_SIGNS = ['cross bow', 'main bow', 'balance', 'pitch'] as const;
export type FigureSign = (typeof FIGURE_SIGNS)[number];
export type Sign = PlainSign | FigureSign;

export const SIGNS: readonly Sign[] = [
  ...FIGURE_SIGNS,
  ...(Object.keys(OUTCOMES) as readonly PlainSign[]),
];

/** A sign that was looked at. */
export type SignSeen =
  | { readonly sign: FigureSign; readonly value: number }
  | { readonly sign: PlainSign; readonly outcome: Outcome };

const endOf = (hole: string): End => (hole.includes('H') ? 'head' : 'throat');

/** How the knots stand beside those of a job in two pieces: two where the mains end, one at either end of the crosses. */
function knotsOutcome(
  knots: NonNullable<BedSeen['knots']>,
  { mainsFinish }: BedFacts,
): Outcome<'knots'> | undefined {
  // No bed holds on fewer: they were not all found.
  if (knots.length < 2) return undefined;
  const at = (end: End, of?: 'mains') =>
    knots.filter((knot) => endOf(knot.hole) === end && (of === undefined || knot.of === of)).length;
  if (knots.length > 4) return 'more';
  if (knots.length === 2) return 'one piece';
  const known = knots.filter(({ of }) => of === 'mains').length === 2;
  if (known && at('head', 'mains') === 1) return 'mains apart';
  const [here, there]: readonly [End, End] =
    mainsFinish === 'head' ? ['head', 'throat'] : ['throat', 'head'];
  if (at(here) === 3 && at(there) === 1) return 'as expected';
  return at(here) === 1 && at(there) === 3 ? 'other way round' : 'other';
}

function mainsOutcome(
  { mains, otherMains }: BedSeen,
  facts: BedFacts,
): Outcome<'mains'> | undefined {
  const outermost = facts.mains / 2;
  const others = otherMains ?? [];
  if (others.length > 0)
    return others.length <= 2 && others.every((name) => Number(name.slice(1, -1)) === outermost)
      ? 'of the other string'
      : 'otherwise';
  if (mains === null) return otherMains === null ? undefined : 'as they should';
  if (mains === facts.mains) return 'as they should';
  return mains === facts.mains - 1 ? 'one missing' : 'otherwise';
}

/** A main in the next hole leaves one gap wide and the other narrow, beside a skip. */
function gapsOutcome(gaps: NonNullable<BedSeen['gaps']>, facts: BedFacts): Outcome<'gaps'> {
  if (gaps.length === 0) return 'even';
  const isMoved = gaps.some(({ end, main, is }) => {
    const number = Number(main.slice(1, -1));
    const next = gaps.find(
      (other) =>
        other.end === end &&
        other.main.endsWith(main.slice(-1)) &&
        Number(other.main.slice(1, -1)) === number + 1,
    );
    const isPair = next !== undefined && next.is !== is;
    // The outermost has no gap outside of it.
    const isOutermost = number === facts.mains / 2;
    return (isPair || isOutermost) && facts.besideSkips[end].includes(number);
  });
  return isMoved ? 'by a skip' : 'elsewhere';
}

/** Pairs of mains that are rung before they tell left from right: fewer hang on one string's touch. From memory. */
const ENOUGH_PAIRS = 3;

/** By how many per cent each right main rings above its like on the left. */
const pairsOf = (mainsHz: NonNullable<BedSeen['mainsHz']>): readonly number[] =>
  Object.entries(mainsHz).flatMap(([name, right]) => {
    const left = name.endsWith('R') ? mainsHz[name.replace('R', 'L')] : undefined;
    return left === undefined ? [] : [(200 * (right - left)) / (right + left)];
  });

/**
 * Pairs of mains that were rung and are too few to count; 0 where there are enough, or none.
 *
 * @example
 * pairsTooFew({ M1L: 612, M1R: 598, M2L: 600, M2R: 590 }) // 2
 * pairsTooFew(null) // 0
 */
export function pairsTooFew(mainsHz: BedSeen['mainsHz']): number {
  const { length } = pairsOf(mainsHz ?? {});
  return length < ENOUGH_PAIRS ? length : 0;
}

/** By how many per cent the right mains ring above their like on the left; undefined without enough pairs. */
function balanceOf(mainsHz: NonNullable<BedSeen['mainsHz']>): number | undefined {
  const pairs = pairsOf(mainsHz);
  if (pairs.length < ENOUGH_PAIRS) return undefined;
  return pairs.reduce((sum, each) => sum + each, 0) / pairs.length;
}

const counted = (faults: number): Outcome<'weave'> =>
  faults === 0 ? 'alternates' : faults === 1 ? 'one fault' : 'several faults';

/**
 * The signs that were looked at; what nobody saw is not among them.
 *
 * @example
 * signsOf({ ...{ crossBow: null, mainBow: null, looseCrosses: null, gaps: null, knots: null, mains: null, otherMains: null, weaveFaults: [], marks: null, notches: null, runs: null, mainsHz: null, pitch: null } }, bedFacts(usual.bed)) // [{ sign: 'weave', outcome: 'alternates' }]
 */
export function signsOf(seen: BedSeen, facts: BedFacts): readonly SignSeen[] {
  const { crossBow, mainBow, knots, gaps, weaveFaults, mainsHz, pitch } = seen;
  const signed = (towards: string, plus: string, mm: number) =>
    towards === 'neither' ? 0 : towards === plus ? mm : -mm;
  const plain = (sign: PlainSign, outcome: Outcome | null | undefined): readonly SignSeen[] =>
    outcome ? [{ sign, outcome }] : [];
  const figure = (sign: FigureSign, value: number | undefined): readonly SignSeen[] =>
    value === undefined ? [] : [{ sign, value }];
  const ordinary =
    knots && facts.tieOff.length > 0
      ? knots.filter(({ hole }) => !facts.tieOff.includes(hole)).length
      : undefined;
  return [
    ...figure('cross bow', crossBow ? signed(crossBow.towards, 'head', crossBow.mm) : undefined),
    ...figure('main bow', mainBow ? signed(mainBow.towards, 'right', mainBow.mm) : undefined),
    ...figure('balance', mainsHz ? balanceOf(mainsHz) : undefined),
    ...figure('pitch', pitch ? pitch.hz / pitch.setHz : undefined),
    ...plain('loose crosses', seen.looseCrosses),
    ...plain('knots', knots && knotsOutcome(knots, facts)),
    ...plain(
      'knot holes',
      ordinary === undefined
        ? null
        : ordinary === 0
          ? 'bored'
          : ordinary === 1
            ? 'one ordinary'
            : 'several ordinary',
    ),
    ...plain('mains', mainsOutcome(seen, facts)),
    ...plain('gaps', gaps && gapsOutcome(gaps, facts)),
    ...plain('weave', weaveFaults && counted(weaveFaults.length)),
    ...plain('marks', seen.marks),
    ...plain('notches', seen.notches),
    ...plain('runs', seen.runs),
  ];
}
