/**
 * What holds what at the machine, action by action: a proof that does not lean on what made the actions.
 * It knows where each string, knot, strand and clamp is, and refuses an action that asks for what is not
 * there, that leaves anything slack, that goes through a hole which is another's or full, or that pulls
 * another figure than the one that is set.
 *
 * A piece is a row of strings; those under tension are neighbours, and both ends of them must be held at
 * all times: by a clamp on the end string, by the tension head or a starting clamp beyond it, or by a knot.
 */
import type { Bed } from '../frame/bed';
import { coveredHoles } from '../path/covers';
import type { Path } from '../path/path';
import { mostAhead, runsBeside, sideOf } from '../path/pull-order';
import { isInside, isMain, placeName, type HolePlace, type InsideString } from '../path/segments';
import type { ClampSet } from '../house/machine';

/** The two clamps that slide on a machine, and the one that grips outside the frame. */
export type Holder = 'clamp 1' | 'clamp 2' | 'starting clamp';
export const MACHINE_CLAMPS = ['clamp 1', 'clamp 2'] as const satisfies readonly Holder[];

/** Towards the first or the last string of a piece. */
export type Way = -1 | 1;

interface Beyond {
  readonly string: string;
  readonly way: Way;
}

export type Action =
  /** `through` are the two holes it goes in by and out by, `7H left`. */
  | { readonly do: 'thread'; readonly string: string; readonly through: readonly [string, string] }
  | { readonly do: 'open'; readonly at: HolePlace }
  | ({ readonly do: 'grip outside' } & Beyond)
  /** The head pulls beyond a string; with another, both tails are in its gripper. */
  | ({ readonly do: 'pull'; readonly pullN: number; readonly and?: Beyond } & Beyond)
  | { readonly do: 'let go' }
  | { readonly do: 'clamp'; readonly holder: Holder; readonly string: string }
  | { readonly do: 'free'; readonly holder: Holder }
  | ({ readonly do: 'tie'; readonly at: HolePlace } & Beyond);

/** What each string is set to, and the last one before a knot, N. */
export interface Figures {
  readonly set: (string: string) => number;
  readonly knot: (string: string) => number;
}

interface Hold {
  /** i on string i of the piece, half a place more or less beyond it. */
  readonly at: number;
  readonly by: Holder | 'head' | 'knot';
}

interface Piece {
  readonly strings: readonly string[];
  /** Where each end is tied: before its first string, and after its last. */
  readonly knots: Readonly<Record<Way, string>>;
  holds: readonly Hold[];
  /** First and last string that are threaded, and under tension. */
  threaded: readonly [number, number] | undefined;
  tense: readonly [number, number] | undefined;
}

interface Seat {
  readonly piece: Piece;
  readonly at: number;
  readonly inside: InsideString;
}

export interface Ledger {
  /** Takes an action, or says why it cannot be done. */
  readonly take: (action: Action) => string | undefined;
  /** What is still wrong when the job is said to be done. */
  readonly unfinished: () => string | undefined;
  /** The last pull of each string by the head, N. */
  readonly pulls: ReadonlyMap<string, number>;
}

/** Figures that differ by less are the same to any machine, N. */
const SAME_N = 0.01;

