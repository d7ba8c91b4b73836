import { describe, expect, it } from 'vitest';
import { studyFrame } from '@/core/frame/bed';
import { frameSpec } from '@/core/testing/frame-spec';
import { usualCut, type LastCut } from './usual-cut';

const bed = (() => {
  const { bed: studied } = studyFrame(frameSpec());
  if (!studied) throw new Error('The usual frame has no bed.');
  return studied;
})();

const last = (changes: Partial<LastCut> = {}): LastCut => ({
  method: 'two-piece',
  shortSide: 'right',
  crossStart: 'right',
  cutFrom: 'reel',
  machineId: null,
  ...changes,
});

describe('a cut that nobody chooses', () => {
  it('is as it was last time', () => {
    expect(usualCut(bed, last(), false)).toEqual({
      choice: { method: 'two-piece', shortSide: 'right', crossStart: 'right' },
      cutFrom: 'reel',
    });
  });

  it('is the usual one where nothing is known', () => {
    expect(usualCut(bed, undefined, false).cutFrom).toBe('one set');
    expect(usualCut(bed, undefined, true)).toMatchObject({
      choice: { method: 'two-piece' },
      cutFrom: 'two half sets',
    });
  });

  // A hybrid has two strings, so it is two pieces of two sets: a fact of the trade.
  it('is no cut that these strings cannot take', () => {
    expect(usualCut(bed, last({ method: 'one-piece', cutFrom: 'one set' }), true)).toMatchObject({
      choice: { method: 'two-piece' },
      cutFrom: 'two half sets',
    });
    expect(
      usualCut(bed, last({ method: 'one-piece', cutFrom: 'two half sets' }), false).cutFrom,
    ).toBe('one set');
  });

  it('is not cut from a remnant that is used up', () => {
    expect(usualCut(bed, last({ cutFrom: 'remnant' }), false).cutFrom).toBe('one set');
  });
});
