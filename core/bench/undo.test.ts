import { describe, expect, it } from 'vitest';
import type { Holder } from './actions';
import { benchPlan, everyJob, FRAME, sequenceFor } from '../testing/bench-job';
import { stateAfter } from './state';
import { handWords, holdersIn, undoSteps } from './undo';
import { inTensionUnit } from '../measure/units';

const usual = sequenceFor(benchPlan());
const { steps } = usual;
const after = (string: string) =>
  steps.findIndex((step) => step.kind === 'pull' && step.string === string) + 1;

describe('back to an earlier step', () => {
  // Source: common practice (a clamp is released only while the head holds the string behind it).
  it('takes the string in the head before its clamp comes off', () => {
    const [last, before] = undoSteps(usual, after('M3R'), after('M1L'));
    expect(last?.words).toBe(
      'Take the tail of M3R in the head again, free clamp 1, set clamp 1 on M2R, let the head down slowly, draw M3R out.',
    );
    expect(inTensionUnit(last?.take?.pullN ?? 0, 'lb')).toBe(52);
    expect(before?.take?.string).toBe('M2R');
  });

  it('puts a clamp on before it cuts a knot', () => {
    const tie = steps.findIndex(({ kind, string }) => kind === 'tie' && string === 'M8R');
    expect(undoSteps(usual, tie + 1, tie)[0]?.words).toMatch(
      /^Set clamp \d on M8R close to its knot, cut the knot of M8R/,
    );
  });

  it('puts the starting clamp back on the first cross', () => {
    const again = steps.findIndex(({ kind, string }) => kind === 'pull again' && string === 'C1');
    expect(undoSteps(usual, again + 1, again)[0]?.words).toContain(
      'put the starting clamp outside on C1',
    );
  });

  it('has nothing to do where nothing was done', () => {
    expect(undoSteps(usual, 4, 4)).toEqual([]);
    expect(undoSteps(usual, 4, 0)).toEqual([]);
    const second = sequenceFor(
      benchPlan(FRAME, 'two-piece', { custom: { ...benchPlan().custom, knotPull: 'pull again' } }),
    );
    const again = second.steps.findIndex(
      ({ kind, string }) => kind === 'pull again' && string === 'M8R',
    );
    expect(undoSteps(second, again + 1, again)).toEqual([]);
  });
});

it('says what the hands do in a step', () => {
  expect(handWords(usual, after('M3R') - 1)).toBe('clamp 1 from M2R to M3R');
  expect(handWords(usual, after('M1L') - 1)).toBe('starting clamp off M1L and clamp 2 on M1L');
  expect(handWords(usual, 0)).toBeUndefined();
});

it('over the library, what is taken off was on, and the machine comes to where it stood', () => {
  for (const { name, method, plan } of everyJob()) {
    const sequence = sequenceFor(plan);
    const all = sequence.steps;
    const holdersAfter = (done: number) => holdersIn(stateAfter(sequence.path, all, done));
    for (const to of [4, Math.floor(all.length / 3), Math.floor((2 * all.length) / 3)]) {
      const held = new Map<Holder, string>(holdersAfter(all.length - 4));
      const drawn: string[] = [];
      for (const { free, put, draw, take } of undoSteps(sequence, all.length - 4, to)) {
        for (const holder of free) {
          if (!held.has(holder)) throw new Error(`${name}, ${method}: ${holder} is on nothing.`);
          // A machine clamp comes off only under the head.
          if (holder !== 'starting clamp') expect(take).toBeDefined();
          held.delete(holder);
        }
        for (const { holder, string } of put) held.set(holder, string);
        drawn.push(...draw);
      }
      expect(held).toEqual(holdersAfter(to));
      const threaded = (part: typeof all) =>
        part.flatMap(({ actions }) => actions.filter((action) => action.do === 'thread'));
      expect(drawn).toHaveLength(threaded(all).length - threaded(all.slice(0, to)).length);
      expect(new Set(drawn).size).toBe(drawn.length);
    }
  }
});
