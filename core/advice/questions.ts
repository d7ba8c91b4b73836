/** Which questions of the talk are worth asking first: those whose answers would move this job most. */
import type { Sport } from '../terms/sport';
import { advise, type AdviceMeans } from './advise';
import { STEP_N, type AdviceCase } from './rule';
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
  'asksFamily',
  'stiffness',
  'grip',
] as const;
export type Question = (typeof QUESTIONS)[number];

/** Pain decides before feel does: where nobody has asked, it is among the first. */
const ALWAYS: Question = 'arm';

/** Another kind of setup is felt as much as a step of tension. From memory. */
const OTHER_KIND_STEPS = 1;

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

/**
 * The questions that nobody has answered yet, the ones first whose answers lie furthest apart: in steps of tension of the setup
 * that would be offered first, and in whether it would be another one. A sore arm is always among the first `most`.
 * Source: the figures of the advice itself; how much another kind counts is from memory.
 *
 * @param most how many are asked
 * @returns in the order in which they are asked at the counter
 * @example
 * questionsToAsk(usual.about, { shelf: [], labourMinor: 1800, unit: 'kg' }, 3).includes('arm') // true
 */
export function questionsToAsk(
  about: AdviceCase,
  means: AdviceMeans,
  most: number,
): readonly Question[] {
  const first = (talk: Talk) => advise({ ...about, talk }, means).proposals[0];
  const now = first(about.talk);
  const moves = (question: Question): number =>
    Math.max(
      0,
      ...answersTo(question, about.talk, about.spec.sport).map((talk) => {
        const then = first(talk);
        if (!now || !then) return now === then ? 0 : OTHER_KIND_STEPS;
        const [a, b] = [now.staircase.exact, then.staircase.exact];
        const steps = Math.abs(a.mainN + a.crossN - b.mainN - b.crossN) / (2 * STEP_N);
        return steps + (now.kind.name === then.kind.name ? 0 : OTHER_KIND_STEPS);
      }),
    );
  const asked = QUESTIONS.filter((question) => !isAnswered(question, about.talk)).map(
    (question) => ({
      question,
      moves: question === ALWAYS ? Infinity : moves(question),
    }),
  );
  const chosen = new Set(
    asked
      .toSorted((a, b) => b.moves - a.moves)
      .slice(0, most)
      .map(({ question }) => question),
  );
  return QUESTIONS.filter((question) => chosen.has(question));
}
