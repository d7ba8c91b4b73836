import { describe, expect, it } from 'vitest';
import {
  cameAgainFigures,
  courtLine,
  courtWordsSchema,
  hoursProblem,
  keptSetups,
  NOTHING_SAID,
} from './court';

describe('what the court taught', () => {
  it('is said in a line, and a string that broke once only', () => {
    expect(courtLine(NOTHING_SAID)).toBe('');
    const words = {
      ...NOTHING_SAID,
      faults: ['broke' as const],
      brokeHours: 6,
      brokeAt: 'head' as const,
    };
    expect(courtLine({ ...words, again: 'yes' })).toBe(
      'broke after 6 h at the head, would take it again',
    );
    expect(courtLine({ ...words, brokeHours: null, brokeAt: null })).toContain('broke');
  });

  it('refuses hours and places that are none', () => {
    expect(courtWordsSchema.safeParse({ ...NOTHING_SAID, brokeHours: -1 }).success).toBe(false);
    expect(courtWordsSchema.safeParse({ ...NOTHING_SAID, brokeAt: 'moon' }).success).toBe(false);
    expect(courtWordsSchema.safeParse({ ...NOTHING_SAID, faults: ['none'] }).success).toBe(false);
  });

  it('takes no more hours than days have room for', () => {
    expect(hoursProblem(10, 0)).toBeUndefined();
    expect(hoursProblem(11, 0)).toMatch(/strung 0 days ago/);
    expect(hoursProblem(null, 0)).toBeUndefined();
    expect(hoursProblem(400, 60)).toBeUndefined();
  });

  it('says how many came again in time, and how late the others were as a rule', () => {
    const came = (dueDay: string, cameDay: string) => ({ dueDay, cameDay });
    expect(cameAgainFigures([])).toEqual({ rackets: 0, inTime: 0, lateDays: 0 });
    expect(
      cameAgainFigures([
        came('2026-03-01', '2026-03-01'),
        came('2026-03-01', '2026-03-04'),
        came('2026-02-26', '2026-03-26'),
        came('2026-03-28', '2026-04-02'),
      ]),
    ).toEqual({ rackets: 4, inTime: 1, lateDays: 5 });
  });

  it('tells beds that were kept from those that were left, the last word standing', () => {
    const had = [
      { strings: 'Soft', again: null },
      { strings: 'Stiff', again: 'no' as const },
      { strings: 'Soft', again: 'no' as const },
      { strings: 'Stiff', again: 'yes' as const },
      { strings: 'Gut', again: 'yes' as const },
      { strings: 'Soft', again: null },
    ];
    expect(keptSetups(had)).toEqual([
      { strings: 'Soft', times: 3, left: false },
      { strings: 'Gut', times: 1, left: false },
      { strings: 'Stiff', times: 2, left: true },
    ]);
  });
});
