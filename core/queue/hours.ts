/** When a bench is open, as it is typed and kept. */
import { z } from 'zod';
import { plainFigures } from '../measure/figures';
import { failure, success, type Result } from '../terms/result';
import type { Hours, OtherDays, WeekHours } from './clock';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/);
const hoursSchema = z.array(z.tuple([time, time])).max(6);
const weekHoursSchema = z.tuple([
  hoursSchema,
  hoursSchema,
  hoursSchema,
  hoursSchema,
  hoursSchema,
  hoursSchema,
  hoursSchema,
]);
const otherDaysSchema = z.record(z.iso.date(), hoursSchema);

/** The hours of a bench: by weekday, and on days that differ. */
export interface BenchHours {
  readonly week: WeekHours;
  readonly others: OtherDays;
}
export const benchHoursSchema: z.ZodType<BenchHours> = z.object({
  week: weekHoursSchema,
  others: otherDaysSchema,
});

/** The days of an event with the hours of its benches. */
export const eventDaysSchema: z.ZodType<{ readonly days: OtherDays }> = z.object({
  days: otherDaysSchema,
});

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

const DAY: Hours = [
  ['09:00', '13:00'],
  ['14:00', '18:00'],
];
/** Of a workshop that has not said its own. */
export const USUAL_WEEK: WeekHours = [DAY, DAY, DAY, DAY, DAY, [['09:00', '13:00']], []];

const PART = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d{2}))?$/;

/**
 * The hours of one day: `9-13 14:30-18`, or nothing for a day on which it is shut. Errors: what is no time, what ends
 * before it begins, and what overlaps.
 *
 * @example
 * parseHours('9-13, 14:30-18').value // [['09:00', '13:00'], ['14:30', '18:00']]
 * parseHours('closed').value // []
 */
export function parseHours(text: string): Result<Hours> {
  const tidy = plainFigures(text).toLowerCase();
  if (/^(closed|shut|-|)$/.test(tidy)) return success([]);
  const parts = tidy
    .replace(/\s*(-|–|to)\s*/g, '-')
    .split(/[\s,;]+/)
    .filter(Boolean);
  const hours: [string, string][] = [];
  for (const part of parts) {
    const match = PART.exec(part);
    const [from, to] = [timeIn(match?.[1], match?.[2]), timeIn(match?.[3], match?.[4])];
    if (!match || !from || !to) return failure('hours.unread', { typed: part.slice(0, 20) });
    if (to <= from) return failure('hours.reversed', { typed: part });
    const last = hours.at(-1);
    if (last && from < last[1]) return failure('hours.overlap', { typed: part });
    hours.push([from, to]);
  }
  return hours.length > 6 ? failure('hours.too many') : success(hours);
}

function timeIn(hours: string | undefined, minutes = '00'): string | undefined {
  const written = `${(hours ?? '').padStart(2, '0')}:${minutes}`;
  return time.safeParse(written).success ? written : undefined;
}

/**
 * `9:00-13:00 14:30-18:00`
 *
 * @example
 * formatHours([['09:00', '13:00']]) // '9:00-13:00'
 */
export const formatHours = (hours: Hours): string =>
  hours.map((part) => part.map((each) => each.replace(/^0/, '')).join('-')).join(' ');

/**
 * Days that differ, one a line: `2026-12-24 9-12`, `2026-12-25 closed`. Errors: what is no day, what `parseHours` refuses,
 * and a day on two lines.
 *
 * @example
 * parseOtherDays('2026-12-25 closed').value // { '2026-12-25': [] }
 */
export function parseOtherDays(text: string): Result<OtherDays> {
  const days: Record<string, Hours> = {};
  for (const line of text.split('\n').map((each) => each.trim())) {
    if (line === '') continue;
    const [, day = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(line) ?? [];
    if (!z.iso.date().safeParse(day).success)
      return failure('hours.no day', { typed: line.slice(0, 30) });
    if (days[day]) return failure('hours.day twice', { day });
    const hours = parseHours(rest);
    if (!hours.ok) return hours;
    days[day] = hours.value;
  }
  return Object.keys(days).length > 400 ? failure('hours.too many') : success(days);
}

/**
 * The same as it is typed.
 *
 * @example
 * formatOtherDays({ '2026-12-25': [] }) // '2026-12-25 closed'
 */
export const formatOtherDays = (days: OtherDays): string =>
  Object.entries(days)
    .toSorted(([a], [b]) => a.localeCompare(b))
    .map(([day, hours]) => `${day} ${formatHours(hours) || 'closed'}`)
    .join('\n');
