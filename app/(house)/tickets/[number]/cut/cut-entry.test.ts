import { describe, expect, it } from 'vitest';
import { bedOf } from '@/core/testing/frame-spec';
import { cutSchema, remnantText, type CutEntry } from './cut-entry';

const bed = bedOf({ head: [7, 9], throat: [7, 9] });
const entry: CutEntry = {
  method: 'two-piece',
  shortSide: 'left',
  crossStart: 'right',
  cutFrom: 'one set',
  remnants: '',
  machineId: '',
};
const problems = (changes: Partial<CutEntry>, hybrid = false) =>
  Object.fromEntries(
    (cutSchema(bed, hybrid).safeParse({ ...entry, ...changes }).error?.issues ?? []).map(
      ({ path, message }) => [path.join('.'), message],
    ),
  );

describe('a cut', () => {
  it('is read whole', () => {
    expect(cutSchema(bed, false).parse(entry)).toEqual({
      method: 'two-piece',
      shortSide: 'left',
      crossStart: 'right',
      cutFrom: 'one set',
      remnantsMm: [],
      machineId: null,
    });
  });

  it('keeps remnants only when it is cut from them, and shows them again', () => {
    const kept = cutSchema(bed, true).parse({ ...entry, cutFrom: 'remnant', remnants: '6.2/5.9' });
    expect(kept.remnantsMm).toEqual([6200, 5900]);
    expect(remnantText(kept.remnantsMm)).toBe('6.2/5.9');
    expect(cutSchema(bed, false).parse({ ...entry, remnants: 'old' }).remnantsMm).toEqual([]);
  });

  it.each<[Partial<CutEntry>, boolean, string, string]>([
    [{ method: 'around-the-frame' }, false, 'method', 'nothing to go around'],
    [{ method: 'one-piece' }, true, 'method', 'two pieces'],
    [{ method: 'one-piece', cutFrom: 'two half sets' }, false, 'cutFrom', 'longer than half'],
    [{ cutFrom: 'one set' }, true, 'cutFrom', 'two sets'],
    [{ cutFrom: 'remnant', remnants: '' }, false, 'remnants', 'Write a length'],
    [{ cutFrom: 'remnant', remnants: '11.4' }, true, 'remnants', '6.2/5.9'],
    [
      { method: 'one-piece', cutFrom: 'remnant', remnants: '6/5' },
      false,
      'remnants',
      'one length, not two',
    ],
    [{ machineId: 'somebody’s' }, false, 'machineId', ''],
  ])('%j (two strings: %s) is refused at %s', (changes, hybrid, field, part) => {
    expect(problems(changes, hybrid)[field]).toContain(part);
  });
});
