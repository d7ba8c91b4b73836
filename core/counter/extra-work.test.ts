import { describe, expect, it } from 'vitest';
import {
  extraWorkMinor,
  extraWorkWords,
  isSameWork,
  NO_EXTRA_WORK,
  waitsForYes,
  type ExtraLine,
} from './extra-work';

const grip: ExtraLine = { kind: 'grip', name: 'grip', quantity: 2, unitMinor: 650, taxBp: 2000 };
const lead: ExtraLine = { kind: 'lead', name: 'lead', quantity: 1, unitMinor: 300, taxBp: 2000 };

describe('extra work', () => {
  it('adds up by quantity', () => {
    expect(extraWorkMinor({ lines: [grip, lead], agreed: null })).toBe(1600);
    expect(extraWorkMinor(null)).toBe(0);
  });

  it('waits for the client’s yes while there is something to say yes to', () => {
    expect(waitsForYes({ lines: [grip], agreed: null })).toBe(true);
    const agreed = { how: 'at the counter', day: '2026-02-03', by: 'Nell' };
    expect(waitsForYes({ lines: [grip], agreed })).toBe(false);
    expect(waitsForYes(NO_EXTRA_WORK)).toBe(false);
    expect(waitsForYes(null)).toBe(false);
  });

  it('knows other work from the same', () => {
    expect(isSameWork([grip], [{ ...grip }])).toBe(true);
    expect(isSameWork([grip], [{ ...grip, unitMinor: 700 }])).toBe(false);
  });

  it('is said in a line', () => {
    expect(extraWorkWords({ lines: [grip, lead], agreed: null })).toBe('2 × grip, lead');
  });
});
