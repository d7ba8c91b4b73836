import type { StringName } from '../terms/string-name';
import { describe, expect, it } from 'vitest';
import type { ClampSet } from '../house/machine';
import { pathThrough } from '../path/path';
import { isInside, placeName } from '../path/segments';
import { bedOf } from '../testing/frame-spec';
import type { Action, StrungEnd } from './actions';
import { clampOnto, lendingWords } from './clamps';
import { applyAll, holderOf, openState, type BenchState } from './state';

const TWO: ClampSet = { clamps: 2, clampKind: 'fixed', startingClamps: 1 };
const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T', '8T'] });
const PATH = pathThrough(bed, { method: 'two-piece', shortSide: 'left', crossStart: 'left' });
const right = (string: StringName): StrungEnd => ({ string, way: 1 });
const left = (string: StringName): StrungEnd => ({ string, way: -1 });
const insides = PATH.pieces.flatMap(({ segments }) => segments.filter(isInside));

/** A string threaded and in the head, and what is done with the clamps then. */
function pulled(state: BenchState, end: StrungEnd, machine: ClampSet = TWO) {
  const { from, to } = insides.find(({ string }) => string === end.string)!;
  const inHead = applyAll(state, [
    { do: 'thread', string: end.string, through: [placeName(from), placeName(to)] },
    { do: 'pull', ...end, pullN: 200 },
  ]);
  const actions = clampOnto(inHead, end, machine);
  return { actions, state: applyAll(inHead, actions) };
}

/** The right side strung to M`to` from the centre, by the only clamp or by clamp 1. */
function strung(to: number, machine: ClampSet = TWO): BenchState {
  let { state } = pulled(openState(PATH), right('M1R'), machine);
  for (let main = 2; main <= to; main++) ({ state } = pulled(state, right(`M${main}R`), machine));
  return state;
}

describe('the clamps at the ends of what is strung', () => {
  it('take one each, and move on with their own end', () => {
    const first = pulled(openState(PATH), right('M1R'));
    expect(first.actions).toEqual([
      { do: 'clamp', holder: 'clamp 1', string: 'M1R' },
      { do: 'let go' },
    ]);
    const second = pulled(first.state, left('M1L'));
    expect(holderOf(second.state, left('M1L'))).toBe('clamp 2');
    expect(pulled(second.state, right('M2R')).actions).toEqual([
      { do: 'free', holder: 'clamp 1' },
      { do: 'clamp', holder: 'clamp 1', string: 'M2R' },
      { do: 'let go' },
    ]);
  });

  it('are free for another piece when an end is tied', () => {
    const knot = PATH.knots.find(({ string }) => string === 'M8R')!;
    const tied = applyAll(strung(8), [
      { do: 'tie', ...right('M8R'), at: { hole: knot.hole, side: knot.side } },
      { do: 'free', holder: 'clamp 1' },
    ]);
    const cross = pulled(tied, right('C2'));
    expect(holderOf(cross.state, right('C2'))).toBe('clamp 1');
  });

  // Source: common practice (out of clamps, a starting clamp on a leather pad outside holds meanwhile).
  it('lend the starting clamp when there is one only, and change over for a knot', () => {
    const one = { ...TWO, clamps: 1 as const };
    const lent = pulled(strung(1, one), left('M1L'), one);
    expect(lent.actions).toEqual([{ do: 'grip outside', ...left('M1L') }, { do: 'let go' }]);
    expect(lendingWords('M1L', lent.actions).caution?.key).toBe('clause.held outside.caution');

    let { state } = lent;
    for (let main = 2; main <= 7; main++) ({ state } = pulled(state, left(`M${main}L`), one));
    const knot = pulled(state, left('M8L'), one);
    const changed: readonly Action[] = [
      { do: 'free', holder: 'starting clamp' },
      { do: 'grip outside', ...right('M1R') },
      { do: 'free', holder: 'clamp 1' },
      { do: 'clamp', holder: 'clamp 1', string: 'M8L' },
      { do: 'let go' },
    ];
    expect(knot.actions).toEqual(changed);
    expect(lendingWords('M8L', knot.actions).words).toMatchObject([{ values: { other: 'M1R' } }]);
    expect(holderOf(knot.state, right('M8R'))).toBe('starting clamp');
  });

  it('say nothing where nothing is lent', () => {
    expect(lendingWords('M1R', pulled(openState(PATH), right('M1R')).actions)).toEqual({
      words: [],
    });
  });
});
