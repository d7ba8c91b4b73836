/** Which methods a frame can take, what speaks against each, and how they compare. */
import { pathProblem } from '../path/path-proof';
import { isMain, type StringName } from '../terms/string-name';
import type { Mm } from '../measure/quantities';
import { z } from 'zod';
import type { Bed } from '../frame/bed';
import { coveredHoles, leaps, longestRun, transitions } from '../path/covered-holes';
import { crossovers, runName } from '../path/groove';
import type { CutAssumptions, PieceLength } from './lengths';
import { failure, type Refused } from '../terms/result';
import { say } from '../terms/words/english';
import { METHOD_WORDS, METHODS, type Method } from '../terms/method';
import { opposite, otherSide, type Side } from '../terms/ends';
import {
  beforeKnots,
  crossesEnd,
  pathThrough,
  runsOf,
  type Path,
  type PathChoice,
} from '../path/path';
import { planCut, type PlannedString } from './plan';
import { placeName } from '../path/segments';
import type { Sport } from '../terms/sport';
import { crossFinish } from '../frame/pattern';

/**
 * Why a frame cannot be strung this way, or nothing when it can.
 *
 * @example
 * methodProblem(usual.bed, 'one-piece', true).code // 'method.hybrid'
 */
export function methodProblem(bed: Bed, method: Method, hybrid: boolean): Refused | undefined {
  if (method === 'two-piece') return undefined;
  const problem = methodRefused(bed, method, hybrid);
  if (problem) return problem;
  // Where a main and a cross share a hole, one piece may have no frame to turn around.
  const isShared = bed.holes.some(({ main, cross }) => main !== undefined && cross !== undefined);
  const path = isShared && pathThrough(bed, { method, shortSide: 'left', crossStart: 'left' });
  return path && pathProblem(bed, path) ? failure('method.no turn') : undefined;
}

function methodRefused(bed: Bed, method: Method, hybrid: boolean): Refused | undefined {
  if (hybrid) return failure('method.hybrid');
  const fromThroat = crossesEnd(bed) === 'throat';
  const { mainsFinish, spec } = bed;
  if (method === 'bottom-up') {
    if (!fromThroat) return failure('method.not from the throat');
    return mainsFinish === 'throat' ? undefined : failure('method.mains finish at the head');
  }
  if (fromThroat) return failure('method.crosses from the throat');
  if (method === 'around-the-frame') {
    if (mainsFinish === 'head') return failure('method.nothing to go around');
    return spec.stringing.reversedOuterMains ? failure('method.no outermost main') : undefined;
  }
  return mainsFinish === 'head' ? undefined : failure('method.mains finish at the throat');
}

/**
 * The methods that this frame can be strung by.
 *
 * @example
 * possibleMethods(usual.bed, false) // ['two-piece', 'one-piece', 'one-piece-top-cross']
 */
export const possibleMethods = (bed: Bed, hybrid: boolean): readonly Method[] =>
  METHODS.filter((method) => methodProblem(bed, method, hybrid) === undefined);

/**
 * What to be careful of when this path is strung; nothing is refused for it.
 *
 * @example
 * pathCautions(usual.bed, usual.path).length // 0
 */
export function pathCautions(bed: Bed, path: Path): readonly string[] {
  const { methods } = bed.spec.stringing;
  const cautions: string[] = [];
  if (methods.length > 0 && !methods.includes(path.method))
    cautions.push(
      say('method.warranty', {
        methods: methods.map((method) => METHOD_WORDS[method]).join(' or '),
      }),
    );
  if (path.crossesFrom === 'throat') cautions.push(say('method.load to the shoulders'));
  if (path.method === 'around-the-frame') cautions.push(say('method.around the frame'));
  for (const piece of path.pieces)
    for (const { run, mm, tooLittle } of transitions(bed, piece))
      if (tooLittle)
        cautions.push(say('method.little frame', { run: runName(run), mm: mm.toFixed(0) }));
  for (const run of leaps(bed, path)) cautions.push(say('method.leap', { run: runName(run) }));
  for (const { side, runs } of crossovers(bed, runsOf(path)))
    cautions.push(say('method.crossing runs', { runs: runs.map(runName), side }));
  const forced = path.knots.filter(({ bored }) => !bored);
  if (forced.length > 0 && bed.spec.holes.tieOff.length > 0)
    cautions.push(say('method.forced knot', { holes: forced.map(placeName) }));
  return cautions;
}

