/** Practice at the bench: a question before each pull and knot, with what was right and why. */
import type { Bed } from '../frame/bed';
import type { BenchCustom, BenchStep } from './plan';
import { schoolWords, USUAL_HOUSE } from '../house/house-rules';
import { otherSide, type Side } from '../terms/ends';
import { placeName, type HolePlace } from '../path/segments';
import { isMain, mainName, type StringName } from '../terms/string-name';
import { furthestAhead, pairedMains, sideOf } from '../path/pull-order';
import { strungAfter, type Sequence } from './sequence';
import { formatTension, newtons, type TensionUnit } from '../measure/units';

export interface Option {
  readonly words: string;
  /** What speaks against it; undefined where it is as right as what the job goes on with. */
  readonly against: string | undefined;
}

export interface Question {
  readonly ask: string;
  readonly options: readonly Option[];
  /** What the job goes on with. */
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
 * differ from the next: which question a step gets, and in which order its answers stand. What the rule that it names
 * allows as well (the mirror image, an equal choice) is right too, and each wrong answer has its own reason.
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
  const { ask, right, why } = chosen;
  const others = new Map(
    chosen.others.flatMap((each) => (each.words === right ? [] : [[each.words, each] as const])),
  );
  const wrong = [...others.values()].filter(({ against }) => against !== undefined);
  // Where nothing speaks against anything, there is nothing to ask.
  if (wrong.length === 0) return undefined;
  const equal = [...others.values()].filter(({ against }) => against === undefined).slice(0, 1);
  const options = [{ words: right, against: undefined }, ...equal, ...wrong].slice(0, MOST_OPTIONS);
  return {
    ask,
    right,
    why,
    options: options
      .map((option, i) => ({ option, key: chance(seed, at, i + 2) }))
      .toSorted((a, b) => a.key - b.key)
      .map(({ option }) => option),
  };
}

type Draft = Omit<Question, 'options'> & { readonly others: readonly Option[] };
type Asks = (plan: QuizPlan, step: BenchStep, at: number) => Draft | undefined;

const numberOf = (string: StringName): number => Number.parseInt(string.slice(1), 10);

/** What speaks against pulling a main now: the rule of the house, or a main inside it that is not in yet. */
function againstMain(
  { bed, sequence, custom }: QuizPlan,
  main: StringName,
  isIn: ReadonlySet<StringName>,
): string | undefined {
  const side = sideOf(main);
  const next = pairedMains(sequence.path).find((each) => sideOf(each) === side && !isIn.has(each));
  if (next !== main) return `${next ?? 'Another main'} is before it on that side.`;
  const count = (of: Side) =>
    [...isIn].filter((each) => isMain(each) && sideOf(each) === of).length;
  const ahead = count(side) + 1 - count(otherSide(side));
  const most = furthestAhead({ ...USUAL_HOUSE, ...custom }.ahead, bed.spec.sport);
  return ahead > most
    ? `With it the ${side} would be ${ahead} mains ahead; ${most} is the most here.`
    : undefined;
}

function whichString(plan: QuizPlan, step: BenchStep, at: number): Draft | undefined {
  const { sequence, custom } = plan;
  const { kind, string } = step;
  if (kind !== 'pull' || string === undefined) return undefined;
  const { steps, path } = sequence;
  const isIn = new Set(strungAfter(sequence, at));
  // What is pulled again is in already, and nothing but the order of the house tells when.
  if (isIn.has(string)) return undefined;
  const later = steps
    .slice(at + 1)
    .flatMap((step) => (step.kind === 'pull' ? (step.string ?? []) : []));
  const house = { ...USUAL_HOUSE, ...custom };
  const paired = pairedMains(path);
  const byTurns = paired.includes(string);
  const mirror = byTurns ? [mainName(numberOf(string), otherSide(sideOf(string)))] : [];
  const otherNext = byTurns
    ? paired.filter((each) => sideOf(each) !== sideOf(string) && !isIn.has(each)).slice(0, 1)
    : [];
  const against = (other: StringName): string | undefined => {
    if (isIn.has(other)) return `${other} is in already.`;
    if (!byTurns || !paired.includes(other)) return `${string} is before it.`;
    return againstMain(plan, other, isIn);
  };
  return {
    ask: 'Which string is pulled next?',
    right: string,
    others: [...otherNext, ...mirror, ...later]
      .filter((each) => path.order.includes(each))
      .map((each) => ({ words: each, against: against(each) })),
    why: byTurns
      ? `Mains from the centre outwards; ahead on one side here: ${schoolWords(house, 'ahead')}.`
      : `Crosses go in from their start, one after the other; the first two: ${schoolWords(house, 'firstCrosses')}.`,
  };
}

