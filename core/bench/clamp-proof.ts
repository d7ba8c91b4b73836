/**
 * A proof that does not lean on what made the actions: before each it is asked whether it may be done, and
 * after each whether anything hangs loose. It refuses an action that asks for what is not there, that
 * leaves anything slack, that goes through a hole which is another's or full, or that pulls another figure
 * than the one that is set.
 *
 * Both ends of what is strung of a piece are held at all times: by a clamp on the end string, by the head or
 * a starting clamp beyond it, or by a knot.
 */
import { isMain, type StringName } from '../terms/string-name';
import type { Bed } from '../frame/bed';
import type { ClampSet } from '../house/machine';
import { coveredHoles } from '../path/covered-holes';
import type { Path } from '../path/path';
import { mostAhead, runsBeside, sideOf } from '../path/pull-order';
import { placeName, type HolePlace } from '../path/segments';
import { message, type Message } from '../terms/words/english';
import type { Action, StrungEnd } from './actions';
import {
  apply,
  isInUse,
  isLast,
  isTense,
  isThreaded,
  isTied,
  lastPull,
  openState,
  reachOf,
  seatOf,
  stillNeeds,
  type BenchState,
  type Hold,
} from './state';

/** What each string is set to, and the last one before a knot, N. */
export interface Figures {
  readonly set: (string: StringName) => number;
  readonly knot: (string: StringName) => number;
}

export interface Ledger {
  /** Takes an action, or says why it cannot be done. */
  readonly take: (action: Action) => Message | undefined;
  /** What is still wrong when the job is said to be done. */
  readonly unfinished: () => Message | undefined;
  /** The last pull of each string by the head, N. */
  readonly pulls: () => ReadonlyMap<string, number>;
}

/** Figures that differ by less are the same to any machine, N. */
const SAME_N = 0.01;

