import { describe, expect, it } from 'vitest';
import { missingFor, type StringWanted } from './missing';

const wanted = (number: number, day: number, ...needs: StringWanted['needs']): StringWanted => ({
  number,
  promised: `2026-01-0${day}T10:00`,
  needs,
});
const set = { key: 'w', mm: 12_200 };

describe('who runs out of string', () => {
  it('is whoever is promised last', () => {
    const there = new Map([['w', 2 * 12_200]]);
    expect(missingFor(there, [wanted(1, 7, set), wanted(2, 5, set), wanted(3, 6, set)])).toEqual([
      { number: 1, key: 'w' },
    ]);
  });

  it('takes nothing of one string where the other of a hybrid is missing', () => {
    const half = (key: string) => ({ key, mm: 6100 });
    const there = new Map([['w', 6100]]);
    expect(
      missingFor(there, [wanted(1, 5, half('w'), half('x')), wanted(2, 6, half('w'))]),
    ).toEqual([{ number: 1, key: 'x' }]);
  });

  it('is nobody where nothing is wanted', () => {
    expect(missingFor(new Map(), [])).toEqual([]);
    expect(missingFor(new Map(), [wanted(1, 5)])).toEqual([]);
  });
});
