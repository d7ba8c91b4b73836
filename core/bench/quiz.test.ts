import { describe, expect, it } from 'vitest';
import { questionAt, type Question, type QuizPlan } from './quiz';
import { USUAL_HOUSE, type HouseRules } from '../house/house-rules';
import { benchPlan, everyJob, FRAME, sequenceFor } from '../testing/bench-job';

const plan = benchPlan();
const quiz: QuizPlan = {
  bed: plan.bed,
  sequence: sequenceFor(plan),
  custom: plan.custom,
  unit: 'lb',
};
const { steps } = quiz.sequence;
const asked = (seed: number) => steps.map((_, at) => questionAt(quiz, at, seed));
const pullOf = (string: string) =>
  steps.findIndex((step) => step.kind === 'pull' && step.string === string);
/** The question of a kind before a step, in whichever round it comes up. */
const find = (at: number, ask: string) =>
  Array.from({ length: 40 }, (_, seed) => questionAt(quiz, at, seed)).find((question) =>
    question?.ask.startsWith(ask),
  );

const answers = (question: Question | undefined) =>
  question?.options.map(({ words }) => words) ?? [];
const against = (question: Question | undefined, answer: string) =>
  question?.options.find(({ words }) => words === answer)?.against;

describe('practice', () => {
  it('asks before every pull and knot, and at nothing else that has no answer', () => {
    asked(1).forEach((question, at) => {
      const kind = steps[at]?.kind;
      if (kind === 'pull' || kind === 'tie') expect(question).toBeDefined();
      if (kind === 'inspect' || kind === 'trim') expect(question).toBeUndefined();
    });
  });

  it('has the right answer among two to four that differ', () => {
    for (const seed of [0, 1, 2])
      for (const question of asked(seed)) {
        if (!question) continue;
        const words = question.options.map((option) => option.words);
        expect(words).toContain(question.right);
        expect(new Set(words).size).toBe(words.length);
        expect(question.options.some(({ against }) => against)).toBe(true);
        expect(question.options.length).toBeGreaterThanOrEqual(2);
        expect(question.options.length).toBeLessThanOrEqual(4);
        expect(question.why).toMatch(/\.$/);
      }
  });

  it('is the same for the same round, and another in the next', () => {
    expect(asked(7)).toEqual(asked(7));
    expect(asked(7)).not.toEqual(asked(8));
    const places = asked(7).flatMap((question) =>
      question ? [question.options.findIndex(({ words }) => words === question.right)] : [],
    );
    expect(new Set(places).size).toBeGreaterThan(2);
  });

  // Source: common practice (52 lb is tied at 57; holes are counted from the centre line at each end).
  it('knows what is right', () => {
    expect(find(pullOf('M8R'), 'What is M8R pulled at')?.right).toBe('57 lb');
    expect(find(pullOf('M5R'), 'What is M5R pulled at')?.right).toBe('52 lb');
    expect(find(pullOf('M4R'), 'Which string')?.right).toBe('M4R');
    expect(answers(find(pullOf('M4R'), 'Which string'))).toContain('M4L');
    const hole = find(pullOf('M4R'), 'Where does the head pull M4R');
    expect(hole?.right).toMatch(/^\d+[HT] right$/);
    expect(answers(hole).every((words) => /^\d+[HT] (left|right)$/.test(words))).toBe(true);
  });
});

it('asks on every frame of the library, by every method', () => {
  for (const { bed, plan: of } of everyJob()) {
    const sequence = sequenceFor(of);
    const questions = sequence.steps.flatMap(
      (_, at) => questionAt({ bed, sequence, custom: of.custom, unit: 'kg' }, at, 3) ?? [],
    );
    expect(questions.length).toBeGreaterThan(sequence.path.order.length * 0.8);
  }
});

// Source: common practice (mains by turns from the centre, no side further ahead than the house lets it be).
describe('what the rule allows is right', () => {
  const job = (ahead: HouseRules['ahead']) => {
    const plan = benchPlan(FRAME, 'two-piece', { custom: { ...USUAL_HOUSE, ahead } });
    const sequence = sequenceFor(plan);
    const of: QuizPlan = { bed: plan.bed, sequence, custom: plan.custom, unit: 'kg' };
    const ask = (string: string) => {
      const at = sequence.steps.findIndex((step) => step.kind === 'pull' && step.string === string);
      return Array.from({ length: 60 }, (_, seed) => questionAt(of, at, seed)).filter((question) =>
        question?.ask.startsWith('Which string'),
      );
    };
    return { order: sequence.path.order, ask };
  };

  it('the mirror image of a main, where both sides stand level', () => {
    const { order, ask } = job('one');
    const level = order[4] ?? '';
    const mirror = level.endsWith('R') ? level.replace('R', 'L') : level.replace('L', 'R');
    for (const question of ask(level)) expect(against(question, mirror)).toBeUndefined();
    expect(answers(ask(level)[0])).toContain(mirror);
  });

  it('and not where that side would be further ahead than the house lets it be', () => {
    const { order, ask } = job('one');
    const behind = order[5] ?? '';
    const ahead = order[4]?.replace('3', '4') ?? '';
    const marks = ask(behind).flatMap((question) => against(question, ahead) ?? []);
    expect(marks.length).toBeGreaterThan(0);
    for (const mark of marks) expect(mark).toMatch(/would be 2 mains ahead; 1 is the most/);
  });

  it('an equal choice on the other side, as long as the lead holds', () => {
    const { order, ask } = job('three');
    // Two of three are in on that side: the other one may follow now as well.
    const string = order[4] ?? '';
    const other = string.endsWith('R') ? 'M2L' : 'M2R';
    expect(answers(ask(string)[0])).toContain(other);
    for (const question of ask(string)) expect(against(question, other)).toBeUndefined();
  });

  it('either side for the first cross of a piece of its own, and then the weave decides', () => {
    const where = (string: string) =>
      Array.from({ length: 60 }, (_, seed) => questionAt(quiz, pullOf(string), seed)).find(
        (question) => question?.ask.startsWith('Where does the head pull'),
      );
    const others = (question: Question | undefined) =>
      question?.options.filter(
        ({ words, against }) => words !== question.right && against === undefined,
      ).length;
    const first = quiz.sequence.steps.find(
      ({ kind, string }) => kind === 'pull' && string?.startsWith('C'),
    )?.string as string;
    expect(others(where(first))).toBe(1);
    expect(others(where('C9'))).toBe(0);
  });
});
