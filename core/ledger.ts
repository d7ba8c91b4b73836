/**
 * What holds what at the machine, action by action. A piece is a row of strings; those under tension
 * are neighbours, and both ends of them must be held at all times: by a clamp on the end string, by
 * the tension head or a starting clamp beyond it, or by a knot. An action that would break this, or
 * that asks for a hole, a clamp or a string that is not there, is refused with its reason.
 */
import type { Bed } from './bed';
import { coveredHoles } from './covers';
import type { Path } from './path';
import { mostAhead, sideOf } from './pull-order';
import { isInside, isMain, placeName, type HolePlace, type InsideString } from './segments';

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
  | { readonly do: 'thread'; readonly string: string }
  | { readonly do: 'open'; readonly at: HolePlace }
  | ({ readonly do: 'grip outside' } & Beyond)
  /** The head pulls beyond a string; with another, both tails are in its gripper. */
  | ({ readonly do: 'pull'; readonly n: number; readonly and?: Beyond } & Beyond)
  | { readonly do: 'let go' }
  | { readonly do: 'clamp'; readonly holder: Holder; readonly string: string }
  | { readonly do: 'free'; readonly holder: Holder }
  | ({ readonly do: 'tie'; readonly at: HolePlace } & Beyond);

export interface BenchMachine {
  /** Clamps that the machine has for the strings. */
  readonly clamps: 1 | 2;
  /** A flying clamp stands on nothing: it holds a string by its neighbour. */
  readonly clampKind: 'fixed' | 'flying';
  readonly startingClamps: 0 | 1;
}

interface Hold {
  /** i on string i of the piece, half a place more or less beyond it. */
  readonly at: number;
  readonly by: Holder | 'head' | 'knot';
}

interface Piece {
  readonly strings: readonly string[];
  holds: readonly Hold[];
  /** First and last string under tension. */
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

/** An empty ledger for a path whose strings stand in the order of the pulls. */
export function openLedger(bed: Bed, path: Path, machine: BenchMachine): Ledger {
  const seats = new Map<string, Seat>();
  const pieces = path.pieces.map(({ segments }): Piece => {
    const insides = segments.filter(isInside);
    const piece: Piece = {
      strings: insides.map(({ string }) => string),
      holds: [],
      tense: undefined,
    };
    insides.forEach((inside, at) => seats.set(inside.string, { piece, at, inside }));
    return piece;
  });
  const covered = coveredHoles(bed, path);
  const threaded = new Set<string>();
  const opened = new Set<string>();
  /** Holes under a tightened run, by the string that tightened it. */
  const shut = new Map<string, string>();
  const pulls = new Map<string, number>();

  const seatOf = (string: string): Seat => {
    const seat = seats.get(string);
    if (!seat) throw new RangeError(`There is no string ${string} in this path.`);
    return seat;
  };
  const inUse = (by: Hold['by']) =>
    pieces.some(({ holds }) => holds.some((hold) => hold.by === by));
  const holdBeyond = ({ string, way }: Beyond, by: Hold['by']) => {
    const { piece, at } = seatOf(string);
    piece.holds = [...piece.holds, { at: at + way / 2, by }];
  };
  const release = (by: Hold['by']): string | undefined => {
    if (!inUse(by)) return `The ${by} holds nothing.`;
    for (const piece of pieces) piece.holds = piece.holds.filter((hold) => hold.by !== by);
    return undefined;
  };
  const underRun = (place: HolePlace, what: string): string | undefined => {
    const name = placeName(place);
    const over = shut.get(name);
    return over === undefined || opened.has(name)
      ? undefined
      : `${name} lies under the run that ${over} tightened, and nobody opened it for ${what}.`;
  };
  const shutUnder = (string: string, knot: boolean) => {
    for (const { at, before, needs } of covered)
      if (before.string === string && before.knot === knot)
        if (needs.knot || !threaded.has(needs.string)) shut.set(placeName(at), string);
  };

  function thread(string: string): string | undefined {
    const { from, to } = seatOf(string).inside;
    if (threaded.has(string)) return `${string} is in already.`;
    const problem = underRun(from, string) ?? underRun(to, string);
    if (problem === undefined) threaded.add(string);
    return problem;
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
    const { piece, at } = seatOf(string);
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
      .find((each) => !threaded.has(each));
    if (missing !== undefined) return `${missing} is pulled before it is threaded.`;
    piece.tense = reached;
    pulls.set(string, n);
    holdBeyond({ string, way }, 'head');
    shutUnder(string, false);
    return tooEarly(string);
  }

  function attempt(action: Action): string | undefined {
    switch (action.do) {
      case 'thread':
        return thread(action.string);
      case 'open':
        opened.add(placeName(action.at));
        return undefined;
      case 'grip outside':
        if (machine.startingClamps === 0) return 'There is no starting clamp.';
        if (inUse('starting clamp')) return 'The starting clamp is in use.';
        if (!threaded.has(action.string)) return `${action.string} is not threaded.`;
        holdBeyond(action, 'starting clamp');
        return undefined;
      case 'pull':
        if (inUse('head')) return 'The tension head is in use.';
        return (
          (action.and && pullOne(action.and, action.n)) ??
          pullOne(action, action.n) ??
          tooFarAhead()
        );
      case 'let go':
        return release('head');
      case 'clamp': {
        const { holder, string } = action;
        if (holder === 'clamp 2' && machine.clamps === 1) return 'The machine has one clamp only.';
        if (inUse(holder)) return `${holder} is in use.`;
        const { piece, at } = seatOf(string);
        if (!piece.tense || at < piece.tense[0] || at > piece.tense[1])
          return `${string} is not under tension: a clamp there holds nothing.`;
        if (machine.clampKind === 'flying' && piece.tense[0] === piece.tense[1])
          return `A flying clamp holds a string by its neighbour, and ${string} has none under tension.`;
        piece.holds = [...piece.holds, { at, by: holder }];
        return undefined;
      }
      case 'free':
        return release(action.holder);
      case 'tie': {
        const { piece, at } = seatOf(action.string);
        if (at !== (action.way === 1 ? piece.strings.length - 1 : 0))
          return `${action.string} is not the end of its piece.`;
        if (!piece.tense?.includes(at)) return `${action.string} is tied before it is pulled.`;
        if (!piece.holds.some((hold) => hold.at === at))
          return `${action.string} is tied while no clamp holds it.`;
        const problem = underRun(action.at, `the knot of ${action.string}`);
        if (problem !== undefined) return problem;
        holdBeyond(action, 'knot');
        shutUnder(action.string, true);
        return undefined;
      }
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
      const left = holds.find(({ by }) => by !== 'knot');
      if (left) return `The ${left.by} is still on.`;
    }
    return undefined;
  }

  return { take: (action) => attempt(action) ?? slack(), unfinished, pulls };
}
