/**
 * A proof of a path that does not lean on what made it: every string is in once, in its own holes, each goes on where the
 * one before it came out, the weave alternates, and every end is tied where a knot can be.
 */
import type { Bed } from '../frame/bed';
import { crossName, isMain, mainName, type StringName } from '../terms/string-name';
import { otherSide, SIDES } from '../terms/ends';
import { message, type Message } from '../terms/words/english';
import type { Path } from './path';
import { isInside, placeName, type HolePlace, type InsideString, type Piece } from './segments';

/** No tail runs further along the frame to its knot than this share of half the rim. From memory. */
const FARTHEST = 0.9;

const numberOf = (string: StringName): number => Number.parseInt(string.slice(1), 10);
const samePlace = (a: HolePlace | undefined, b: HolePlace | undefined): boolean =>
  a !== undefined && b !== undefined && placeName(a) === placeName(b);

/** Every string of a bed, mains and crosses. */
const stringsOf = ({ mainsPerSide, spec }: Bed): readonly StringName[] => [
  ...SIDES.flatMap((side) => Array.from({ length: mainsPerSide }, (_, i) => mainName(i + 1, side))),
  ...Array.from({ length: spec.pattern.crosses }, (_, i) => crossName(i + 1)),
];

function eachOnce(bed: Bed, { pieces, order, method }: Path): Message | undefined {
  const all = stringsOf(bed);
  const strung = pieces.flatMap(({ segments }) => segments.filter(isInside)).map((s) => s.string);
  for (const string of all) {
    const count = strung.filter((each) => each === string).length;
    if (count !== 1 || order.filter((each) => each === string).length !== 1)
      return message('path.not once', { string });
  }
  const stray = [...strung, ...order].find((string) => !all.includes(string));
  if (stray) return message('path.not once', { string: stray });
  if (pieces.length !== (method === 'two-piece' ? 2 : 1)) return message('path.pieces');
  const wrong = pieces.flatMap(({ name, segments }) =>
    name === 'whole'
      ? []
      : segments.filter(isInside).filter(({ string }) => isMain(string) !== (name === 'mains')),
  )[0];
  return wrong && message('path.other piece', { string: wrong.string });
}

/** A main goes from end to end through its own holes, a cross from side to side. */
function inItsHoles({ string, from, to }: InsideString): Message | undefined {
  const number = numberOf(string);
  const isItsOwn = isMain(string)
    ? from.hole.main === number &&
      to.hole.main === number &&
      from.side === to.side &&
      from.side.charAt(0).toUpperCase() === string.slice(-1) &&
      from.hole.end !== to.hole.end
    : from.hole.cross === number && to.hole.cross === number && from.side === otherSide(to.side);
  return isItsOwn
    ? undefined
    : message('path.not its holes', { string, from: placeName(from), to: placeName(to) });
}

function goesOn({ segments }: Piece): Message | undefined {
  const [first, ...rest] = segments;
  const last = segments.at(-1);
  if (first?.kind !== 'tail' || last?.kind !== 'tail') return message('path.no tail');
  let at: HolePlace | undefined = first.at;
  let before: 'inside' | 'run' | undefined;
  for (const segment of rest) {
    const from = segment.kind === 'tail' ? segment.at : segment.from;
    if (!samePlace(at, from)) return message('path.breaks off', { hole: placeName(from) });
    if (segment.kind === 'tail') {
      if (segment !== last) return message('path.no tail');
      continue;
    }
    // A run through its own hole is no turn, and a string that follows a string has none.
    if (samePlace(segment.from, segment.to))
      return message('path.no turn', { hole: placeName(from) });
    const kind = segment.kind === 'inside' ? 'inside' : 'run';
    if (kind === before) return message('path.breaks off', { hole: placeName(from) });
    before = kind;
    if (segment.kind === 'inside') {
      const problem = inItsHoles(segment);
      if (problem) return problem;
    }
    at = segment.to;
  }
  return undefined;
}

