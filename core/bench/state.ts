/**
 * What is where at the machine: clamps, starting clamp, head, strings, knots and strands, and what each
 * action makes of it. Nothing is judged here; what may not be done is the ledger's to say.
 *
 * A piece is a row of strings; those under tension are neighbours, and lie between two holds.
 */
import type { StringName } from '../terms/string-name';
import type { Newtons } from '../measure/quantities';
import type { Covered } from '../path/covered-holes';
import type { Path } from '../path/path';
import { isInside, placeName, type InsideString } from '../path/segments';
import type { Action, Holder, StrungEnd, Way } from './actions';

export interface Hold {
  readonly piece: number;
  /** i on string i of the piece, half a place more or less beyond it. */
  readonly at: number;
  readonly by: Holder | 'head' | 'knot';
  /** The end of what is strung that it holds. */
  readonly way: Way;
}

/** First and last string of a piece that something is true of. */
export type Stretch = readonly [first: number, last: number];

interface Seat {
  readonly piece: number;
  readonly at: number;
  readonly inside: InsideString;
}

/** What does not change while a path is strung. */
interface Layout {
  readonly pieces: readonly (readonly StringName[])[];
  readonly seats: ReadonlyMap<StringName, Seat>;
  readonly covered: readonly Covered[];
}

interface Pull extends StrungEnd {
  readonly pullN: Newtons;
  /** In full by itself; the centre pair may begin at half, both in the gripper. */
  readonly alone: boolean;
}

export interface BenchState {
  readonly layout: Layout;
  readonly holds: readonly Hold[];
  /** By piece. */
  readonly threaded: readonly (Stretch | undefined)[];
  readonly tense: readonly (Stretch | undefined)[];
  /** Strings under tension in the order in which they came. */
  readonly strung: readonly StringName[];
  /** Every pull of the head, in its order. */
  readonly pulls: readonly Pull[];
  /** Every string in a hole, by the name of the hole; one that takes two is named twice. */
  readonly inHoles: readonly string[];
  /** Holes that a scrap strand keeps open. */
  readonly strands: readonly string[];
  /** Holes under a tightened run, by the string that tightened it. */
  readonly shut: ReadonlyMap<string, StringName>;
}

/** A machine with nothing in the frame yet; `covered` are the holes that runs of this path lie over. */
export function openState({ pieces }: Path, covered: readonly Covered[] = []): BenchState {
  const insides = pieces.map(({ segments }) => segments.filter(isInside));
  const seats = new Map(
    insides.flatMap((row, piece) =>
      row.map((inside, at) => [inside.string, { piece, at, inside }] as const),
    ),
  );
  const none = pieces.map(() => undefined);
  return {
    layout: { pieces: insides.map((row) => row.map(({ string }) => string)), seats, covered },
    holds: [],
    threaded: none,
    tense: none,
    strung: [],
    pulls: [],
    inHoles: [],
    strands: [],
    shut: new Map(),
  };
}

/** Where a string stands in its piece. Throws on one that the path does not have. */
export function seatOf({ layout }: BenchState, string: StringName): Seat {
  const seat = layout.seats.get(string);
  if (!seat) throw new RangeError(`There is no string ${string} in this path.`);
  return seat;
}

const within = (stretch: Stretch | undefined, at: number): boolean =>
  stretch !== undefined && at >= stretch[0] && at <= stretch[1];

export function isThreaded(state: BenchState, string: StringName): boolean {
  const { piece, at } = seatOf(state, string);
  return within(state.threaded[piece], at);
}

export function isTense(state: BenchState, string: StringName): boolean {
  const { piece, at } = seatOf(state, string);
  return within(state.tense[piece], at);
}

/** Whether a string is the last of its piece that way. */
export function isLast(state: BenchState, { string, way }: StrungEnd): boolean {
  const { piece, at } = seatOf(state, string);
  return at === (way === 1 ? (state.layout.pieces[piece]?.length ?? 0) - 1 : 0);
}

export const isInUse = ({ holds }: BenchState, by: Hold['by']): boolean =>
  holds.some((hold) => hold.by === by);

export function isTied(state: BenchState, { string, way }: StrungEnd): boolean {
  const { piece, at } = seatOf(state, string);
  return state.holds.some(
    (hold) => hold.by === 'knot' && hold.piece === piece && hold.at === at + way / 2,
  );
}

/** What clamp holds the end of what is strung towards which this string stands; undefined while none does. */
export function holderOf(state: BenchState, { string, way }: StrungEnd): Holder | undefined {
  const { piece } = seatOf(state, string);
  for (const hold of state.holds)
    if (hold.piece === piece && hold.way === way && hold.by !== 'head' && hold.by !== 'knot')
      return hold.by;
  return undefined;
}

/**
 * The strings that a pull puts under tension: it reaches back through the string to whatever holds it.
 */
export function reachOf(state: BenchState, { string, way }: StrungEnd): Stretch {
  const { piece, at } = seatOf(state, string);
  const back = state.holds
    .filter((hold) => hold.piece === piece && (way === 1 ? hold.at < at : hold.at > at))
    .map((hold) => hold.at)
    .sort((a, b) => way * (b - a))[0];
  const behind =
    back === undefined ? at : way === 1 ? Math.max(0, Math.ceil(back)) : Math.floor(back);
  const [first, last] = state.tense[piece] ?? [at, at];
  return [Math.min(first, at, behind), Math.max(last, at, behind)];
}

