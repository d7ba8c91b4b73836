import { describe, expect, it } from 'vitest';
import { SILENT } from '../advice/talk';
import { recordOf } from '../testing/records';
import { dueAfter, dueOn } from './due';

describe('the day on which a bed is due again', () => {
  // 12 h at three plays of an hour and a half a week: 12 / 4.5 = 2.67 weeks, 19 days.
  it('comes with the hours that are played', () => {
    expect(dueOn('2026-01-05', [8, 16], 3)).toEqual({ day: '2026-01-24', why: 'by play' });
  });

  it('comes with half a year at the latest, also for who said nothing', () => {
    expect(dueOn('2026-01-05', [8, 16], null)).toEqual({ day: '2026-07-06', why: 'by lying' });
    expect(dueOn('2026-01-05', [40, 60], 0.5)).toEqual({ day: '2026-07-06', why: 'by lying' });
  });

  it('leaves a week at least', () => {
    expect(dueOn('2026-02-27', [1, 2], 10).day).toBe('2026-03-06');
  });

  it('comes sooner for monofilament than for gut, and for who plays more', () => {
    const { setup } = recordOf();
    const day = (family: 'monofilament' | 'natural gut', playsAWeek: number) => {
      const string = { ...setup.mains, family };
      const advice = { talk: { ...SILENT, playsAWeek } };
      const frame = { sport: 'tennis' as const };
      return dueAfter({ setup: { mains: string, crosses: string }, frame, advice }, '2026-01-05')
        .day;
    };
    expect(day('monofilament', 2) < day('natural gut', 2)).toBe(true);
    expect(day('monofilament', 4) < day('monofilament', 2)).toBe(true);
  });
});