/** An empty ledger for a path whose strings stand in the order of the pulls. */
export function openLedger(bed: Bed, path: Path, machine: ClampSet, figures: Figures): Ledger {
  const covered = coveredHoles(bed, path);
  let state = openState(path, covered);
  const holes = new Map(
    bed.holes.flatMap((hole) =>
      (['left', 'right'] as const).map(
        (side) => [placeName({ hole, side }), { hole, side }] as const,
      ),
    ),
  );
  /** Where each end of each piece is tied. */
  const knotAt = ({ string, way }: StrungEnd): string => {
    const knot = path.knots[2 * seatOf(state, string).piece + (way === 1 ? 1 : 0)];
    return knot ? placeName(knot) : '';
  };

  const shutOut = (hole: string): string | undefined =>
    state.strands.includes(hole) ? undefined : state.shut.get(hole);

  /** Whether a string belongs into a hole, by the bed itself and not by its path. */
  function wrongHole(name: string, string: StringName): Message | undefined {
    const place = holes.get(name);
    if (!place) return message('ledger.no hole', { hole: name });
    const { hole, side } = place;
    const number = Number.parseInt(string.slice(1), 10);
    const belongs = isMain(string)
      ? hole.main === number && side === sideOf(string)
      : hole.cross === number;
    if (!belongs) return message('ledger.wrong hole', { hole: name, string });
    const room = Number(hole.main !== undefined) + Number(hole.cross !== undefined);
    if (state.inHoles.filter((each) => each === name).length >= room)
      return message('ledger.full hole', { hole: name });
    const over = shutOut(name);
    return over === undefined
      ? undefined
      : message('ledger.under a run', { hole: name, over, string });
  }

  function mayThread(string: StringName, names: readonly [string, string]): Message | undefined {
    const { piece, at } = seatOf(state, string);
    if (isThreaded(state, string)) return message('ledger.in already', { string });
    const stretch = state.threaded[piece];
    if (stretch && at !== stretch[0] - 1 && at !== stretch[1] + 1)
      return message('ledger.out of turn', { string });
    if (names[0] === names[1]) return message('ledger.one hole twice', { string });
    for (const name of names) {
      const problem = wrongHole(name, string);
      if (problem) return problem;
    }
    const [from, to] = names.map((name) => holes.get(name));
    const lies = isMain(string) ? from?.hole.end !== to?.hole.end : from?.side !== to?.side;
    return lies
      ? undefined
      : message('ledger.not across', { string, from: names[0], to: names[1] });
  }

  function mayOpen(at: HolePlace): Message | undefined {
    const hole = placeName(at);
    if (state.strands.includes(hole)) return message('ledger.strand twice', { hole });
    if (state.shut.has(hole)) return message('ledger.strand too late', { hole });
    return covered.some((cover) => placeName(cover.at) === hole && stillNeeds(state, cover))
      ? undefined
      : message('ledger.strand for nothing', { hole });
  }

  function mayGrip(end: StrungEnd): Message | undefined {
    const { string, way } = end;
    const { piece, at } = seatOf(state, string);
    if (machine.startingClamps === 0) return message('ledger.no starting clamp');
    if (isInUse(state, 'starting clamp')) return message('ledger.starting clamp in use');
    if (!isThreaded(state, string)) return message('ledger.not threaded', { string });
    const [first, last] = state.tense[piece] ?? [at, at];
    return (way === 1 ? at < last : at > first)
      ? message('ledger.grips nothing', { string })
      : undefined;
  }

  /** A cross is pulled through mains that carry; its neighbour in the piece may still weave through it. */
  function tooEarly(string: StringName): Message | undefined {
    if (isMain(string)) return undefined;
    const { piece, at, inside } = seatOf(state, string);
    const missing = inside.crossings.find((crossing) => {
      if (isTense(state, crossing.string)) return false;
      const main = seatOf(state, crossing.string);
      return !(main.piece === piece && Math.abs(main.at - at) === 1);
    });
    return missing && message('ledger.too early', { string, main: missing.string });
  }

  function tooFarAhead(pulled: StringName): Message | undefined {
    if (!isMain(pulled)) return undefined;
    const mains = new Set([pulled, ...state.pulls.map(({ string }) => string).filter(isMain)]);
    const left = [...mains].filter((string) => sideOf(string) === 'left').length;
    const apart = Math.abs(2 * left - mains.size);
    const most = mostAhead(bed.spec.sport);
    return apart > most ? message('ledger.too far ahead', { apart, most }) : undefined;
  }

  function canReach(end: StrungEnd): Message | undefined {
    const { string, way } = end;
    const { piece, at } = seatOf(state, string);
    if (isTied(state, end)) return message('ledger.tied off', { string });
    const reach = reachOf(state, end);
    if (at !== reach[way === 1 ? 1 : 0]) return message('ledger.out of reach', { string });
    const missing = state.layout.pieces[piece]
      ?.slice(reach[0], reach[1] + 1)
      .find((each) => !isThreaded(state, each));
    return missing === undefined
      ? tooEarly(string)
      : message('ledger.pulled unthreaded', { string: missing });
  }

  function mayPull(action: Extract<Action, { do: 'pull' }>): Message | undefined {
    const { string, way, and, pullN: n } = action;
    if (isInUse(state, 'head')) return message('ledger.head in use');
    if (!(n > 0 && Number.isFinite(n))) return message('ledger.no pull', { newtons: n });
    if (and) {
      // Both tails of the centre pair in the gripper: half the figure, and each in full afterwards.
      if (state.pulls.length > 0) return message('ledger.two to begin');
      if (and.string === string || and.way === way) return message('ledger.two ways');
      if (Math.abs(n - figures.set(string) / 2) > SAME_N)
        return message('ledger.not half', { string, newtons: n.toFixed(1) });
      return canReach(and) ?? canReach(action);
    }
    const wanted = isLast(state, action) ? figures.knot(string) : figures.set(string);
    if (Math.abs(n - wanted) > SAME_N)
      return message('ledger.other figure', {
        string,
        wanted: wanted.toFixed(1),
        newtons: n.toFixed(1),
      });
    return canReach(action) ?? tooFarAhead(string);
  }

  function mayClamp({ holder, string }: Extract<Action, { do: 'clamp' }>): Message | undefined {
    if (holder === 'starting clamp') return message('ledger.grips outside');
    if (holder === 'clamp 2' && machine.clamps === 1) return message('ledger.one clamp');
    if (isInUse(state, holder)) return message('ledger.clamp in use', { holder });
    const { piece, at } = seatOf(state, string);
    if (!isTense(state, string)) return message('ledger.clamp on slack', { string });
    if (!state.tense[piece]?.includes(at)) return message('ledger.clamp inside', { string });
    // A flying clamp wants a string under tension beside this one, near enough for both its jaws.
    if (machine.clampKind === 'flying' && !state.strung.some((each) => runsBeside(string, each)))
      return message('ledger.no neighbour', { string });
    return undefined;
  }

  function mayTie(action: Extract<Action, { do: 'tie' }>): Message | undefined {
    const { string } = action;
    const { piece, at } = seatOf(state, string);
    if (!isLast(state, action)) return message('ledger.no end', { string });
    if (isTied(state, action)) return message('ledger.tied twice', { string });
    if (!state.tense[piece]?.includes(at)) return message('ledger.tied unpulled', { string });
    if (lastPull(state, string) !== action.way) return message('ledger.tied early', { string });
    if (!state.holds.some((hold) => hold.piece === piece && hold.at === at))
      return message('ledger.tied unheld', { string });
    const [hole, right] = [placeName(action.at), knotAt(action)];
    if (hole !== right) return message('ledger.tied elsewhere', { string, right, hole });
    const over = shutOut(hole);
    return over === undefined
      ? undefined
      : message('ledger.under a run, knot', { hole, over, string });
  }

  const mayRelease = (by: Hold['by']): Message | undefined =>
    isInUse(state, by) ? undefined : message('ledger.holds nothing', { by });

  function mayDo(action: Action): Message | undefined {
    switch (action.do) {
      case 'thread':
        return mayThread(action.string, action.through);
      case 'open':
        return mayOpen(action.at);
      case 'grip outside':
        return mayGrip(action);
      case 'pull':
        return mayPull(action);
      case 'let go':
        return mayRelease('head');
      case 'clamp':
        return mayClamp(action);
      case 'free':
        return mayRelease(action.holder);
      case 'tie':
        return mayTie(action);
      default:
        // An action that nobody judges does not compile.
        return action satisfies never;
    }
  }

  function take(action: Action): Message | undefined {
    const problem = mayDo(action);
    if (problem) return problem;
    state = apply(state, action);
    return slackIn(state);
  }

  return { take, unfinished: () => unfinishedIn(state), pulls: () => pullsIn(state) };
}

