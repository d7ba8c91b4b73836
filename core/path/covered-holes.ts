/** What the outside runs of a path cover that is still needed, and what its turns bear on. */
import { isMain, type StringName } from '../terms/string-name';
import type { Mm } from '../measure/quantities';
import type { Bed } from '../frame/bed';
import { coveredBy, rimAlong } from './groove';
import type { Hole } from '../frame/holes';
import type { Path } from './path';
import { isRun, placeName, type HolePlace, type Piece, type Run, type Segment } from './segments';
import type { Sport } from '../terms/sport';

export interface Covered {
  readonly at: HolePlace;
  /** The run that lies over it. */
  readonly by: Run;
  /** The string whose pull tightens that run, or whose knot does. */
  readonly before: { readonly string: StringName; readonly knot: boolean };
  /** The string that still needs the hole, or the knot of that string. */
  readonly needs: { readonly string: StringName; readonly knot: boolean };
}

interface Use {
  readonly string: StringName;
  readonly knot: boolean;
  readonly when: number;
}

/** When each string is pulled, by name. */
const times = (path: Path): ReadonlyMap<string, number> =>
  new Map(path.order.map((string, i) => [string, i]));

/**
 * Holes that are still needed when a run is tightened over them: pre-thread what needs them, or
 * leave a scrap strand in them. In the order of the pulls.
 *
 * @example
 * coveredHoles(usual.bed, usual.path).length // 6
 */
export function coveredHoles(bed: Bed, path: Path): readonly Covered[] {
  const at = times(path);
  const when = (string: StringName) => at.get(string) ?? 0;
  const uses = new Map<string, Use[]>();
  const note = (place: HolePlace, each: Use) => {
    const name = placeName(place);
    uses.set(name, [...(uses.get(name) ?? []), each]);
  };
  for (const { segments } of path.pieces)
    for (const segment of segments)
      if (segment.kind === 'inside')
        for (const place of [segment.from, segment.to])
          note(place, { string: segment.string, knot: false, when: when(segment.string) });
  for (const knot of path.knots)
    note(knot, { string: knot.string, knot: true, when: knot.tiedAfter + 0.5 });

  const covered: (Covered & { readonly when: number })[] = [];
  for (const { run, string, knot, moment } of tightenedRuns(path)) {
    for (const place of coveredBy(bed, run))
      for (const need of uses.get(placeName(place)) ?? [])
        if (need.when > moment && need.string !== string)
          covered.push({
            at: place,
            by: run,
            before: { string, knot },
            needs: { string: need.string, knot: need.knot },
            when: moment,
          });
  }
  const firstOf = new Map<string, (typeof covered)[number]>();
  for (const each of covered.toSorted((a, b) => a.when - b.when)) {
    const name = `${placeName(each.at)} ${each.needs.string} ${each.needs.knot}`;
    if (!firstOf.has(name)) firstOf.set(name, each);
  }
  return [...firstOf.values()].map(({ at: place, by, before, needs }) => ({
    at: place,
    by,
    before,
    needs,
  }));
}

export interface Tightened {
  readonly run: Run;
  /** The string whose pull tightens it, or whose knot does. */
  readonly string: StringName;
  readonly knot: boolean;
  /** Place of that pull in the order; a knot comes half a place after the last that it waits for. */
  readonly moment: number;
}

/**
 * Each run with what tightens it: the pull of the later of the two strings that it joins, or the knot.
 *
 * @example
 * tightenedRuns(usual.path).filter(({ knot }) => knot).map(({ string }) => string) // ['M8L', 'M8R', 'C1', 'C19']
 */
export function tightenedRuns(path: Path): readonly Tightened[] {
  const at = times(path);
  const when = (string: StringName) => at.get(string) ?? 0;
  const nameOf = (segment: Segment | undefined) =>
    segment?.kind === 'inside' ? segment.string : undefined;
  const tied = (string: StringName) =>
    path.knots.find((knot) => knot.string === string)?.tiedAfter ?? when(string);
  return path.pieces.flatMap(({ segments }) =>
    segments.flatMap((run, i): readonly Tightened[] => {
      if (!isRun(run)) return [];
      const [before, after] = [nameOf(segments[i - 1]), nameOf(segments[i + 1])];
      const isLater = before === undefined || (after !== undefined && when(after) > when(before));
      const string = isLater ? after : before;
      if (string === undefined) return [];
      const knot = run.kind === 'tie-off run';
      return [{ run, string, knot, moment: knot ? tied(string) + 0.5 : when(string) }];
    }),
  );
}

/** Frame between two holes that a turn of the string can bear on, mm along the rim. From memory. */
const SUPPORT_MM: Record<Sport, number> = { tennis: 7, squash: 6, badminton: 4.5 };

export interface Transition {
  readonly run: Run;
  /** Frame between the two holes, mm along the rim. */
  readonly mm: Mm;
  readonly tooLittle: boolean;
}

/**
 * Where one piece turns from mains into crosses or back, and how much frame bears the turn.
 *
 * @example
 * transitions(usual.bed, usual.path.pieces[0]).every(({ tooLittle }) => !tooLittle) // true
 */
export function transitions(bed: Bed, piece: Piece): readonly Transition[] {
  return piece.segments.flatMap((segment, i): Transition[] => {
    const [before, after] = [piece.segments[i - 1], piece.segments[i + 1]];
    if (segment.kind !== 'outside' || before?.kind !== 'inside' || after?.kind !== 'inside')
      return [];
    if (isMain(before.string) === isMain(after.string)) return [];
    const mm = rimAlong(bed, segment);
    return [{ run: segment, mm, tooLittle: mm < SUPPORT_MM[bed.spec.sport] }];
  });
}

/**
 * The longest run of a path between two strings, mm along the rim.
 *
 * @example
 * longestRun(usual.bed, usual.path) < 120 // true
 */
export const longestRun = (bed: Bed, path: Path): number =>
  Math.max(
    ...path.pieces.flatMap(({ segments }) =>
      segments.flatMap((segment) => (segment.kind === 'outside' ? [rimAlong(bed, segment)] : [])),
    ),
  );

/**
 * Runs from a hole of the bridge to one of the shoulder, over the open throat.
 *
 * @example
 * leaps(usual.bed, usual.path) // []
 */
export function leaps(bed: Bed, path: Path): readonly Run[] {
  const aside = (bed.spec.bridgeHoles ?? 0) / 2;
  const inBridge = ({ end, number }: Hole) => end === 'throat' && number <= aside;
  return aside === 0
    ? []
    : path.pieces.flatMap(({ segments }) =>
        segments.flatMap((segment) =>
          segment.kind === 'outside' &&
          segment.from.hole.end === 'throat' &&
          inBridge(segment.from.hole) !== inBridge(segment.to.hole)
            ? [segment]
            : [],
        ),
      );
}
