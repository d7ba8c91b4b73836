/** The whole job at the bench as one ordered list of steps, each proved legal by the ledger. */
import { pathProblem } from '../path/path-proof';
import type { StringName } from '../terms/string-name';
import type { Newtons } from '../measure/quantities';
import { setPull, type BenchPlan, type BenchStep, type StepKind } from './plan';
import { message, type Message } from '../terms/words/english';
import { withTips } from './tips';
import { openLedger, type Ledger } from './clamp-proof';
import type { Path } from '../path/path';
import { imbalances, inOrderOf } from '../path/pull-order';
import { refused, success, type Result } from '../terms/result';
import { stringingSteps } from './stringing/stringing';
import { stateAfter } from './state';
import { knotPull } from '../advice/tension';
import { formatTension, roundToTicketStep } from '../measure/units';

/** How long and how hard a length is stretched before it goes in. From memory. */
const PRE_STRETCH = { seconds: 30, share: 0.5 };

export interface Sequence {
  readonly steps: readonly BenchStep[];
  /** The path with its strings in the order in which they are pulled. */
  readonly path: Path;
  /** The last pull of each string, N. */
  readonly pulls: ReadonlyMap<string, number>;
  /** The largest difference between left and right while the mains go in, N. */
  readonly imbalanceN: Newtons;
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
 *
 * @example
 * benchSequence({ ...usual.plan, machine: { ...usual.plan.machine, startingClamps: 0 } }).code // 'ledger.no starting clamp'
 */
export function benchSequence(plan: BenchPlan): Result<Sequence> {
  const { bed, tension, custom } = plan;
  const path = inOrderOf(plan.path, bed.spec.sport, custom);
  const flaw = pathProblem(bed, path);
  if (flaw) return refused(flaw);
  const set = setPull(bed, tension);
  const ledger = benchLedger(plan, path);
  const steps = [...stepsBefore(plan), ...stringingSteps({ ...plan, path }), ...STEPS_AFTER];
  for (const { actions } of steps)
    for (const action of actions) {
      const problem = ledger.take(action);
      if (problem) return refused(problem);
    }
  const problem = ledger.unfinished();
  if (problem) return refused(problem);
  return success({
    steps: withTips({ ...plan, path }, steps),
    path,
    pulls: ledger.pulls(),
    imbalanceN: Math.max(0, ...imbalances(path.order, set).map(Math.abs)),
  });
}

const step = (
  kind: StepKind,
  words: readonly Message[],
  more: Pick<BenchStep, 'pullN' | 'why' | 'caution'> = {},
): BenchStep => ({ kind, words, actions: [], ...more });

function stepsBefore({ bed, tension, machine, preStretch }: BenchPlan): readonly BenchStep[] {
  const spreaders = bed.spec.sport === 'badminton' ? [message('clause.load spreaders')] : [];
  return [
    step('inspect', [message('step.inspect')], {
      why: message('step.inspect.why'),
      caution: message('step.inspect.caution'),
    }),
    step('cut out', [message('step.cut out')], {
      why: message('step.cut out.why'),
      caution: message('step.cut out.caution'),
    }),
    ...preStretch.map((piece) => {
      const n = (piece === 'crosses' ? tension.crossN : tension.mainN) * PRE_STRETCH.share;
      const figure = formatTension(roundToTicketStep(n, tension.unit), tension.unit);
      return step(
        'pre-stretch',
        [message('step.pre-stretch', { piece, seconds: PRE_STRETCH.seconds, figure })],
        { caution: message('step.pre-stretch.caution') },
      );
    }),
    step('mount', [message(`step.mount.${machine.mounts}`), ...spreaders], {
      why: message('step.mount.why'),
      caution: message('step.mount.caution'),
    }),
    step('set tension', [message('step.set tension.mains')], { pullN: tension.mainN }),
  ];
}

const STEPS_AFTER: readonly BenchStep[] = [
  step('straighten', [message('step.straighten')], { why: message('step.straighten.why') }),
  step('trim', [message('step.trim')], { caution: message('step.trim.caution') }),
  // What is amiss can be mended as long as the mounts hold the hoop.
  step('last look', [message('step.last look')]),
  step('release', [message('step.release')]),
];

/**
 * Strings that are in when so many steps are done, in the order in which they came.
 *
 * @example
 * strungAfter(usual.sequence, 6) // ['M1L', 'M1R']
 */
export function strungAfter(
  { path, steps }: Pick<Sequence, 'path' | 'steps'>,
  done: number,
): readonly StringName[] {
  return stateAfter(path, steps, done).strung;
}

/**
 * After how many steps the bed can be looked over: the last string is in and its knot is tied.
 *
 * @example
 * usual.sequence.steps[lastLookFrom(usual.sequence)].kind // 'straighten'
 */
export const lastLookFrom = ({ steps }: Pick<Sequence, 'steps'>): number =>
  steps.length - STEPS_AFTER.length;
