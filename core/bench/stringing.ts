/** Every pull and knot of a bed in its order, from the centre mains to the last cross. */
import { setPull, type BenchPlan, type BenchStep, type StepKind } from './plan';
import { coveredHoles, type Covered } from '../path/covers';
import { schoolWhy } from '../house/house-rules';
import { lendingWords, clampsOf } from './clamps';
import type { Action, Way } from './ledger';
import type { Path } from '../path/path';
import { runsBeside } from '../path/pull-order';
import { isInside, isMain, placeName, type HolePlace } from '../path/segments';
import { knotPull } from '../advice/tension';
import type { Knot } from '../path/tie-off';
import { formatTension } from '../measure/units';

export type Write = (
  kind: StepKind,
  words: string,
  actions?: readonly Action[],
  more?: Pick<BenchStep, 'string' | 'from' | 'at' | 'pullN' | 'why' | 'caution'>,
) => void;

interface Seat {
  readonly piece: number;
  readonly index: number;
  readonly ends: readonly [HolePlace, HolePlace];
}

/** Writes every pull and knot; the path has its strings in the order of the pulls. */
export function stringBed(
  { bed, path, tension, custom, machine, shortMm }: BenchPlan,
  write: Write,
): void {
  const { order } = path;
  const [one, other] = order as [string, string];
  const set = setPull(bed, tension);
  const seats = seatsOf(path);
  const seat = (string: string) => seats.get(string) as Seat;
  const lengths = path.pieces.map(({ segments }) => segments.filter(isInside).length);
  const wayOf = (string: string): Way =>
    seat(string).piece === seat(one).piece &&
    2 * seat(string).index < seat(one).index + seat(other).index
      ? -1
      : 1;
  const endOf = (string: string, way: Way): HolePlace => seat(string).ends[way === 1 ? 1 : 0];
  /** A string with where it comes in and where the head pulls it. */
  const inAndOut = (string: string, way: Way) => ({
    string,
    from: seat(string).ends[way === 1 ? 0 : 1],
    at: endOf(string, way),
  });
  const isLast = (string: string, way: Way) =>
    seat(string).index === (way === 1 ? (lengths[seat(string).piece] as number) - 1 : 0);

  /** Strings that are under tension so far, as a flying clamp needs them. */
  const strungYet = new Set<string>();
  const hasNeighbour = (string: string) => [...strungYet].some((each) => runsBeside(string, each));
  const clamps = clampsOf(
    machine,
    (string) => seat(string).piece,
    ({ string, way }) => isLast(string, way),
    hasNeighbour,
  );
  const clampOn = (string: string, way: Way) => clamps.moveOn({ string, way });

  const woven = new Set<string>();
  const thread = (...strings: readonly (string | undefined)[]): readonly Action[] =>
    strings.flatMap((string) => {
      if (string === undefined || woven.has(string)) return [];
      woven.add(string);
      const [from, to] = seat(string).ends;
      return [{ do: 'thread', string, through: [placeName(from), placeName(to)] } as const];
    });

  /** A string that is pulled soon is pre-threaded; for one that comes much later a scrap strand keeps the way. */
  const comesNext = (before: string, needs: string) =>
    order.indexOf(needs) - order.indexOf(before) <= 2;
  const covered = coveredHoles(bed, path);
  const open = (holds: (cover: Covered) => boolean) => {
    const needed = covered.filter(
      (cover) => holds(cover) && (cover.needs.knot || !woven.has(cover.needs.string)),
    );
    for (const [name, { at, before, needs }] of new Map(
      needed.map((each) => [placeName(each.at), each]),
    ))
      write(
        'open a hole',
        needs.knot || !comesNext(before.string, needs.string)
          ? `Leave a scrap strand in ${name} before ${before.string} is ${before.knot ? 'tied' : 'pulled'}: ${needs.knot ? `the knot of ${needs.string}` : needs.string} still needs it`
          : `Pre-thread ${needs.string} through ${name} before ${before.string} is ${before.knot ? 'tied' : 'pulled'}`,
        [{ do: 'open', at }],
        { at, caution: 'The awl points away from you and never stabs at a string.' },
      );
  };
  const openBefore = (string: string) =>
    open(({ before }) => before.string === string && !before.knot);

  const knots = path.pieces.flatMap(({ segments }, piece) =>
    ([-1, 1] as const).map((way) => {
      const insides = segments.filter(isInside);
      const knot = path.knots[2 * piece + (way === 1 ? 1 : 0)] as Knot;
      return { knot, way, string: (way === 1 ? insides.at(-1) : insides[0])?.string ?? '' };
    }),
  );
  /** The first knot of a piece of crosses, where the house ties it when all are in. */
  const waitsForAll = (string: string, way: Way) =>
    custom.topCross === 'at the end' && way === -1 && seat(string).piece !== seat(one).piece;
  const tied = new Set<Knot>();
  const pulled = new Set<string>();
  /** The first cross that hangs on the starting clamp until it is pulled again. */
  let hanging: string | undefined;

  const knotFigure = (string: string) => knotPull(set(string), tension.unit, custom.knotPull);
  const figure = (n: number) => formatTension(n, tension.unit);

  /** The last pull of each piece that was cut too short to reach the gripper, with how short it is, mm. */
  const bridges = new Map(
    path.pieces.flatMap(({ name, segments }) => {
      const inPiece = new Set(segments.filter(isInside).map((inside) => inside.string));
      const last = order.findLast((string) => inPiece.has(string));
      const short = shortMm[name] ?? 0;
      return last !== undefined && short > 0 ? [[last, short] as const] : [];
    }),
  );
  function bridgeTo(string: string): void {
    const short = bridges.get(string);
    if (short === undefined) return;
    write(
      'bridge',
      `The tail of ${string} is about ${Math.ceil(short / 10)} cm short of the gripper: a second clamp with a length of scrap string lends the reach`,
      [],
      { string, caution: 'A bridge that slips lets the tail fly: glasses on, face aside.' },
    );
  }

  function pull(string: string, way: Way, before: readonly Action[], words: string): void {
    const last = isLast(string, way);
    const n = last ? knotFigure(string) : set(string);
    openBefore(string);
    bridgeTo(string);
    strungYet.add(string);
    const clamped = clampOn(string, way);
    const lending = lendingWords(string, clamped);
    write(
      'pull',
      `${words}${last ? ', the last before its knot' : ''}${isMain(string) ? '' : '; straighten it while it is under pull'}${lending.words}`,
      [...before, { do: 'pull', string, way, pullN: n }, ...clamped],
      {
        ...inAndOut(string, way),
        pullN: n,
        ...(last && { why: schoolWhy(custom, 'knotPull') }),
        ...(lending.caution && { caution: lending.caution }),
      },
    );
    if (last && custom.knotPull === 'pull again')
      write(
        'pull again',
        `Pull ${string} once more at ${figure(n)}, the clamp base pushed towards the head`,
        [{ do: 'pull', string, way, pullN: n }, ...clampOn(string, way)],
        { ...inAndOut(string, way), pullN: n },
      );
    pulled.add(string);
  }

  function tieWhatMay(done: number): void {
    const onStarting = (each: (typeof knots)[number]) => clamps.holderOf(each) === 'starting clamp';
    // What has a clamp is tied first: its clamp then serves the next.
    const inTurn = knots.toSorted((a, b) => Number(onStarting(a)) - Number(onStarting(b)));
    for (const { knot, way, string } of inTurn) {
      if (tied.has(knot) || knot.tiedAfter > done || !pulled.has(string)) continue;
      if (waitsForAll(string, way) && done < order.length - 1) continue;
      // A flying clamp cannot hold it for its knot yet: the starting clamp does, until its neighbour is in.
      if (machine.clampKind === 'flying' && !hasNeighbour(string)) continue;
      if (string === hanging) {
        const n = knotFigure(string);
        write(
          'pull again',
          `Come back to ${string}: pull it from its tail, take the starting clamp off, clamp it`,
          [
            { do: 'pull', string, way, pullN: n },
            { do: 'free', holder: 'starting clamp' },
            ...clampOn(string, way),
          ],
          { ...inAndOut(string, way), pullN: n },
        );
        hanging = undefined;
        clamps.startingClampOut(false);
      } else if (clamps.holderOf({ string, way }) === 'starting clamp') {
        const n = knotFigure(string);
        write(
          'pull again',
          `Take ${string} in the head again, the starting clamp off, and clamp it for its knot`,
          [{ do: 'pull', string, way, pullN: n }, ...clampOn(string, way)],
          { ...inAndOut(string, way), pullN: n },
        );
      }
      open(({ before }) => before.string === string && before.knot);
      const holder = clamps.holderOf({ string, way }) ?? 'clamp 1';
      const at: HolePlace = { hole: knot.hole, side: knot.side };
      write(
        'tie',
        `Tie the tail of ${string} off at ${placeName(at)}, then free its clamp`,
        [
          { do: 'tie', string, way, at },
          { do: 'free', holder },
        ],
        { string, at, ...(!knot.bored && { caution: 'This hole is not bored for a knot.' }) },
      );
      clamps.tied({ string, way });
      tied.add(knot);
    }
  }

  openBefore(one);
  openBefore(other);
  const pair = thread(one, other);
  strungYet.add(one).add(other);
  if (custom.start === 'starting clamp') {
    write(
      'start',
      `Thread ${one} and ${other} from the centre loop; starting clamp outside on ${other}`,
      [...pair, { do: 'grip outside', string: other, way: wayOf(other) }],
      { ...inAndOut(other, wayOf(other)), why: schoolWhy(custom, 'start') },
    );
    pull(one, wayOf(one), [], `Pull ${one} and clamp it`);
    const [way, n] = [wayOf(other), set(other)];
    write(
      'pull',
      `Come back: pull ${other} on its own, take the starting clamp off, clamp it`,
      [
        { do: 'pull', string: other, way, pullN: n },
        { do: 'free', holder: 'starting clamp' },
        ...clampOn(other, way),
      ],
      { ...inAndOut(other, way), pullN: n },
    );
    pulled.add(other);
  } else {
    const n = set(one) / 2;
    write(
      'start',
      `Thread ${one} and ${other} from the centre loop; pull both together at half tension and clamp both`,
      [
        ...pair,
        {
          do: 'pull',
          string: one,
          way: wayOf(one),
          pullN: n,
          and: { string: other, way: wayOf(other) },
        },
        ...clampOn(one, wayOf(one)).filter((action) => action.do !== 'let go'),
        ...clampOn(other, wayOf(other)),
      ],
      { ...inAndOut(one, wayOf(one)), pullN: n, why: schoolWhy(custom, 'start') },
    );
    for (const string of [one, other])
      pull(string, wayOf(string), [], `Pull ${string} on its own, in full`);
  }

  for (let i = 2; i < order.length; i++) {
    const string = order[i] as string;
    const ahead = order[i + 1];
    const next = ahead !== undefined && !isMain(ahead) ? ahead : undefined;
    if (isMain(string)) {
      pull(string, wayOf(string), thread(string), `Pull ${string}`);
    } else if (seat(string).piece !== seat(one).piece && !clamps.holds(seat(string).piece)) {
      startCrosses(string, next as string);
      i++;
    } else {
      const weave = [string, next].filter((each) => each !== undefined && !woven.has(each));
      const first =
        weave.length > 0 ? `Weave ${weave.join(' and ')}; pull ${string}` : `Pull ${string}`;
      pull(string, wayOf(string), thread(string, next), first);
    }
    tieWhatMay(i);
  }

  /** The first two crosses of a piece of their own; `first` comes first in the order of the pulls. */
  function startCrosses(first: string, second: string): void {
    write('set tension', 'Set the head for the crosses', [], { pullN: tension.crossN });
    const [top, next] = seat(first).index === 0 ? [first, second] : [second, first];
    if (custom.firstCrosses === 'two together') {
      write(
        'start',
        `Weave ${top} and ${next}; starting clamp outside at the tail of ${top}`,
        [...thread(top, next), { do: 'grip outside', string: top, way: -1 }],
        { ...inAndOut(top, -1), why: schoolWhy(custom, 'firstCrosses') },
      );
      strungYet.add(top);
      clamps.startingClampOut(true);
      pull(next, 1, [], `Pull ${next}, and ${top} through with it`);
      hanging = top;
    } else {
      write(
        'start',
        `Weave ${top} and ${next}; starting clamp outside between the two`,
        [...thread(top, next), { do: 'grip outside', string: next, way: -1 }],
        { ...inAndOut(next, -1), why: schoolWhy(custom, 'firstCrosses') },
      );
      clamps.startingClampOut(true);
      pull(next, 1, [], `Pull ${next}`);
      clamps.startingClampOut(false);
      const n = knotFigure(top);
      strungYet.add(top);
      openBefore(top);
      write(
        'pull',
        `Pull ${top} alone from its tail, take the starting clamp off, clamp it`,
        [
          { do: 'pull', string: top, way: -1, pullN: n },
          { do: 'free', holder: 'starting clamp' },
          ...clampOn(top, -1),
        ],
        { ...inAndOut(top, -1), pullN: n },
      );
    }
    pulled.add(top);
  }
}

function seatsOf({ pieces }: Path): ReadonlyMap<string, Seat> {
  const seats = new Map<string, Seat>();
  pieces.forEach(({ segments }, piece) =>
    segments
      .filter(isInside)
      .forEach(({ string, from, to }, index) =>
        seats.set(string, { piece, index, ends: [from, to] }),
      ),
  );
  return seats;
}