/** What a workshop looks at first when methods compare. */
export const methodPreferenceSchema = z.enum([
  'fewest losses at knots',
  'least string',
  'two pieces',
  'quickest',
]);
export type MethodPreference = z.infer<typeof methodPreferenceSchema>;
export const METHOD_PREFERENCES: readonly MethodPreference[] = methodPreferenceSchema.options;

export interface MethodRow {
  readonly method: Method;
  /** Why the frame does not take it; then nothing else is there. */
  readonly refused: Refused | undefined;
  readonly found:
    | {
        readonly path: Path;
        readonly pieces: readonly PieceLength[];
        readonly totalMm: Mm;
        readonly knots: { readonly head: number; readonly throat: number };
        readonly nextToKnots: readonly StringName[];
        readonly longestRunMm: Mm;
        readonly covered: number;
        readonly cautions: readonly string[];
        readonly minutes: number;
      }
    | undefined;
}

/** Minutes at the bench for a practised hand, without knots. From memory, near the middle of practice. */
const BARE_MINUTES: Record<Sport, number> = { tennis: 26, badminton: 30, squash: 26 };
/** A knot tied, and a covered hole prepared. From memory. */
const KNOT_MINUTES = 1.5;
const COVERED_MINUTES = 0.5;

/**
 * Every method side by side: those the frame takes first, in the order that the workshop prefers.
 *
 * @example
 * compareMethods(usual.bed, usual.job, false, { shortSide: 'left', crossStart: 'left' }, usual.job.assumptions, 'two pieces')[0].method // 'two-piece'
 */
export function compareMethods(
  bed: Bed,
  strings: { readonly mains: PlannedString; readonly crosses: PlannedString },
  hybrid: boolean,
  sides: { readonly shortSide: Side; readonly crossStart: Side },
  assumptions: CutAssumptions,
  preference: MethodPreference,
): readonly MethodRow[] {
  const rows = METHODS.map((method): MethodRow => {
    const refused = methodProblem(bed, method, hybrid);
    if (refused) return { method, refused, found: undefined };
    const { path, pieces } = planCut(bed, strings, { method, ...sides }, assumptions);
    const covered = coveredHoles(bed, path).length;
    const head = path.knots.filter(({ end }) => end === 'head').length;
    return {
      method,
      refused: undefined,
      found: {
        path,
        pieces,
        totalMm: pieces.reduce((sum, { cutMm }) => sum + cutMm, 0),
        knots: { head, throat: path.knots.length - head },
        nextToKnots: beforeKnots(path),
        longestRunMm: longestRun(bed, path),
        covered,
        cautions: pathCautions(bed, path),
        minutes: Math.round(
          BARE_MINUTES[bed.spec.sport] +
            KNOT_MINUTES * path.knots.length +
            COVERED_MINUTES * covered,
        ),
      },
    };
  });
  return rows.toSorted((a, b) => rank(a, preference) - rank(b, preference));
}

/** Mains next to a knot count for more than crosses: they are felt more. */
const MAIN_WEIGHT = 1.5;

function rank({ found, method }: MethodRow, preference: MethodPreference): number {
  if (!found) return Infinity;
  const losses = found.nextToKnots.reduce(
    (sum, string) => sum + (isMain(string) ? MAIN_WEIGHT : 1),
    0,
  );
  const figure: Record<MethodPreference, number> = {
    'fewest losses at knots': losses,
    'least string': found.totalMm,
    'two pieces': method === 'two-piece' ? 0 : 1,
    quickest: found.minutes,
  };
  return figure[preference] + found.cautions.length * 1e-3;
}

/**
 * Where a plan starts: the maker's first method that the frame takes, else two pieces, which every frame takes.
 *
 * @example
 * usualChoice(usual.bed, true).method // 'two-piece'
 */
export function usualChoice(bed: Bed, hybrid: boolean): PathChoice {
  const possible = possibleMethods(bed, hybrid);
  const named = bed.spec.stringing.methods.find((method) => possible.includes(method));
  return { method: named ?? 'two-piece', shortSide: 'left', crossStart: usualCrossStart(bed) };
}

/** The side from which the last cross arrives at a hole that is bored for its knot. */
function usualCrossStart(bed: Bed): Side {
  const end = opposite(crossesEnd(bed));
  const bored = (side: Side) =>
    bed.holes.some((hole) => hole.end === end && hole.tieOff.includes(side));
  const finishOfLeft = crossFinish('left', bed.spec.pattern.crosses);
  return bored(finishOfLeft) || !bored(otherSide(finishOfLeft)) ? 'left' : 'right';
}
