/** The whole job at the bench as one ordered list of steps, each proved legal by the ledger. */
import type { Bed } from './bed';
import { coveredHoles, type Covered } from './covers';
import type { HouseRules } from './house-rules';
import {
  MACHINE_CLAMPS,
  openLedger,
  type Action,
  type BenchMachine,
  type Holder,
  type Way,
} from './ledger';
import type { Path } from './path';
import { imbalances, inOrderOf } from './pull-order';
import { failure, success, type Result } from './result';
import { isInside, isMain, placeName, type HolePlace } from './segments';
import { knotPull, steppedPulls } from './tension';
import type { Knot } from './tie-off';
import { formatTension, newtons, type TicketTension } from './units';

/** How a bench goes about what schools differ on. */
export type BenchCustom = Pick<HouseRules, 'ahead' | 'start' | 'firstCrosses' | 'knotPull'>;

export const USUAL_MACHINE: BenchMachine = { clamps: 2, startingClamps: 1 };

export type StepKind =
  | 'inspect'
  | 'cut out'
  | 'mount'
  | 'set tension'
  | 'start'
  | 'open a hole'
  | 'pull'
  | 'pull again'
  | 'tie'
  | 'straighten'
  | 'trim'
  | 'release'
  | 'last look';

export interface BenchStep {
  readonly kind: StepKind;
  /** One line of words, as it is read at the machine. */
  readonly words: string;
  readonly string?: string;
  /** Where the head pulls it. */
  readonly at?: HolePlace;
  /** What the head is set to, N. */
  readonly n?: number;
  readonly caution?: string;
  readonly actions: readonly Action[];
}

export interface Sequence {
  readonly steps: readonly BenchStep[];
  /** The path with its strings in the order in which they are pulled. */
  readonly path: Path;
  /** The last pull of each string, N. */
  readonly pulls: ReadonlyMap<string, number>;
  /** The largest difference between left and right while the mains go in, N. */
  readonly imbalanceN: number;
}

/** What each string is set to, N: outer strings are stepped down where the maker says so. */
export function setPull(
  { spec, mainsPerSide }: Bed,
  { mainN, crossN }: Pick<TicketTension, 'mainN' | 'crossN'>,
): (string: string) => number {
  const down = spec.stringing.stepDown;
  return (string) => {
    const number = Number.parseInt(string.slice(1), 10);
    const [n, fromRim] = isMain(string)
      ? [mainN, mainsPerSide - number]
      : [crossN, Math.min(number - 1, spec.pattern.crosses - number)];
    if (!down) return n;
    const stepped = steppedPulls(n, down.strings, newtons(down.by, down.unit));
    return stepped[down.strings - 1 - fromRim] ?? n;
  };
}

export interface BenchPlan {
  readonly bed: Bed;
  readonly path: Path;
  readonly tension: TicketTension;
  readonly custom: BenchCustom;
  readonly machine: BenchMachine;
}

/**
 * Every step of a job, from the look at the frame to the last look at the bed; or why this frame,
 * method, custom and machine do not go together.
 */
export function benchSequence(plan: BenchPlan): Result<Sequence> {
  const { bed, tension, custom, machine } = plan;
  const path = inOrderOf(plan.path, bed.spec.sport, custom);
  const ledger = openLedger(bed, path, machine);
  const steps: BenchStep[] = [];
  let problem: string | undefined;
  const write: Write = (kind, words, actions = [], more = {}) => {
    for (const action of actions) problem ??= ledger.take(action);
    if (problem === undefined) steps.push({ kind, words, actions, ...more });
  };
  write('inspect', 'Look the frame over: cracks, sunken or split grommets, the bumper', [], {
    caution: 'Never mount a cracked frame: at tension every fault shows.',
  });
  write('cut out', 'Cut the old strings out from the centre, in a plus', [], {
    caution: 'Old strings are loaded: glasses on, cutters pointing away.',
  });
  write(
    'mount',
    `Mount it, finger-tight at head and throat, palm-tight at the sides, then a quarter turn${bed.spec.sport === 'badminton' ? '; load spreaders at the head' : ''}`,
    [],
    { caution: 'Slipping mounts break rackets and hands. The maker’s instructions come first.' },
  );
  write('set tension', 'Set the head for the mains', [], { n: tension.mainN });
  stringBed({ ...plan, path }, write);
  write('straighten', 'Straighten all strings, both ways at once');
  write('trim', 'Cut the tails flush, on a slant, now that both knots have taken load');
  write('release', 'Release the mounts and take the racket off');
  write('last look', 'Weave, gaps, knots; no crossover outside, no crushed spot');
  problem ??= ledger.unfinished();
  if (problem !== undefined) return failure(problem);
  const set = setPull(bed, tension);
  return success({
    steps,
    path,
    pulls: ledger.pulls,
    imbalanceN: Math.max(0, ...imbalances(path.order, set).map(Math.abs)),
  });
}