/** An empty ledger for a path whose strings stand in the order of the pulls. */
export function openLedger(bed: Bed, path: Path, machine: ClampSet, figures: Figures): Ledger {
  const seats = new Map<string, Seat>();
  const pieces = path.pieces.map(({ segments }, i): Piece => {
    const insides = segments.filter(isInside);
    const knotAt = (which: 0 | 1) => {
      const knot = path.knots[2 * i + which];
      return knot ? placeName(knot) : '';
    };
    const piece: Piece = {
      strings: insides.map(({ string }) => string),
      knots: { [-1]: knotAt(0), 1: knotAt(1) },
      holds: [],
      threaded: undefined,
      tense: undefined,
    };
    insides.forEach((inside, at) => seats.set(inside.string, { piece, at, inside }));
    return piece;
  });
  const covered = coveredHoles(bed, path);
  const holes = new Map(
    bed.holes.flatMap((hole) =>
      (['left', 'right'] as const).map(
        (side) => [placeName({ hole, side }), { hole, side }] as const,
      ),
    ),
  );
  /** Strings that go through each hole. */
  const through = new Map<string, string[]>();
  /** Scrap strands, by the hole that they keep open. */
  const strands = new Set<string>();
  /** Holes under a tightened run, by the string that tightened it. */
  const shut = new Map<string, string>();
  const pulls = new Map<string, number>();
  /** Strings that had their own full pull, and towards which end the last one went. */
  const lastPull = new Map<string, Way>();

  const seatOf = (string: string): Seat => {
    const seat = seats.get(string);
    if (!seat) throw new RangeError(`There is no string ${string} in this path.`);
    return seat;
  };
  const inUse = (by: Hold['by']) =>
    pieces.some(({ holds }) => holds.some((hold) => hold.by === by));
  const isLast = ({ string, way }: Beyond): boolean => {
    const { piece, at } = seatOf(string);
    return at === (way === 1 ? piece.strings.length - 1 : 0);
  };
  const holdBeyond = ({ string, way }: Beyond, by: Hold['by']) => {
    const { piece, at } = seatOf(string);
    piece.holds = [...piece.holds, { at: at + way / 2, by }];
  };
  const isTied = ({ piece, at }: Seat, way: Way) =>
    piece.holds.some((hold) => hold.by === 'knot' && hold.at === at + way / 2);
  const release = (by: Hold['by']): string | undefined => {
    if (!inUse(by)) return `The ${by} holds nothing.`;
    for (const piece of pieces) piece.holds = piece.holds.filter((hold) => hold.by !== by);
    return undefined;
  };
  const underRun = (name: string, what: string): string | undefined => {
    const over = shut.get(name);
    return over === undefined || strands.has(name)
      ? undefined
      : `${name} lies under the run that ${over} tightened, and nobody opened it for ${what}.`;
  };
  const isThreaded = (string: string): boolean => {
    const { piece, at } = seatOf(string);
    return piece.threaded !== undefined && at >= piece.threaded[0] && at <= piece.threaded[1];
  };
  const knotDone = (string: string) =>
    ([-1, 1] as const).some((way) => isLast({ string, way }) && isTied(seatOf(string), way));
  /** What still needs a covered hole: a string that is not in, a knot that is not tied. */
  const stillNeeds = ({ needs }: (typeof covered)[number]) =>
    needs.knot ? !knotDone(needs.string) : !isThreaded(needs.string);
  const shutUnder = (string: string, knot: boolean) => {
    for (const cover of covered)
      if (cover.before.string === string && cover.before.knot === knot && stillNeeds(cover))
        shut.set(placeName(cover.at), string);
  };
  /** A strand has done its work when nothing needs its hole any more. */
  const drawStrands = () => {
    for (const name of strands)
      if (!covered.some((cover) => placeName(cover.at) === name && stillNeeds(cover)))
        strands.delete(name);
  };

  /** Whether a string belongs into a hole, by the bed itself and not by its path. */
  function wrongHole(name: string, string: string): string | undefined {
    const place = holes.get(name);
    if (!place) return `There is no hole ${name}.`;
    const { hole, side } = place;
    const number = Number.parseInt(string.slice(1), 10);
    const belongs = isMain(string)
      ? hole.main === number && side === sideOf(string)
      : hole.cross === number;
    if (!belongs) return `${name} is no hole for ${string}.`;
    const room = Number(hole.main !== undefined) + Number(hole.cross !== undefined);
    if ((through.get(name) ?? []).length >= room) return `${name} is full.`;
    return undefined;
  }

  function thread(string: string, names: readonly [string, string]): string | undefined {
    const { piece, at } = seatOf(string);
    if (isThreaded(string)) return `${string} is in already.`;
    const [first, last] = piece.threaded ?? [at, at - 1];
    if (piece.threaded && at !== first - 1 && at !== last + 1)
      return `${string} is threaded before the one that comes before it on its piece.`;
    if (names[0] === names[1]) return `${string} goes in and out by one hole.`;
    for (const name of names) {
      const problem = wrongHole(name, string) ?? underRun(name, string);
      if (problem !== undefined) return problem;
    }
    const ends = names.map((name) => holes.get(name));
    const lies = isMain(string)
      ? ends[0]?.hole.end !== ends[1]?.hole.end
      : ends[0]?.side !== ends[1]?.side;
    if (!lies) return `${string} would not cross the bed from ${names[0]} to ${names[1]}.`;
    for (const name of names) through.set(name, [...(through.get(name) ?? []), string]);
    piece.threaded = [Math.min(first, at), Math.max(last, at)];
    drawStrands();
    return undefined;
  }

  function open(at: HolePlace): string | undefined {
    const name = placeName(at);
    if (strands.has(name)) return `${name} has a strand in it already.`;
    if (shut.has(name)) return `${name} lies under a tight run already: no strand gets in.`;
    if (!covered.some((cover) => placeName(cover.at) === name && stillNeeds(cover)))
      return `Nothing needs ${name} later: a strand there would stay in the bed.`;
    strands.add(name);
    return undefined;
  }

  function grip(beyond: Beyond): string | undefined {
    const { piece, at } = seatOf(beyond.string);
    if (machine.startingClamps === 0) return 'There is no starting clamp.';
    if (inUse('starting clamp')) return 'The starting clamp is in use.';
    if (!isThreaded(beyond.string)) return `${beyond.string} is not threaded.`;
    const [first, last] = piece.tense ?? [at, at];
    if (beyond.way === 1 ? at < last : at > first)
      return `Outside ${beyond.string} the starting clamp would hold nothing: it is not the end of what is strung.`;
    holdBeyond(beyond, 'starting clamp');
    return undefined;
  }

  /** A cross is pulled through mains that carry; its neighbour in the piece may still weave through it. */
  function tooEarly(string: string): string | undefined {
    if (isMain(string)) return undefined;
    const { piece, at, inside } = seatOf(string);
    const missing = inside.crossings.find((crossing) => {
      const main = seatOf(crossing.string);
      const [first, last] = main.piece.tense ?? [1, 0];
      const carries = main.at >= first && main.at <= last;
      return !carries && !(main.piece === piece && Math.abs(main.at - at) === 1);
    });
    return missing && `${string} is pulled before ${missing.string}, which it crosses.`;
  }

  function tooFarAhead(): string | undefined {
    const count = (side: 'left' | 'right') =>
      [...pulls.keys()].filter((string) => isMain(string) && sideOf(string) === side).length;
    const apart = Math.abs(count('left') - count('right'));
    const most = mostAhead(bed.spec.sport);
    return apart > most ? `One side is ${apart} mains ahead, and ${most} are allowed.` : undefined;
  }

  function pullOne({ string, way }: Beyond, n: number): string | undefined {
    const seat = seatOf(string);
    const { piece, at } = seat;
    if (isTied(seat, way)) return `${string} is tied off already.`;
    // The pull reaches back through the string to whatever holds it there.
    const back = piece.holds
      .map((hold) => hold.at)
      .filter((place) => (way === 1 ? place < at : place > at))
      .sort((a, b) => way * (b - a))[0];
    const behind = back === undefined ? at : way === 1 ? Math.ceil(back) : Math.floor(back);
    const [first, last] = piece.tense ?? [at, at];
    const reached = [Math.min(first, at, behind), Math.max(last, at, behind)] as const;
    if (at !== reached[way === 1 ? 1 : 0])
      return `${string} is not at the end of what is strung: the head cannot grip it.`;
    const missing = piece.strings
      .slice(reached[0], reached[1] + 1)
      .find((each) => !isThreaded(each));
    if (missing !== undefined) return `${missing} is pulled before it is threaded.`;
    piece.tense = reached;
    pulls.set(string, n);
    holdBeyond({ string, way }, 'head');
    shutUnder(string, false);
    return tooEarly(string);
  }

  function pull(action: Extract<Action, { do: 'pull' }>): string | undefined {
    const { string, way, and, pullN: n } = action;
    if (inUse('head')) return 'The tension head is in use.';
    if (!(n > 0 && Number.isFinite(n))) return `${n} N is no pull.`;
    if (and) {
      // Both tails of the centre pair in the gripper: half the figure, and each in full afterwards.
      if (pulls.size > 0) return 'Two strings are pulled together only to begin with.';
      if (and.string === string || and.way === way) return 'Two tails of one piece go two ways.';
      if (Math.abs(n - figures.set(string) / 2) > SAME_N)
        return `Both together are pulled at half of ${string}’s figure, not at ${n.toFixed(1)} N.`;
      return pullOne(and, n) ?? pullOne(action, n);
    }
    const wanted = isLast(action) ? figures.knot(string) : figures.set(string);
    if (Math.abs(n - wanted) > SAME_N)
      return `${string} is set to ${wanted.toFixed(1)} N, and ${n.toFixed(1)} N are pulled.`;
    const problem = pullOne(action, n) ?? tooFarAhead();
    if (problem === undefined) lastPull.set(string, way);
    return problem;
  }

  function clamp({ holder, string }: Extract<Action, { do: 'clamp' }>): string | undefined {
    if (holder === 'starting clamp') return 'The starting clamp grips outside, not on the bed.';
    if (holder === 'clamp 2' && machine.clamps === 1) return 'The machine has one clamp only.';
    if (inUse(holder)) return `${holder} is in use.`;
    const { piece, at } = seatOf(string);
    if (!piece.tense || at < piece.tense[0] || at > piece.tense[1])
      return `${string} is not under tension: a clamp there holds nothing.`;
    if (at !== piece.tense[0] && at !== piece.tense[1])
      return `${string} is not at an end of what is strung: a clamp there holds nothing back.`;
    if (machine.clampKind === 'flying' && !hasNeighbour(string))
      return `A flying clamp holds a string by its neighbour, and ${string} has none under tension.`;
    piece.holds = [...piece.holds, { at, by: holder }];
    return undefined;
  }

  /** A string under tension that runs side by side with this one, near enough for one clamp. */
  const hasNeighbour = (string: string): boolean =>
    pieces.some(({ strings, tense }) =>
      strings.some(
        (each, i) =>
          tense !== undefined && i >= tense[0] && i <= tense[1] && runsBeside(string, each),
      ),
    );

  function tie(action: Extract<Action, { do: 'tie' }>): string | undefined {
    const seat = seatOf(action.string);
    const { piece, at } = seat;
    if (!isLast(action)) return `${action.string} is not the end of its piece.`;
    if (isTied(seat, action.way)) return `${action.string} is tied already.`;
    if (!piece.tense?.includes(at)) return `${action.string} is tied before it is pulled.`;
    if (lastPull.get(action.string) !== action.way)
      return `${action.string} is tied before its last pull towards this end.`;
    if (!piece.holds.some((hold) => hold.at === at))
      return `${action.string} is tied while no clamp holds it.`;
    const name = placeName(action.at);
    if (name !== piece.knots[action.way])
      return `The tail of ${action.string} is tied at ${piece.knots[action.way]}, not at ${name}.`;
    const problem = underRun(name, `the knot of ${action.string}`);
    if (problem !== undefined) return problem;
    holdBeyond(action, 'knot');
    shutUnder(action.string, true);
    drawStrands();
    return undefined;
  }

  function attempt(action: Action): string | undefined {
    switch (action.do) {
      case 'thread':
        return thread(action.string, action.through);
      case 'open':
        return open(action.at);
      case 'grip outside':
        return grip(action);
      case 'pull':
        return pull(action);
      case 'let go':
        return release('head');
      case 'clamp':
        return clamp(action);
      case 'free':
        return release(action.holder);
      case 'tie':
        return tie(action);
    }
  }

  /** What is slack now; nothing while both ends of every piece are held. */
  function slack(): string | undefined {
    for (const { strings, holds, tense } of pieces) {
      if (!tense) continue;
      for (const [end, way] of [
        [tense[0], -1],
        [tense[1], 1],
      ] as const)
        if (!holds.some(({ at }) => at === end || at === end + way / 2))
          return `Nothing holds ${strings[end]}: it and all behind it go slack.`;
    }
    return undefined;
  }

  function unfinished(): string | undefined {
    for (const { strings, holds, tense } of pieces) {
      if (!tense || tense[1] - tense[0] !== strings.length - 1)
        return `Not all of ${strings[0]} to ${strings.at(-1)} is under tension.`;
      const never = strings.find((string) => !lastPull.has(string));
      if (never !== undefined) return `${never} was never pulled in full by itself.`;
      const left = holds.find(({ by }) => by !== 'knot');
      if (left) return `The ${left.by} is still on.`;
      if (holds.length !== 2) return `${strings[0]} to ${strings.at(-1)} is not tied at both ends.`;
    }
    const [strand] = strands;
    return strand === undefined ? undefined : `A scrap strand is left in ${strand}.`;
  }

  return { take: (action) => attempt(action) ?? slack(), unfinished, pulls };
}
