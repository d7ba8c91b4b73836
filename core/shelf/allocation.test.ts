import { describe, expect, it } from 'vitest';
import { sourceOf } from './allocation';
import type { ShelfLength } from './day-cuts';

const length = (id: string, kind: ShelfLength['kind'], mm: number, leftMm = mm): ShelfLength => ({
  id,
  kind,
  mm,
  leftMm,
  priceMinor: 100,
  key: 'string 1.30',
});
const shelf = [
  length('set', 'set', 12_200),
  length('other set', 'set', 12_200),
  length('opened', 'set', 12_200, 6100),
  length('reel', 'reel', 200_000, 90_000),
];
const from = (...ids: string[]) =>
  sourceOf(
    ids.map((lengthId, i) => ({ piece: i === 0 ? 'mains' : 'crosses', lengthId })),
    shelf,
  );

// Source: common practice, no source.
describe('what a job is cut from', () => {
  it('is a set, halves of two, a reel, or what is left of something', () => {
    expect(from('set', 'set')).toEqual({ cutFrom: 'one set', remnantsMm: [] });
    expect(from('set', 'other set')).toEqual({ cutFrom: 'two half sets', remnantsMm: [] });
    expect(from('reel')).toEqual({ cutFrom: 'reel', remnantsMm: [] });
    expect(from('opened', 'reel')).toEqual({ cutFrom: 'remnant', remnantsMm: [6100, 90_000] });
  });

  it('is nothing where a length is not there any more', () => {
    expect(from()).toBeUndefined();
    expect(from('reel', 'gone')).toBeUndefined();
  });
});
