import { describe, expect, it } from 'vitest';
import { questionAt, type QuizPlan } from './quiz';
import { benchPlan, everyJob, sequenceFor } from '../testing/bench-job';

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
        expect(question.options).toContain(question.right);
        expect(new Set(question.options).size).toBe(question.options.length);
        expect(question.options.length).toBeGreaterThanOrEqual(2);
        expect(question.options.length).toBeLessThanOrEqual(4);
        expect(question.why).toMatch(/\.$/);
      }
  });

  it('is the same for the same round, and another in the next', () => {
    expect(asked(7)).toEqual(asked(7));
    expect(asked(7)).not.toEqual(asked(8));
    const places = asked(7).flatMap((question) =>
      question ? [question.options.indexOf(question.right)] : [],
    );
    expect(new Set(places).size).toBeGreaterThan(2);
  });

  // Source: common practice (52 lb is tied at 57; holes are counted from the centre line at each end).
  it('knows what is right', () => {
    expect(find(pullOf('M8R'), 'What is M8R pulled at')?.right).toBe('57 lb');
    expect(find(pullOf('M5R'), 'What is M5R pulled at')?.right).toBe('52 lb');
    expect(find(pullOf('M4R'), 'Which string')?.right).toBe('M4R');
    expect(find(pullOf('M4R'), 'Which string')?.options).toContain('M4L');
    const hole = find(pullOf('M4R'), 'Where does the head pull M4R');
    expect(hole?.right).toMatch(/^\d+[HT] right$/);
    expect(hole?.options.every((option) => /^\d+[HT] (left|right)$/.test(option))).toBe(true);
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