/** What is slack; nothing while both ends of every piece are held. */
function slackIn({ layout, tense, holds }: BenchState): Message | undefined {
  for (const [piece, stretch] of tense.entries()) {
    if (!stretch) continue;
    for (const [end, way] of [
      [stretch[0], -1],
      [stretch[1], 1],
    ] as const)
      if (
        !holds.some(
          (hold) => hold.piece === piece && (hold.at === end || hold.at === end + way / 2),
        )
      )
        return message('ledger.slack', { string: layout.pieces[piece]?.[end] ?? '' });
  }
  return undefined;
}

function unfinishedIn({ layout, tense, holds, pulls, strands }: BenchState): Message | undefined {
  const alone = new Set(pulls.flatMap((pull) => (pull.alone ? [pull.string] : [])));
  for (const [piece, strings] of layout.pieces.entries()) {
    const [first = '', last = ''] = [strings[0], strings.at(-1)];
    const stretch = tense[piece];
    if (!stretch || stretch[1] - stretch[0] !== strings.length - 1)
      return message('ledger.not all in', { first, last });
    const never = strings.find((string) => !alone.has(string));
    if (never !== undefined) return message('ledger.never in full', { string: never });
    const own = holds.filter((hold) => hold.piece === piece);
    const left = own.find(({ by }) => by !== 'knot');
    if (left) return message('ledger.still on', { by: left.by });
    if (own.length !== 2) return message('ledger.not tied', { first, last });
  }
  const [hole] = strands;
  return hole === undefined ? undefined : message('ledger.strand left', { hole });
}

const pullsIn = ({ pulls }: BenchState): ReadonlyMap<string, number> =>
  new Map(pulls.map(({ string, pullN }) => [string, pullN]));
