import { describe, expect, it } from 'vitest';
import { EVEN_PACE } from '../bench/times';
import {
  isShutOn,
  openSpans,
  wallMinutes,
  wallOf,
  type Hours,
  type OtherDays,
  type WeekHours,
} from './clock';
import { formatHours, formatOtherDays, parseHours, parseOtherDays, USUAL_WEEK } from './hours';
import { spreadOf, workMinutes, type Work } from './minutes';

describe('the hours of a bench', () => {
  it.each([
    [
      '9-13 14:30-18',
      [
        ['09:00', '13:00'],
        ['14:30', '18:00'],
      ],
    ],
    [
      '9:15 – 12, 13 to 24',
      [
        ['09:15', '12:00'],
        ['13:00', '24:00'],
      ],
    ],
    ['closed', []],
    ['', []],
  ])('%s', (text, hours) => {
    expect(parseHours(text)).toEqual({ ok: true, value: hours });
  });

  it.each([
    ['9', 'hours.unread'],
    ['nine to five', 'hours.unread'],
    ['25-26', 'hours.unread'],
    ['13-9', 'hours.reversed'],
    ['9-9', 'hours.reversed'],
    ['9-13 12-18', 'hours.overlap'],
  ])('%s is refused', (text, code) => {
    expect(parseHours(text)).toMatchObject({ ok: false, code });
  });

  it('come back as they were typed, with the days that differ', () => {
    expect(
      formatHours([
        ['09:00', '13:00'],
        ['14:30', '18:00'],
      ]),
    ).toBe('9:00-13:00 14:30-18:00');
    const days = '2026-12-24 9:00-12:00\n2026-12-25 closed';
    const read = parseOtherDays(days);
    expect(read.ok && formatOtherDays(read.value)).toBe(days);
    expect(parseOtherDays('Christmas closed')).toMatchObject({ code: 'hours.no day' });
    expect(parseOtherDays('2026-02-30 9-12')).toMatchObject({ code: 'hours.no day' });
    // The second line would take the place of the first without a word.
    expect(parseOtherDays('2026-12-24 9-12\n2026-12-24 14-16')).toMatchObject({
      code: 'hours.day twice',
      problem: '2026-12-24 stands on two lines: write all its hours on one, 9-13 14:30-18.',
    });
  });

  // Source: a calendar: 26 November 2026 is a Thursday, 28 a Saturday, 29 a Sunday.
  it('fall on their weekday, from now on, with holidays left out', () => {
    const spans = openSpans(USUAL_WEEK, { '2026-11-27': [] }, wallMinutes('2026-11-26T15:30'), 4);
    expect(spans.map((span) => span.map(wallOf))).toEqual([
      ['2026-11-26T15:30', '2026-11-26T18:00'],
      ['2026-11-28T09:00', '2026-11-28T13:00'],
    ]);
  });
});

describe('the minutes of a ticket', () => {
  const work = (changes: Partial<Work> = {}): Work => ({
    sport: 'tennis',
    mains: 16,
    crosses: 19,
    pieces: 2,
    done: 0,
    ...changes,
  });

  // Source: common practice: a tennis racket takes 15 to 20 min at a tournament, a practised hand twenty-five rackets
  // in ten hours with breaks, and badminton longer.
  it('are what practice says', () => {
    const tournament = workMinutes(work(), 'tournament', EVEN_PACE);
    expect(tournament).toBeGreaterThan(15);
    expect(tournament).toBeLessThan(20);
    const practised = workMinutes(work(), 'practised', EVEN_PACE);
    expect(practised).toBeGreaterThan(18);
    expect(practised).toBeLessThan(32);
    expect(
      workMinutes(work({ sport: 'badminton', mains: 22, crosses: 21 }), 'practised', EVEN_PACE),
    ).toBeGreaterThan(practised);
  });

  it('grow less with what is done, and never to nothing', () => {
    const whole = workMinutes(work(), 'practised', EVEN_PACE);
    expect(workMinutes(work({ done: 20 }), 'practised', EVEN_PACE)).toBeLessThan(0.7 * whole);
    expect(workMinutes(work({ done: 500 }), 'practised', EVEN_PACE)).toBeCloseTo(0.05 * whole, 6);
  });

  it('spread as past jobs have, once there are some', () => {
    const job = (ratio: number) => [
      { group: 'mains' as const, expectedS: 600, tookS: 600 * ratio },
    ];
    const steady = Array.from({ length: 40 }, () => job(1.1));
    const wild = Array.from({ length: 40 }, (_, i) => job(i % 2 ? 0.7 : 1.4));
    expect(spreadOf(steady)).toBeLessThan(0.08);
    // The logarithms of 0.7 and 1.4 lie 0.347 from their mean.
    expect(spreadOf(wild)).toBeCloseTo(0.333, 2);
  });
});

describe('a day on which nobody is there', () => {
  // Source: arithmetic; the 5th of January 2026 is a Monday.
  const at = wallMinutes('2026-01-05T00:00');
  const open = (week: WeekHours, others: OtherDays = {}) => ({
    open: openSpans(week, others, at, 14),
  });
  const shut = (day: string, ...benches: readonly ReturnType<typeof open>[]) =>
    isShutOn(benches, wallMinutes(`2026-01-${day}T17:00`));
  const day: Hours = [['09:00', '18:00']];
  const weekdays: WeekHours = [day, day, day, day, day, [], []];
  const sunday: WeekHours = [[], [], [], [], [], [], [['10:00', '12:00']]];

  it('is one without hours, whatever the hour', () => {
    expect(shut('06', open(weekdays))).toBe(false);
    expect(shut('10', open(weekdays))).toBe(true);
    expect(isShutOn([open(weekdays)], wallMinutes('2026-01-05T03:00'))).toBe(false);
    expect(shut('07', open(weekdays, { '2026-01-07': [] }))).toBe(true);
  });

  it('is none where another bench is open', () => {
    expect(shut('11', open(weekdays))).toBe(true);
    expect(shut('11', open(weekdays), open(sunday))).toBe(false);
  });

  it('is not said of days that nobody has looked at', () => {
    expect(shut('31', open(weekdays))).toBe(false);
  });
});
