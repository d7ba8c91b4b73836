/** Practice at the bench: a question before each pull and knot, with what was right and why. */
import type { Bed } from '../frame/bed';
import type { BenchCustom, BenchStep } from './plan';
import { schoolWords, USUAL_HOUSE } from '../house/house-rules';
import { otherSide } from '../terms/ends';
import { placeName, type HolePlace } from '../path/segments';
import { isMain, mainName } from '../terms/string-name';
import { sideOf } from '../path/pull-order';
import type { Sequence } from './sequence';
import { inTensionUnit, newtons, type TensionUnit } from '../measure/units';

export interface Question {
  readonly ask: string;
  readonly options: readonly string[];
  readonly right: string;
  /** Why that is right. */
  readonly why: string;
}

export interface QuizPlan {
  readonly bed: Bed;
  readonly sequence: Sequence;
  readonly custom: BenchCustom;
  readonly unit: TensionUnit;
}

const MOST_OPTIONS = 4;

/** A number from 0 up to 1 that is the same for the same step and seed (a hash, not a die). */
function chance(seed: number, step: number, salt: number): number {
  let hash = Math.imul(seed + 1, 0x9e3779b1) ^ Math.imul(step + 1, 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 15) ^ salt, 0xc2b2ae35);
  return ((hash ^ (hash >>> 13)) >>> 0) / 2 ** 32;
}

/**
 * The question before step number `at`; undefined where there is nothing to ask. `seed` makes one round
 * differ from the next: which question a step gets, and in which order its answers stand.
 *
 * @example
 * questionAt({ bed: usual.bed, sequence: usual.sequence, custom: usual.house, unit: 'kg' }, 12, 1)?.right // '24 kg'
 */
export function questionAt(plan: QuizPlan, at: number, seed: number): Question | undefined {
  const step = plan.sequence.steps[at];
  if (!step) return undefined;
  const ways = QUESTIONS.flatMap((question) => question(plan, step, at) ?? []);
  const chosen = ways[Math.floor(chance(seed, at, 1) * ways.length)];
  if (!chosen) return undefined;
  const others = [...new Set(chosen.wrong)].filter((option) => option !== chosen.right);
  const options = [chosen.right, ...others.slice(0, MOST_OPTIONS - 1)];
  if (options.length < 2) return undefined;
  return {
    ask: chosen.ask,
    right: chosen.right,
    why: chosen.why,
    options: options
      .map((option, i) => ({ option, key: chance(seed, at, i + 2) }))
      .toSorted((a, b) => a.key - b.key)
      .map(({ option }) => option),
  };
}

type Draft = Omit<Question, 'options'> & { readonly wrong: readonly string[] };
type Asks = (plan: QuizPlan, step: BenchStep, at: number) => Draft | undefined;

const whichString: Asks = ({ sequence, custom }, { kind, string }, at) => {
  if (kind !== 'pull' || string === undefined) return undefined;
  const { steps, path } = sequence;
  const later = steps
    .slice(at + 1)
    .flatMap((step) => (step.kind === 'pull' ? (step.string ?? []) : []));
  const mirror = isMain(string)
    ? [mainName(Number.parseInt(string.slice(1), 10), otherSide(sideOf(string)))]
    : [];
  const house = { ...USUAL_HOUSE, ...custom };
  return {
    ask: 'Which string is pulled next?',
    right: string,
    wrong: [...mirror, ...later].filter((each) => path.order.includes(each)),
    why: isMain(string)
      ? `Mains ahead on one side here: ${schoolWords(house, 'ahead')}.`
      : `Crosses go in from their start, one after the other; the first two: ${schoolWords(house, 'firstCrosses')}.`,
  };
};

const whichHole: Asks = ({ bed }, { kind, string, at }) => {
  if ((kind !== 'pull' && kind !== 'tie') || string === undefined || !at) return undefined;
  return {
    ask:
      kind === 'tie'
        ? `Where is the tail of ${string} tied off?`
        : `Where does the head pull ${string}?`,
    right: placeName(at),
    wrong: nearPlaces(bed, at),
    why:
      kind === 'tie'
        ? `The tie-off hole nearest to the last hole of ${string} is ${placeName(at)}${at.hole.tieOff.includes(at.side) ? ', bored for a knot' : ''}.`
        : `${string} leaves the bed at ${placeName(at)}: follow it hole by hole from the side it comes in.`,
  };
};

const whatTension: Asks = ({ sequence, unit }, { kind, string, pullN: n }) => {
  if (n === undefined || (kind !== 'pull' && kind !== 'set tension' && kind !== 'start'))
    return undefined;
  const figure = (of: number) => `${inTensionUnit(of, unit)} ${unit}`;
  const others = sequence.steps.flatMap((step) => step.pullN ?? []);
  const step = newtons(unit === 'kg' ? 1 : 2, unit);
  const last = string !== undefined && sequence.path.knots.some((knot) => knot.string === string);
  return {
    ask: string === undefined ? 'What is the head set to now?' : `What is ${string} pulled at?`,
    right: figure(n),
    wrong: [...others, n + step, n - step].map(figure),
    why: last
      ? 'It is the last pull before its knot, which draws back a little.'
      : kind === 'start'
        ? 'Both are in the gripper at half, then each is pulled in full.'
        : string === undefined
          ? 'The ticket says mains first, crosses second.'
          : 'Mains are pulled at the first figure of the ticket, crosses at the second; outermost strings lower where the maker says so.',
  };
};

const QUESTIONS: readonly Asks[] = [whichString, whichHole, whatTension];

/** Holes that are easily taken for this one: its neighbours, the other side, the other end. */
function nearPlaces(bed: Bed, { hole, side }: HolePlace): readonly string[] {
  const near = bed.holes.filter(
    (other) => Math.abs(other.number - hole.number) <= 1 && other !== hole,
  );
  return [
    ...near.filter(({ end }) => end === hole.end).map((each) => placeName({ hole: each, side })),
    placeName({ hole, side: otherSide(side) }),
    ...near.filter(({ end }) => end !== hole.end).map((each) => placeName({ hole: each, side })),
  ];
}