/**
 * Strings that are in when so many steps are done, in the order in which they came. What a starting
 * clamp holds is in as soon as its neighbour is pulled through it.
 */
export function strungAfter(steps: readonly BenchStep[], done: number): readonly string[] {
  const strung = steps.slice(0, done).flatMap(({ kind, string }, i) => {
    const comes = kind === 'pull' || kind === 'pull again' || (kind === 'start' && i + 1 < done);
    return comes && string !== undefined ? [string] : [];
  });
  return [...new Set(strung)];
}

type Write = (
  kind: StepKind,
  words: string,
  actions?: readonly Action[],
  more?: Pick<BenchStep, 'string' | 'at' | 'n' | 'caution'>,
) => void;

interface Seat {
  readonly piece: number;
  readonly index: number;
  readonly ends: readonly [HolePlace, HolePlace];
}

/** Writes every pull and knot, from the centre mains to the last cross. */
function stringBed({ bed, path, tension, custom }: BenchPlan, write: Write): void {
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
  const isLast = (string: string, way: Way) =>
    seat(string).index === (way === 1 ? (lengths[seat(string).piece] as number) - 1 : 0);

  /** The clamp at each free end of what is strung, by piece and way. */
  const clamps = new Map<string, Holder>();
  const armOf = (string: string, way: Way) => `${seat(string).piece} ${way}`;
  const clampOn = (string: string, way: Way): readonly Action[] => {
    const arm = armOf(string, way);
    const known = clamps.get(arm);
    const taken = [...clamps.values()];
    const holder =
      known ?? MACHINE_CLAMPS.find((clamp) => !taken.includes(clamp)) ?? ('clamp 2' as const);
    clamps.set(arm, holder);
    return [
      ...(known ? [{ do: 'free', holder } as const] : []),
      { do: 'clamp', holder, string },
      { do: 'let go' },
    ];
  };

  const woven = new Set<string>();
  const thread = (...strings: readonly (string | undefined)[]): readonly Action[] =>
    strings.flatMap((string) => {
      if (string === undefined || woven.has(string)) return [];
      woven.add(string);
      return [{ do: 'thread', string } as const];
    });

  const covered = coveredHoles(bed, path);
  const open = (holds: (cover: Covered) => boolean) => {
    const needed = covered.filter(
      (cover) => holds(cover) && (cover.needs.knot || !woven.has(cover.needs.string)),
    );
    for (const [name, { at, before }] of new Map(needed.map((each) => [placeName(each.at), each])))
      write(
        'open a hole',
        `Open ${name} before ${before.string} is ${before.knot ? 'tied' : 'pulled'}: pre-thread it or leave a scrap strand`,
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
  const tied = new Set<Knot>();
  const pulled = new Set<string>();
  /** The first cross that hangs on the starting clamp until it is pulled again. */
  let hanging: string | undefined;

  const knotFigure = (string: string) => knotPull(set(string), tension.unit, custom.knotPull);
  const figure = (n: number) => formatTension(n, tension.unit);

  function pull(string: string, way: Way, before: readonly Action[], words: string): void {
    const last = isLast(string, way);
    const n = last ? knotFigure(string) : set(string);
    openBefore(string);
    write(
      'pull',
      `${words}${last ? ', the last before its knot' : ''}${isMain(string) ? '' : '; straighten it while it is under pull'}`,
      [...before, { do: 'pull', string, way, n }, ...clampOn(string, way)],
      { string, at: endOf(string, way), n },
    );
    if (last && custom.knotPull === 'pull again')
      write(
        'pull again',
        `Pull ${string} once more at ${figure(n)}, the clamp base pushed towards the head`,
        [{ do: 'pull', string, way, n }, ...clampOn(string, way)],
        { string, at: endOf(string, way), n },
      );
    pulled.add(string);
  }

  function tieWhatMay(done: number): void {
    for (const { knot, way, string } of knots) {
      if (tied.has(knot) || knot.tiedAfter > done || !pulled.has(string)) continue;
      if (string === hanging) {
        const n = knotFigure(string);
        write(
          'pull again',
          `Come back to ${string}: pull it from its tail, take the starting clamp off, clamp it`,
          [
            { do: 'pull', string, way, n },
            { do: 'free', holder: 'starting clamp' },
            ...clampOn(string, way),
          ],
          { string, at: endOf(string, way), n },
        );
        hanging = undefined;
      }
      open(({ before }) => before.string === string && before.knot);
      const holder = clamps.get(armOf(string, way)) ?? 'clamp 1';
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
      clamps.delete(armOf(string, way));
      tied.add(knot);
    }
  }

  openBefore(one);
  openBefore(other);
  const pair = thread(one, other);
  if (custom.start === 'starting clamp') {
    write(
      'start',
      `Thread ${one} and ${other} from the centre loop; starting clamp outside on ${other}`,
      [...pair, { do: 'grip outside', string: other, way: wayOf(other) }],
      { string: other, at: endOf(other, wayOf(other)) },
    );
    pull(one, wayOf(one), [], `Pull ${one} and clamp it`);
    const [way, n] = [wayOf(other), set(other)];
    write(
      'pull',
      `Come back: pull ${other} on its own, take the starting clamp off, clamp it`,
      [
        { do: 'pull', string: other, way, n },
        { do: 'free', holder: 'starting clamp' },
        ...clampOn(other, way),
      ],
      { string: other, at: endOf(other, way), n },
    );
    pulled.add(other);
  } else {
    const n = set(one) / 2;
    write(
      'start',
      `Thread ${one} and ${other} from the centre loop; pull both together at half tension and clamp both`,
      [
        ...pair,
        { do: 'pull', string: one, way: wayOf(one), n, and: { string: other, way: wayOf(other) } },
        ...clampOn(one, wayOf(one)).filter((action) => action.do !== 'let go'),
        ...clampOn(other, wayOf(other)),
      ],
      { string: one, at: endOf(one, wayOf(one)), n },
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
    } else if (seat(string).piece !== seat(one).piece && clampsOf(seat(string).piece) === 0) {
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

  function clampsOf(piece: number): number {
    return [...clamps.keys()].filter((arm) => arm.startsWith(`${piece} `)).length;
  }

  /** The first two crosses of a piece of their own; `first` comes first in the order of the pulls. */
  function startCrosses(first: string, second: string): void {
    write('set tension', 'Set the head for the crosses', [], { n: tension.crossN });
    const [top, next] = seat(first).index === 0 ? [first, second] : [second, first];
    if (custom.firstCrosses === 'two together') {
      write(
        'start',
        `Weave ${top} and ${next}; starting clamp outside at the tail of ${top}`,
        [...thread(top, next), { do: 'grip outside', string: top, way: -1 }],
        { string: top, at: endOf(top, -1) },
      );
      pull(next, 1, [], `Pull ${next}, and ${top} through with it`);
      hanging = top;
    } else {
      write(
        'start',
        `Weave ${top} and ${next}; starting clamp outside between the two`,
        [...thread(top, next), { do: 'grip outside', string: next, way: -1 }],
        { string: next, at: endOf(next, -1) },
      );
      pull(next, 1, [], `Pull ${next}`);
      const n = knotFigure(top);
      openBefore(top);
      write(
        'pull',
        `Pull ${top} alone from its tail, take the starting clamp off, clamp it`,
        [
          { do: 'pull', string: top, way: -1, n },
          { do: 'free', holder: 'starting clamp' },
          ...clampOn(top, -1),
        ],
        { string: top, at: endOf(top, -1), n },
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
