import { describe, expect, it } from 'vitest';
import { SILENT } from '../advice/talk';
import { usual } from '../testing/usual';
import { bedToday } from './bed-today';

const job = (playsAWeek: number | null) => ({
  setup: { mains: usual.strung.mains, crosses: usual.strung.crosses },
  frame: usual.spec,
  advice: { talk: { ...SILENT, playsAWeek } },
});

describe('a bed on some day', () => {
  it('counts days over the change of the clock and over a leap day', () => {
    const days = (from: string, to: string) => bedToday(job(null), from, to, null).days;
    expect(days('2026-03-28', '2026-03-30')).toBe(2);
    expect(days('2024-02-28', '2024-03-01')).toBe(2);
    expect(days('2026-03-30', '2026-03-28')).toBe(0);
  });

  it('goes by what the client says now, else by what was said then', () => {
    const at = (then: number | null, now: number | null) =>
      bedToday(job(then), '2026-01-05', '2026-02-04', now);
    expect(at(1, 4)).toEqual(at(4, null));
    expect(at(null, null).playsAWeek).toBeNull();
    expect(at(1, 4).due.day < at(1, null).due.day).toBe(true);
    expect(at(1, 4).loss[1]).toBeGreaterThan(at(1, null).loss[1]);
  });

  it('is due from its day on', () => {
    const { due } = bedToday(job(2), '2026-01-05', '2026-01-05', null);
    expect(bedToday(job(2), '2026-01-05', due.day, null).isDue).toBe(true);
    expect(bedToday(job(2), '2026-01-05', '2026-01-06', null).isDue).toBe(false);
  });
});
