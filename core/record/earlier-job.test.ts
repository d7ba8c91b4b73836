import { describe, expect, it } from 'vitest';
import { orderOfDays, readDay } from './earlier-job';

const TODAY = '2026-01-05';

describe('a day out of a table', () => {
  // Source: ISO 8601, and how days are written in figures in Europe and in North America.
  it.each([
    ['2025-04-07', 'month first', '2025-04-07'],
    ['2025-04-07T10:30', 'day first', '2025-04-07'],
    ['7.4.2025', 'day first', '2025-04-07'],
    ['07/04/25', 'day first', '2025-04-07'],
    ['4/7/2025', 'month first', '2025-04-07'],
    ['29.2.2024', 'day first', '2024-02-29'],
    ['5.1.2026', 'day first', '2026-01-05'],
  ] as const)('%s, %s, is %s', (text, order, day) => {
    expect(readDay(text, order, TODAY)).toEqual({ ok: true, value: day });
  });

  it.each(['', 'April', '31.4.2025', '29.2.2025', '13/13/2025', '0.4.2025', '2025', '1.1.1899'])(
    '%s is none',
    (text) => {
      expect(readDay(text, 'day first', TODAY)).toMatchObject({ ok: false, code: 'day.unread' });
    },
  );

  it('has been', () => {
    expect(readDay('6.1.2026', 'day first', TODAY)).toMatchObject({ code: 'day.to come' });
  });

  it('tells by the whole column which figure is the month', () => {
    expect(orderOfDays(['4/17/2025', '1/2/2025'])).toBe('month first');
    expect(orderOfDays(['17/4/2025', '1/2/2025'])).toBe('day first');
    expect(orderOfDays(['1/2/2025', '2025-04-17'])).toBe('day first');
  });
});
