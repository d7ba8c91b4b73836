import { describe, expect, it } from 'vitest';
import {
  EVEN_PACE,
  groupOf,
  paceOf,
  secondsLeft,
  timedParts,
  type Hand,
  type StepGroup,
} from './times';
import type { Sport } from '../terms/sport';
import { benchPlan, FRAME, sequenceFor } from '../testing/bench-job';

const { steps } = sequenceFor(benchPlan());
const badminton = sequenceFor(
  benchPlan({ sport: 'badminton', lengthMm: 250, widthMm: 190, mains: 22, crosses: 21 }),
).steps;
const minutes = (hand: Hand, of = steps, sport: Sport = 'tennis') =>
  secondsLeft(of, 0, sport, hand) / 60;

// Source: common practice (tournament tennis 15–20 min, five in two hours with a break; badminton
// 20–25 min, 25 in ten hours; a shop job 15–60, a learner 60–90).
describe('minutes at the bench', () => {
  it('are what practice says of each hand', () => {
    expect(minutes('tournament')).toBeGreaterThan(15);
    expect(minutes('tournament')).toBeLessThan(20);
    expect(5 * minutes('tournament')).toBeLessThan(120);
    expect(minutes('tournament', badminton, 'badminton')).toBeGreaterThan(20);
    expect(minutes('tournament', badminton, 'badminton')).toBeLessThan(25);
    expect(25 * minutes('tournament', badminton, 'badminton')).toBeLessThan(600);
    expect(minutes('practised')).toBeGreaterThan(15);
    expect(minutes('practised')).toBeLessThan(60);
    expect(minutes('learner')).toBeGreaterThan(60);
    expect(minutes('learner')).toBeLessThan(90);
  });

  it('run down to nothing, step by step', () => {
    const left = steps.map((_, i) => secondsLeft(steps, i, 'tennis', 'practised'));
    expect(left).toEqual(left.toSorted((a, b) => b - a));
    expect(secondsLeft(steps, steps.length, 'tennis', 'practised')).toBe(0);
  });

  it('are the same for one piece with fewer knots, but for the knots', () => {
    const one = sequenceFor(benchPlan(FRAME, 'one-piece')).steps;
    expect(minutes('tournament', one)).toBeLessThan(minutes('tournament'));
  });
});

describe('a hand’s own pace', () => {
  const part = (group: StepGroup, ratio: number) => ({ group, expectedS: 100, tookS: 100 * ratio });

  it('is even while nothing is known', () => {
    expect(paceOf([])).toEqual(EVEN_PACE);
  });

  // Worked by hand: three jobs at twice the time against three that stand for the expectation: √2.
  it('moves with past jobs, and is drawn towards what is usual', () => {
    const slow = paceOf([part('crosses', 2), part('crosses', 2), part('crosses', 2)]);
    expect(slow.crosses).toBeCloseTo(Math.SQRT2, 12);
    expect(slow.mains).toBe(1);
    expect(paceOf(Array.from({ length: 200 }, () => part('knots', 0.5))).knots).toBeCloseTo(0.5, 1);
  });

  it('leaves out a job whose clock was wrong', () => {
    expect(paceOf([part('mains', 40), part('mains', 0.01)])).toEqual(EVEN_PACE);
  });

  it('is read off the steps that were timed', () => {
    const tookMs = new Map([
      [0, 60_000],
      [1, 80_000],
    ]);
    expect(timedParts(steps, tookMs, 'tennis', 'tournament')).toEqual([
      { group: 'before', expectedS: 70, tookS: 140 },
    ]);
    expect(new Set(steps.map(groupOf))).toEqual(
      new Set(['before', 'mains', 'crosses', 'knots', 'after']),
    );
  });

  it('makes what is left longer', () => {
    const slow = { ...EVEN_PACE, crosses: 2 };
    expect(secondsLeft(steps, 0, 'tennis', 'practised', slow)).toBeGreaterThan(
      secondsLeft(steps, 0, 'tennis', 'practised'),
    );
  });
});
