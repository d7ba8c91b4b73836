/** What a job at the bench is planned from, and what one step of it is. */
import { isMain, type StringName } from '../terms/string-name';
import type { Newtons } from '../measure/quantities';
import type { Bed } from '../frame/bed';
import type { BenchNote } from './notes';
import type { HouseRules } from '../house/house-rules';
import type { Action } from './actions';
import type { Path } from '../path/path';
import { pullLimits } from '../measure/pull-limits';
import { type HolePlace, type Piece } from '../path/segments';
import { steppedPulls } from '../advice/tension';
import { newtons, type Pulls, type TicketTension } from '../measure/units';
import type { StringingMachine } from '../house/machine';
import type { Message } from '../terms/words/english';

/** How a bench goes about what schools differ on. */
export type BenchCustom = Pick<
  HouseRules,
  'ahead' | 'start' | 'firstCrosses' | 'topCross' | 'knotPull' | 'tips'
>;

export type StepKind =
  | 'inspect'
  | 'cut out'
  | 'pre-stretch'
  | 'mount'
  | 'set tension'
  | 'start'
  | 'open a hole'
  | 'bridge'
  | 'pull'
  | 'pull again'
  | 'tie'
  | 'straighten'
  | 'trim'
  | 'release'
  | 'last look';

export interface BenchStep {
  readonly kind: StepKind;
  /** One line of words, as it is read at the machine: clauses that go on from each other. */
  readonly words: readonly Message[];
  readonly string?: StringName;
  /** Where it comes in, and where the head pulls it. */
  readonly from?: HolePlace;
  readonly at?: HolePlace;
  /** What the head is set to, N. */
  readonly pullN?: Newtons;
  readonly why?: Message;
  readonly caution?: Message;
  /** What the frame or the racket has to be reminded of here. */
  readonly notes?: readonly string[];
  /** What the trade says at this step. */
  readonly tips?: readonly Message[];
  readonly actions: readonly Action[];
}

export interface BenchPlan {
  readonly bed: Bed;
  readonly path: Path;
  readonly tension: TicketTension;
  readonly custom: BenchCustom;
  readonly machine: StringingMachine;
  /** Pieces that are stretched before they go in. */
  readonly preStretch: readonly Piece['name'][];
  /** By how much a piece was cut short of its plan, mm; what has enough has no entry. */
  readonly shortMm: Partial<Record<Piece['name'], number>>;
  /** Whether a soft string is among the two; undefined when nobody knows. */
  readonly soft?: boolean;
  /** Notes of the frame and of the racket. */
  readonly notes?: readonly BenchNote[];
}

/**
 * What each string is set to, N: outer strings are stepped down where the maker says so.
 *
 * @example
 * setPull(usual.bed, usual.tension)('M3L') // 235.4
 */
export function setPull(
  { spec, mainsPerSide }: Bed,
  { mainN, crossN }: Pulls,
): (string: StringName) => number {
  const down = spec.stringing.stepDown;
  return (string) => {
    const number = Number.parseInt(string.slice(1), 10);
    const [n, fromRim] = isMain(string)
      ? [mainN, mainsPerSide - number]
      : [crossN, Math.min(number - 1, spec.pattern.crosses - number)];
    if (!down) return n;
    const { leastN } = pullLimits(spec.sport);
    const stepped = steppedPulls(n, down.strings, newtons(down.by, down.unit), leastN);
    return stepped[down.strings - 1 - fromRim] ?? n;
  };
}

/**
 * The next hole that a run is about to cover, and in how many steps; undefined when none is near.
 *
 * @example
 * coveredSoon(usual.sequence.steps, 20, 40)?.step.kind // 'open a hole'
 */
export function coveredSoon(
  steps: readonly BenchStep[],
  done: number,
  within = 8,
): { readonly step: BenchStep; readonly inSteps: number } | undefined {
  const ahead = steps.slice(done, done + within).findIndex(({ kind }) => kind === 'open a hole');
  const step = steps[done + ahead];
  return ahead < 0 || !step ? undefined : { step, inSteps: ahead };
}

/**
 * What the head pulls in a step, N; undefined where it pulls nothing.
 *
 * @example
 * headPull(usual.sequence.steps.find(({ string }) => string === 'M3L')) // 235.4
 */
export function headPull({ actions }: BenchStep): number | undefined {
  return actions.find((action) => action.do === 'pull')?.pullN;
}
