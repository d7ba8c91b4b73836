/** Which questions of the talk are worth asking first: those whose answers would move this job most. */
import type { TensionUnit } from '../measure/units';
import type { Sport } from '../terms/sport';
import { bestBed, reasonsFor } from './advise';
import { STEP_N, type AdviceCase, type Strung } from './rule';
import { climb } from './staircase';
import { talkSchema, wantsOf, type Talk } from './talk';

/** The questions that are answered by a choice, in the order in which they are asked at the counter. */
export const QUESTIONS = [
  'age',
  'level',
  'swing',
  'style',
  'breaks',
  'arm',
  'wants',
  'faults',
  'budget',
  'court',
  'season',
  'weather',
  'stiffness',
  'grip',
] as const;
export type Question = (typeof QUESTIONS)[number];

/** Pain decides before feel does, and how the last job played before what one would like. Common practice, no source. */
const isAlwaysAsked = (question: Question, { last }: Pick<AdviceCase, 'last'>): boolean =>
  question === 'arm' || (question === 'faults' && last !== undefined);

/** So much tension is worth a point of a setup. From memory. */
const STEPS_A_POINT = 1;

const { shape } = talkSchema;
/** What each question may be answered with, as the talk would have it then. */
function answersTo(question: Question, talk: Talk, sport: Sport): readonly Talk[] {
  const of = (part: Partial<Talk>): Talk => ({ ...talk, ...part });
  const racket = (part: Partial<Talk['racket']>): Talk =>
    of({ racket: { ...talk.racket, ...part } });
  switch (question) {
    case 'wants':
      return wantsOf(sport).map(({ value }) => of({ wants: [value] }));
    case 'faults':
      return shape.faults.element.options.map((fault) => of({ faults: [fault] }));
    case 'stiffness':
      return shape.racket.shape.stiffness
        .unwrap()
        .options.map((stiffness) => racket({ stiffness }));
    case 'grip':
      return shape.racket.shape.grip.unwrap().options.map((grip) => racket({ grip }));
    default:
      return shape[question].unwrap().options.map((answer) => of({ [question]: answer }));
  }
}

function isAnswered(question: Question, talk: Talk): boolean {
  if (question === 'stiffness' || question === 'grip') return talk.racket[question] !== null;
  const answer = talk[question];
  return answer !== null && answer.length > 0;
}

/** How much the rules speak for a bed, in points. */
const favour = (bed: Strung, about: AdviceCase): number =>
  reasonsFor(bed, about).reduce((sum, { points }) => sum + points, 0);

/**
 * The questions that nobody has answered yet, those first whose answers could move the job furthest: by steps of tension of the
 * bed that the rules speak for now, and by how much they would rather speak for another. The arm is always among
 * the first, and how the last job played where there was one.
 * Source: the figures of the advice itself; what a point is worth is from memory.
 *
 * @param most how many are asked
 * @returns in the order in which they are asked at the counter
 * @example
 * questionsToAsk(usual.about, 'kg', 3).includes('arm') // true
 */
export function questionsToAsk(
  about: AdviceCase,
  unit: TensionUnit,
  most: number,
): readonly Question[] {
  const bed = bestBed(about);
  const now = climb(about, bed, unit).exact;
  const moves = (talk: Talk): number => {
    const answered = { ...about, talk };
    const then = climb(answered, bed, unit).exact;
    const steps = Math.abs(now.mainN + now.crossN - then.mainN - then.crossN) / (2 * STEP_N);
    const regret = favour(bestBed(answered), answered) - favour(bed, answered);
    return steps + STEPS_A_POINT * Math.max(0, regret);
  };
  const furthest = (question: Question): number =>
    isAlwaysAsked(question, about)
      ? Infinity
      : Math.max(0, ...answersTo(question, about.talk, about.spec.sport).map(moves));
  const asked = QUESTIONS.filter((question) => !isAnswered(question, about.talk));
  const first = new Set(
    asked
      .map((question) => ({ question, moves: furthest(question) }))
      .toSorted((a, b) => b.moves - a.moves)
      .slice(0, most)
      .map(({ question }) => question),
  );
  return asked.filter((question) => first.has(question));
}
