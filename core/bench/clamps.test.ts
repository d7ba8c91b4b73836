import { describe, expect, it } from 'vitest';
import { lendingWords, clampsOf, type StrungEnd } from './clamps';
import type { ClampSet } from '../house/machine';

const TWO: ClampSet = { clamps: 2, clampKind: 'fixed', startingClamps: 1 };
const right = (string: string): StrungEnd => ({ string, way: 1 });
const left = (string: string): StrungEnd => ({ string, way: -1 });
const opened = (machine = TWO) =>
  clampsOf(
    machine,
    (string) => (string.startsWith('M') ? 0 : 1),
    ({ string }) => string.startsWith('M8'),
  );

describe('the clamps at the ends of what is strung', () => {
  it('take one each, and move on with their own arm', () => {
    const holding = opened();
    expect(holding.moveOn(right('M1R'))).toEqual([
      { do: 'clamp', holder: 'clamp 1', string: 'M1R' },
      { do: 'let go' },
    ]);
    holding.moveOn(left('M1L'));
    expect(holding.holderOf(left('M1L'))).toBe('clamp 2');
    expect(holding.moveOn(right('M2R'))).toEqual([
      { do: 'free', holder: 'clamp 1' },
      { do: 'clamp', holder: 'clamp 1', string: 'M2R' },
      { do: 'let go' },
    ]);
  });

  it('are free for another piece when an arm is tied', () => {
    const holding = opened();
    holding.moveOn(right('M1R'));
    holding.moveOn(left('M1L'));
    holding.tied(right('M8R'));
    expect(holding.holds(1)).toBe(false);
    holding.moveOn(right('C2'));
    expect(holding.holderOf(right('C2'))).toBe('clamp 1');
    expect(holding.holds(1)).toBe(true);
  });

  // Source: common practice (out of clamps, a starting clamp on a leather pad outside holds meanwhile).
  it('lend the starting clamp when there is one only, and change over for a knot', () => {
    const holding = opened({ ...TWO, clamps: 1 });
    holding.moveOn(right('M1R'));
    const lent = holding.moveOn(left('M1L'));
    expect(lent).toEqual([{ do: 'grip outside', ...left('M1L') }, { do: 'let go' }]);
    expect(lendingWords('M1L', lent).caution).toContain('leather pad');
    const knot = holding.moveOn(left('M8L'));
    expect(knot).toEqual([
      { do: 'free', holder: 'starting clamp' },
      { do: 'grip outside', ...right('M1R') },
      { do: 'free', holder: 'clamp 1' },
      { do: 'clamp', holder: 'clamp 1', string: 'M8L' },
      { do: 'let go' },
    ]);
    expect(lendingWords('M8L', knot).words).toContain('takes M1R over outside');
    expect(holding.holderOf(right('M8R'))).toBe('starting clamp');
  });

  it('say nothing where nothing is lent', () => {
    expect(lendingWords('M1R', opened().moveOn(right('M1R')))).toEqual({ words: '' });
  });
});