/** Whether what lies over a covered hole would still shut something out: a string not in, a knot not tied. */
export const stillNeeds = (state: BenchState, { needs }: Covered): boolean =>
  needs.knot
    ? !([-1, 1] as const).some((way) => isTied(state, { string: needs.string, way }))
    : !isThreaded(state, needs.string);

/** Towards which end a string had its last full pull by itself; undefined before it has. */
export const lastPull = ({ pulls }: BenchState, string: StringName): Way | undefined =>
  pulls.findLast((pull) => pull.alone && pull.string === string)?.way;

function held(state: BenchState, { string, way }: StrungEnd, by: Hold['by']): BenchState {
  const seat = seatOf(state, string);
  const hold: Hold = { piece: seat.piece, at: seat.at + way / 2, by, way };
  return { ...state, holds: [...state.holds, hold] };
}

const released = (state: BenchState, by: Hold['by']): BenchState => ({
  ...state,
  holds: state.holds.filter((hold) => hold.by !== by),
});

/** The holes that a pull or a knot of this string shuts. */
function shutBy(state: BenchState, string: StringName, knot: boolean): BenchState {
  const shut = state.layout.covered.filter(
    (cover) =>
      cover.before.string === string && cover.before.knot === knot && stillNeeds(state, cover),
  );
  if (shut.length === 0) return state;
  return {
    ...state,
    shut: new Map([...state.shut, ...shut.map((each) => [placeName(each.at), string] as const)]),
  };
}

/** A strand has done its work when nothing needs its hole any more. */
function strandsDrawn(state: BenchState): BenchState {
  if (state.strands.length === 0) return state;
  const { covered } = state.layout;
  const strands = state.strands.filter((name) =>
    covered.some((cover) => placeName(cover.at) === name && stillNeeds(state, cover)),
  );
  return { ...state, strands };
}

function threadedBy(
  state: BenchState,
  { string, through: names }: Extract<Action, { do: 'thread' }>,
): BenchState {
  const seat = seatOf(state, string);
  const [first, last] = state.threaded[seat.piece] ?? [seat.at, seat.at];
  const stretch: Stretch = [Math.min(first, seat.at), Math.max(last, seat.at)];
  return strandsDrawn({
    ...state,
    threaded: state.threaded.with(seat.piece, stretch),
    inHoles: [...state.inHoles, ...names],
  });
}

function pulledBy(state: BenchState, pull: Pull): BenchState {
  const { piece } = seatOf(state, pull.string);
  const reach = reachOf(state, pull);
  const row = state.layout.pieces[piece] ?? [];
  const [first, last] = state.tense[piece] ?? [reach[1] + 1, reach[1]];
  const came = [...row.slice(reach[0], first), ...row.slice(last + 1, reach[1] + 1)];
  const pulled: BenchState = {
    ...state,
    tense: state.tense.with(piece, reach),
    strung: [...state.strung, ...came],
    pulls: [...state.pulls, pull],
  };
  return shutBy(held(pulled, pull, 'head'), pull.string, false);
}

/** A clamp holds the end that the head pulls towards just now, else the end that its string is. */
function wayOfClamp(state: BenchState, piece: number, place: number): Way {
  const head = state.holds.find(
    (hold) => hold.by === 'head' && hold.piece === piece && hold.at - hold.way / 2 === place,
  );
  return head?.way ?? (state.tense[piece]?.[1] === place ? 1 : -1);
}

/**
 * What an action makes of the state. It is taken at its word: whether it may be done is the ledger's to say.
 * Throws on a string that the path does not have.
 */
export function apply(state: BenchState, action: Action): BenchState {
  switch (action.do) {
    case 'thread':
      return threadedBy(state, action);
    case 'open':
      return { ...state, strands: [...state.strands, placeName(action.at)] };
    case 'grip outside':
      return held(state, action, 'starting clamp');
    case 'pull': {
      const { string, way, and, pullN } = action;
      const pulled = pulledBy(state, { string, way, pullN, alone: !and });
      return and ? pulledBy(pulled, { ...and, pullN, alone: false }) : pulled;
    }
    case 'let go':
      return released(state, 'head');
    case 'clamp': {
      const { piece, at: place } = seatOf(state, action.string);
      const way = wayOfClamp(state, piece, place);
      return { ...state, holds: [...state.holds, { piece, at: place, by: action.holder, way }] };
    }
    case 'free':
      return released(state, action.holder);
    case 'tie': {
      const tied = held(state, action, 'knot');
      return strandsDrawn(shutBy(tied, action.string, true));
    }
  }
}

/** The state after several actions, one after the other. */
export const applyAll = (state: BenchState, actions: readonly Action[]): BenchState =>
  actions.reduce(apply, state);

/** The machine after the first `done` steps of a path. */
export const stateAfter = (
  path: Path,
  steps: readonly { readonly actions: readonly Action[] }[],
  done: number,
): BenchState =>
  applyAll(
    openState(path),
    steps.slice(0, done).flatMap(({ actions }) => actions),
  );
