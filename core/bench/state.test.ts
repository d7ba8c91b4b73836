import { describe, expect, it } from 'vitest';
import { everyJob, benchPlan, sequenceFor } from '../testing/bench-job';
import { applyAll, isInUse, isTense, lastPull, openState, stateAfter } from './state';

const { path, steps } = sequenceFor(benchPlan());
const after = (string: string) =>
  steps.findIndex((step) => step.kind === 'pull' && step.string === string) + 1;

describe('the machine', () => {
  it('holds nothing before the first step, and only knots after the last', () => {
    expect(stateAfter(path, steps, 0)).toEqual(openState(path));
    for (const { plan, name, method } of everyJob()) {
      const made = sequenceFor(plan);
      const { holds, strands, tense, layout } = stateAfter(
        made.path,
        made.steps,
        made.steps.length,
      );
      expect(
        holds.every(({ by }) => by === 'knot'),
        `${name}, ${method}`,
      ).toBe(true);
      expect(holds).toHaveLength(2 * layout.pieces.length);
      expect(strands).toEqual([]);
      expect(tense).toEqual(layout.pieces.map((row) => [0, row.length - 1]));
    }
  });

  // Source: common practice (what hangs on the starting clamp comes through with its neighbour's pull).
  it('has a first string under tension with its neighbour, and pulled by itself later', () => {
    const state = stateAfter(path, steps, after('M1R'));
    expect(state.strung).toEqual(['M1L', 'M1R']);
    expect([lastPull(state, 'M1L'), lastPull(state, 'M1R')]).toEqual([undefined, 1]);
    expect(isInUse(state, 'starting clamp')).toBe(true);
    const later = stateAfter(path, steps, after('M1L'));
    expect(lastPull(later, 'M1L')).toBe(-1);
    expect(isInUse(later, 'starting clamp')).toBe(false);
  });

  it('is never changed by an action, which makes another', () => {
    const state = stateAfter(path, steps, after('M4R'));
    const kept = structuredClone({ ...state, layout: undefined });
    const next = applyAll(state, steps[after('M4R')]?.actions ?? []);
    expect({ ...state, layout: undefined }).toEqual(kept);
    expect(next).not.toEqual(state);
    expect(isTense(state, 'M5R')).toBe(false);
  });
});
