import { describe, expect, it } from 'vitest';
import { coveredSoon, headPull } from './plan';
import { placeName } from '../path/segments';
import { benchPlan, sequenceFor } from '../testing/bench-job';

const { steps } = sequenceFor(benchPlan());
const first = steps.findIndex(({ kind }) => kind === 'open a hole');

describe('what comes', () => {
  it('tells of the next hole that will be covered, and how soon', () => {
    expect(coveredSoon(steps, first)?.inSteps).toBe(0);
    expect(coveredSoon(steps, first - 3)?.inSteps).toBe(3);
    expect(coveredSoon(steps, 0)).toBeUndefined();
    expect(coveredSoon(steps, 0, steps.length)?.step).toBe(steps[first]);
    expect(coveredSoon(steps, steps.length)).toBeUndefined();
    const { at } = steps[first] ?? {};
    // Source: common practice (on a 16 × 19 that skips 7 and 9, the run from 6H to 8H lies over 7H).
    expect(at && placeName(at)).toMatch(/^7H (left|right)$/);
  });

  it('knows what the head pulls, and at which steps it rests', () => {
    for (const step of steps)
      if (step.kind === 'pull' || step.kind === 'pull again')
        expect(headPull(step)).toBe(step.pullN);
    expect(steps.filter(({ kind }) => kind === 'set tension').map(headPull)).toEqual([
      undefined,
      undefined,
    ]);
  });
});