/** Where strings meet, each lies over and under by turns, and what one lies over lies under it. */
function weaves(bed: Bed, { pieces }: Path): Message | undefined {
  const inside = pieces.flatMap(({ segments }) => segments.filter(isInside));
  const over = new Map(
    inside.flatMap(({ string, crossings }) =>
      crossings.map((crossing) => [`${string} ${crossing.string}`, crossing.over] as const),
    ),
  );
  const arcs = (string: StringName): readonly number[] => {
    const number = numberOf(string);
    return bed.holes
      .filter(({ main, cross }) => (isMain(string) ? main === number : cross === number))
      .map(({ arc }) => arc);
  };
  for (const { string, crossings } of inside) {
    for (const [i, { string: other, over: isOver }] of crossings.entries()) {
      const turn = i > 0 && crossings[i - 1]?.over === isOver;
      if (turn || over.get(`${other} ${string}`) !== !isOver)
        return message('path.weave', { string, other });
    }
    if (!isMain(string)) continue;
    const mine = arcs(string);
    const [least, most] = [Math.min(...mine), Math.max(...mine)];
    const meeting = inside.filter(({ string: cross }) => {
      const [at = NaN] = isMain(cross) ? [] : arcs(cross);
      return at > least && at < most;
    });
    if (meeting.length !== crossings.length) return message('path.crossings', { string });
  }
  return undefined;
}

function isTied(bed: Bed, { pieces, knots, order }: Path): Message | undefined {
  const half = bed.outline.half.at(-1)?.arc ?? 0;
  const ends = pieces.flatMap(({ segments }) => {
    const strung = segments.filter(isInside);
    const runs = segments.filter((segment) => segment.kind === 'tie-off run');
    const [first, last] = [strung[0], strung.at(-1)];
    const [before, after] = [runs[0], runs.at(-1)];
    if (!first || !last || !before || !after || runs.length !== 2) return [undefined];
    return [
      { string: first.string, from: first.from, at: before.from },
      { string: last.string, from: last.to, at: after.to },
    ];
  });
  if (ends.length !== knots.length) return message('path.knots');
  const used = new Set<string>();
  for (const end of ends) {
    if (!end) return message('path.knots');
    const { string, from, at } = end;
    const name = placeName(at);
    const knot = knots.find(
      (each) =>
        each.string === string && each.hole.label === at.hole.label && each.side === at.side,
    );
    if (!knot || knot.from.label !== from.hole.label || knot.end !== at.hole.end)
      return message('path.knots');
    if (knot.ties !== (isMain(string) ? 'main' : 'cross') || used.has(name))
      return message('ledger.full hole', { hole: name });
    used.add(name);
    const bored = at.hole.tieOff.includes(at.side);
    const isInHand = order.indexOf(string) <= knot.tiedAfter && knot.tiedAfter < order.length;
    const far = from.side !== at.side || Math.abs(from.hole.arc - at.hole.arc) > FARTHEST * half;
    if (knot.bored !== bored || far || !isInHand)
      return message('path.knot hole', { string, hole: name });
  }
  return undefined;
}

/** A last cross that is missing, a start on the other side: what a path says of itself is what it does. */
function isAsItSays({ pieces, crossStart, crossFinish, crossesFrom }: Path): Message | undefined {
  const crosses = pieces
    .flatMap(({ segments }) => segments.filter(isInside))
    .filter(({ string }) => !isMain(string));
  const [first] = pieces.length === 2 ? crosses : [];
  if (!first) return undefined;
  const last = crosses.at(-1);
  const startsAt = numberOf(first.string) === 1 ? 'head' : 'throat';
  return first.from.side === crossStart && last?.to.side === crossFinish && startsAt === crossesFrom
    ? undefined
    : message('path.other start');
}

/**
 * Why a path strings no whole bed; undefined where it does. Source: the rules of the trade; from memory, how far a tail may
 * run to its knot.
 *
 * @example
 * pathProblem(usual.bed, usual.path) // undefined
 */
export function pathProblem(bed: Bed, path: Path): Message | undefined {
  return (
    eachOnce(bed, path) ??
    path.pieces.map(goesOn).find((problem) => problem !== undefined) ??
    weaves(bed, path) ??
    isTied(bed, path) ??
    isAsItSays(path)
  );
}
