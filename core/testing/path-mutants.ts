/** Paths with one thing wrong in them, whatever made the path. */
import type { Path } from '../path/path';
import { isInside, type Piece, type Segment } from '../path/segments';
import type { Bed } from '../frame/bed';
import { otherSide } from '../terms/ends';

type Pick = (n: number) => number;

const withSegments = (
  path: Path,
  at: number,
  change: (segments: readonly Segment[]) => readonly Segment[],
): Path => ({
  ...path,
  pieces: path.pieces.map((piece, i): Piece =>
    i === at ? { ...piece, segments: change(piece.segments) } : piece,
  ),
});

/** Every way of spoiling, each once, in places drawn by `pick`. */
export function spoiltPaths(
  path: Path,
  bed: Bed,
  pick: Pick,
): readonly { readonly what: string; readonly path: Path }[] {
  const at = pick(path.pieces.length);
  const segments = path.pieces[at]?.segments ?? [];
  const strings = segments.flatMap((segment, i) => (isInside(segment) ? [i] : []));
  const runs = segments.flatMap((segment, i) => (segment.kind === 'outside' ? [i] : []));
  const string = strings[pick(strings.length)] ?? 0;
  const run = runs[pick(runs.length)] ?? 0;
  const hole = bed.holes[pick(bed.holes.length)] ?? bed.holes[0];
  const knot = pick(path.knots.length);
  const change = (i: number, to: (segment: Segment) => Segment | readonly Segment[]) =>
    withSegments(path, at, (all) => all.flatMap((segment, n) => (n === i ? to(segment) : segment)));
  const knotted = (to: (knot: Path['knots'][number]) => Path['knots'][number]): Path => ({
    ...path,
    knots: path.knots.map((each, i) => (i === knot ? to(each) : each)),
  });
  const inside = segments[string];
  const crossing = isInside(inside as Segment)
    ? pick((inside as Extract<Segment, { kind: 'inside' }>).crossings.length)
    : 0;
  return [
    {
      what: 'a string the other way',
      path: change(string, (s) => (isInside(s) ? { ...s, from: s.to, to: s.from } : s)),
    },
    {
      what: 'a string in another hole',
      path: change(string, (s) => (isInside(s) && hole ? { ...s, to: { ...s.to, hole } } : s)),
    },
    { what: 'a string left out', path: change(string, () => []) },
    { what: 'a string twice', path: change(string, (s) => [s, s]) },
    {
      what: 'a turn through its own hole',
      path: change(run, (s) => (s.kind === 'outside' ? { ...s, to: s.from } : s)),
    },
    { what: 'a run left out', path: change(run, () => []) },
    {
      what: 'over for under',
      path: change(string, (s) =>
        isInside(s)
          ? {
              ...s,
              crossings: s.crossings.map((each, i) =>
                i === crossing ? { ...each, over: !each.over } : each,
              ),
            }
          : s,
      ),
    },
    {
      what: 'a crossing left out',
      path: change(string, (s) =>
        isInside(s) ? { ...s, crossings: s.crossings.toSpliced(crossing, 1) } : s,
      ),
    },
    { what: 'a knot in another hole', path: knotted((k) => (hole ? { ...k, hole } : k)) },
    { what: 'a knot on the other side', path: knotted((k) => ({ ...k, side: otherSide(k.side) })) },
    { what: 'a knot too early', path: knotted((k) => ({ ...k, tiedAfter: -1 })) },
    { what: 'a knot less', path: { ...path, knots: path.knots.toSpliced(knot, 1) } },
    { what: 'the last of the order left out', path: { ...path, order: path.order.slice(0, -1) } },
    {
      what: 'two strings in each other’s place',
      path: withSegments(path, at, (all) => {
        const [a, b] = [all[strings[0] ?? 0], all[strings.at(-1) ?? 0]];
        return all.map((s) => (s === a && b ? b : s === b && a ? a : s));
      }),
    },
    ...(path.pieces.length === 2
      ? [
          {
            what: 'a string of the other piece',
            path: {
              ...path,
              pieces: path.pieces.map((piece, i) => ({
                ...piece,
                segments:
                  i === at
                    ? piece.segments.filter((s) => s !== inside)
                    : [
                        ...piece.segments.slice(0, 3),
                        ...(inside ? [inside] : []),
                        ...piece.segments.slice(3),
                      ],
              })),
            },
          },
          {
            what: 'pieces changed over',
            path: { ...path, crossStart: otherSide(path.crossStart) },
          },
        ]
      : []),
  ];
}