/** Whether it is the first pull of a piece that may as well begin on the other side. */
function beginsEitherSide({ sequence: { path, steps } }: QuizPlan, at: number): boolean {
  const string = steps[at]?.string;
  const isCross = (step: BenchStep | undefined) =>
    step?.kind === 'pull' && step.string !== undefined && !isMain(step.string);
  return path.method === 'two-piece' && string !== undefined && steps.findIndex(isCross) === at;
}

function wherePulled(plan: QuizPlan, step: BenchStep, at: number): Draft | undefined {
  const { kind, string, at: place } = step;
  if (kind !== 'pull' || string === undefined || !place) return undefined;
  const free = beginsEitherSide(plan, at);
  return {
    ask: `Where does the head pull ${string}?`,
    right: placeName(place),
    others: nearPlaces(plan.bed, place).map((other) => ({
      words: placeName(other),
      against: free && other.hole === place.hole ? undefined : againstPlace(string, place, other),
    })),
    why: `${string} leaves the bed at ${placeName(place)}: follow it hole by hole from the side it comes in.`,
  };
}

function againstPlace(string: StringName, right: HolePlace, { hole, side }: HolePlace): string {
  if (hole.end !== right.hole.end) return `That is the other end: ${string} goes in there.`;
  if (side !== right.side) return `That is the other side: ${string} goes in there.`;
  const beyond = hole.number > right.hole.number ? 'beyond' : 'short of';
  return `That is one hole ${beyond} the one of ${string}, counted from the centre line.`;
}

function whereTied({ bed, sequence }: QuizPlan, step: BenchStep): Draft | undefined {
  const { kind, string, at } = step;
  const from = sequence.path.knots.find((knot) => knot.string === string && knot.hole === at?.hole);
  if (kind !== 'tie' || string === undefined || !at || !from) return undefined;
  const isBored = ({ hole, side }: HolePlace) => hole.tieOff.includes(side);
  const far = ({ hole }: HolePlace) => Math.abs(hole.arc - from.from.arc);
  const against = (other: HolePlace): string | undefined => {
    if (other.hole.end !== at.hole.end) return 'A tail is tied at the end at which it comes out.';
    if (other.side !== at.side) return 'A tail is tied on the side on which it comes out.';
    if (other.hole === from.from) return `That is the hole that ${string} itself fills.`;
    if (isBored(at) && !isBored(other)) return 'That hole is not bored for a knot.';
    return far(other) > far(at) + SAME_MM ? 'That hole is further along the frame.' : undefined;
  };
  return {
    ask: `Where is the tail of ${string} tied off?`,
    right: placeName(at),
    others: nearPlaces(bed, at).flatMap((other) => {
      const why = against(other);
      // A nearer hole that was not taken is full or lies across another run: too much for one question.
      return why === undefined && far(other) < far(at) - SAME_MM
        ? []
        : [{ words: placeName(other), against: why }];
    }),
    why: `The nearest hole to the last one of ${string} in which a knot has room is ${placeName(at)}${isBored(at) ? ', bored for it' : ''}.`,
  };
}

function whatTension({ sequence, unit }: QuizPlan, step: BenchStep): Draft | undefined {
  const { kind, string, pullN: n } = step;
  if (n === undefined || (kind !== 'pull' && kind !== 'set tension' && kind !== 'start'))
    return undefined;
  const others = sequence.steps.flatMap((step) => step.pullN ?? []);
  const apart = newtons(unit === 'kg' ? 1 : 2, unit);
  const last = string !== undefined && sequence.path.knots.some((knot) => knot.string === string);
  return {
    ask: string === undefined ? 'What is the head set to now?' : `What is ${string} pulled at?`,
    right: formatTension(n, unit),
    others: [...others, n + apart, n - apart].map((other) => ({
      words: formatTension(other, unit),
      against: other > n ? 'That is too much here.' : 'That is too little here.',
    })),
    why: last
      ? 'It is the last pull before its knot, which draws back a little.'
      : kind === 'start'
        ? 'Both are in the gripper at half, then each is pulled in full.'
        : string === undefined
          ? 'The ticket says mains first, crosses second.'
          : 'Mains are pulled at the first figure of the ticket, crosses at the second; outermost strings lower where the maker says so.',
  };
}

const QUESTIONS: readonly Asks[] = [
  whichString,
  // One question of the two, whichever the step is.
  (plan, step, at) => wherePulled(plan, step, at) ?? whereTied(plan, step),
  whatTension,
];

/** Holes so near to one another are equally far, mm. */
const SAME_MM = 0.5;

/** Holes that are easily taken for this one: its neighbours, the other side, the other end. */
function nearPlaces(bed: Bed, { hole, side }: HolePlace): readonly HolePlace[] {
  const near = bed.holes.filter(
    (other) => Math.abs(other.number - hole.number) <= 1 && other !== hole,
  );
  return [
    ...near.filter(({ end }) => end === hole.end).map((each) => ({ hole: each, side })),
    { hole, side: otherSide(side) },
    ...near.filter(({ end }) => end !== hole.end).map((each) => ({ hole: each, side })),
  ];
}
