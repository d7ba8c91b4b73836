/** The whole job at the bench as one ordered list of steps, each proved legal by the ledger. */
import { setPull, type BenchPlan, type BenchStep } from './plan';
import type { StringingMachine } from '../house/machine';
import { withTips } from './tips';
import { openLedger, type Ledger } from './ledger';
import type { Path } from '../path/path';
import { imbalances, inOrderOf } from '../path/pull-order';
import { failure, success, type Result } from '../terms/result';
import { stringBed, type Write } from './stringing';
import { knotPull } from '../advice/tension';
import { formatTension, roundToTicketStep } from '../measure/units';

/** How long and how hard a length is stretched before it goes in. From memory. */
const PRE_STRETCH = { seconds: 30, share: 0.5 };

const MOUNT_WORDS: Record<StringingMachine['mounts'], string> = {
  6: 'Mount it at six points, finger-tight at head and throat, palm-tight at the sides, then a quarter turn',
  4: 'Mount it at four points, finger-tight at head and throat, palm-tight beside them, then a quarter turn',
  2: 'Mount it at head and throat, snug and in line: two points leave the sides free, so go evenly',
};

export interface Sequence {
  readonly steps: readonly BenchStep[];
  /** The path with its strings in the order in which they are pulled. */
  readonly path: Path;
  /** The last pull of each string, N. */
  readonly pulls: ReadonlyMap<string, number>;
  /** The largest difference between left and right while the mains go in, N. */
  readonly imbalanceN: number;
}

/** The ledger of a job, its path in the order of the pulls, set to the figures of its ticket. */
export function benchLedger({ bed, tension, custom, machine }: BenchPlan, path: Path): Ledger {
  const set = setPull(bed, tension);
  return openLedger(bed, path, machine, {
    set,
    knot: (string) => knotPull(set(string), tension.unit, custom.knotPull),
  });
}

/**
 * Every step of a job, from the look at the frame to the last look at the bed; or why this frame,
 * method, custom and machine do not go together.
 */
export function benchSequence(plan: BenchPlan): Result<Sequence> {
  const { bed, tension, custom, machine } = plan;
  const path = inOrderOf(plan.path, bed.spec.sport, custom);
  const set = setPull(bed, tension);
  const ledger = benchLedger(plan, path);
  const steps: BenchStep[] = [];
  let problem: string | undefined;
  const write: Write = (kind, words, actions = [], more = {}) => {
    for (const action of actions) problem ??= ledger.take(action);
    if (problem === undefined) steps.push({ kind, words, actions, ...more });
  };
  write('inspect', 'Look the frame over: cracks, sunken or split grommets, the bumper', [], {
    why: 'A split grommet bares the string to the frame; extra work is agreed before it starts.',
    caution: 'Never mount a cracked frame: at tension every fault shows.',
  });
  write('cut out', 'Cut the old strings out from the centre, in a plus', [], {
    why: 'So the tension leaves the hoop evenly.',
    caution: 'Old strings are loaded: glasses on, cutters pointing away.',
  });
  for (const piece of plan.preStretch) {
    const n = (piece === 'crosses' ? tension.crossN : tension.mainN) * PRE_STRETCH.share;
    write(
      'pre-stretch',
      `Pre-stretch ${piece === 'whole' ? 'the length' : `the length for the ${piece}`} for ${PRE_STRETCH.seconds} s at about ${formatTension(roundToTicketStep(n, tension.unit), tension.unit)}`,
      [],
      { caution: 'A stretched length that lets go lashes back: glasses on, both ends made fast.' },
    );
  }
  write(
    'mount',
    `${MOUNT_WORDS[machine.mounts]}${bed.spec.sport === 'badminton' ? '; load spreaders at the head' : ''}`,
    [],
    {
      why: 'The most important minute of the job: the hoop keeps its shape by the mounts alone.',
      caution: 'Slipping mounts break rackets and hands. The maker’s instructions come first.',
    },
  );
  write('set tension', 'Set the head for the mains', [], { pullN: tension.mainN });
  stringBed({ ...plan, path }, write);
  write('straighten', 'Straighten all strings, both ways at once', [], {
    why: 'Soft strings notch, and stay where they are put now.',
  });
  write('trim', 'Cut the tails flush, on a slant, now that the knots have taken load', [], {
    caution: 'Cutters point away from the strings that stay.',
  });
  write('release', 'Release the mounts and take the racket off');
  write('last look', 'Weave, gaps, knots; no crossover outside, no crushed spot');
  problem ??= ledger.unfinished();
  if (problem !== undefined) return failure(problem);
  return success({
    steps: withTips({ ...plan, path }, steps),
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
