import { describe, expect, it } from 'vitest';
import { turnsAfter } from './turns';

const bar = (number: number, state: '' | 'begun' | 'fixed' = '') => ({
  number,
  begun: state === 'begun',
  fixed: state === 'fixed',
});
const lanes = [
  { id: 'a', bars: [bar(1, 'begun'), bar(2, 'fixed'), bar(3), bar(4, 'fixed')] },
  { id: 'b', bars: [bar(5, 'fixed'), bar(6)] },
];
const before = [
  { number: 2, benchId: 'a', turn: 0 },
  { number: 4, benchId: 'a', turn: 1 },
  { number: 5, benchId: 'b', turn: 0 },
];
const numbersOf = (turns: ReturnType<typeof turnsAfter>, bench: string) =>
  turns
    .filter(({ benchId }) => benchId === bench)
    .toSorted((a, b) => a.turn - b.turn)
    .map(({ number }) => number);

describe('a ticket that is put somewhere', () => {
  it('comes after what lies before it there, all of which keeps its place', () => {
    const after = turnsAfter(lanes, before, 6, 'a', 2);
    expect(numbersOf(after, 'a')).toEqual([2, 3, 6, 4]);
    expect(numbersOf(after, 'b')).toEqual([5]);
  });

  it('is next where it is put first, and leaves what nobody spoke of to the plan', () => {
    expect(numbersOf(turnsAfter(lanes, before, 3, 'a', 0), 'a')).toEqual([3, 2, 4]);
    expect(numbersOf(turnsAfter(lanes, before, 6, 'b', 0), 'b')).toEqual([6, 5]);
  });

  it('is in one lane only, and nowhere in one that is gone', () => {
    const after = turnsAfter(lanes, before, 5, 'a', 0);
    expect(after.filter(({ number }) => number === 5)).toEqual([
      { number: 5, benchId: 'a', turn: 0 },
    ]);
    expect(turnsAfter(lanes, before, 5, 'c', 0)).toEqual(before);
  });
});
