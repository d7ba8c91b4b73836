/**
 * Promised times as they are typed: `fri`, `+2d`, `today 18:00`, `27.11. 17`. Everything is the
 * wall time of the workshop, written `2026-11-27T17:00`, so no time zone can shift a promise.
 */
import { addDays, format, isValid, parse } from 'date-fns';
import { failure, success, type Result } from './result';

/** `yyyy-MM-ddTHH:mm` on the workshop's clock. */
export type WallTime = string;

const WALL = "yyyy-MM-dd'T'HH:mm";
const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];
/** A day without an hour means closing time. */
const CLOSING = '18:00';
const EXAMPLES = 'Write a day and, if you like, an hour: fri, +2d, today 17:30 or 2026-12-01.';

/** The workshop's clock at an instant. `timeZone` is an IANA name. */
export function wallTime(instant: Date, timeZone: string): WallTime {
  const parts = new Intl.DateTimeFormat('sv-SE', {
    timeZone,
    dateStyle: 'short',
    timeStyle: 'short',
  }).format(instant);
  return parts.replace(' ', 'T');
}

const asDate = (wall: WallTime): Date => parse(wall, WALL, new Date(0));

function dayFrom(text: string, now: Date): Date | undefined {
  const word = text.toLowerCase();
  if (word === 'today') return now;
  if (word === 'tomorrow') return addDays(now, 1);
  const ahead = /^\+(\d{1,3})([dw])$/.exec(word);
  if (ahead) return addDays(now, Number(ahead[1]) * (ahead[2] === 'w' ? 7 : 1));
  const weekday = word.length >= 2 ? WEEKDAYS.findIndex((day) => day.startsWith(word)) : -1;
  if (weekday >= 0) return addDays(now, (weekday - now.getDay() + 7) % 7 || 7);
  const iso = parse(word, 'yyyy-MM-dd', now);
  if (/^\d{4}-\d\d-\d\d$/.test(word) && isValid(iso)) return iso;
  const short = /^(\d{1,2})\.(\d{1,2})\.?$/.exec(word);
  if (short) {
    const day = parse(`${short[1]}.${short[2]}`, 'd.M', now);
    if (!isValid(day)) return undefined;
    // A date without a year is the next one of that name, so 3.1. typed in December is in January.
    return format(day, 'MM-dd') < format(now, 'MM-dd')
      ? parse(`${short[1]}.${short[2]}.${now.getFullYear() + 1}`, 'd.M.yyyy', now)
      : day;
  }
  return undefined;
}

/** Reads a promise typed at `now`. A weekday is the next one, never today; a time that has passed is refused. */
export function parsePromise(text: string, now: WallTime): Result<WallTime> {
  const match = /^(\S+?)(?:[\sT]+(\d{1,2})(?::(\d\d))?h?)?$/.exec(text.trim());
  const today = asDate(now);
  const day = match?.[1] ? dayFrom(match[1], today) : undefined;
  if (!match || !day || !isValid(day)) return failure(EXAMPLES);
  const hour =
    match[2] === undefined ? CLOSING : `${match[2].padStart(2, '0')}:${match[3] ?? '00'}`;
  if (hour > '23:59' || Number(hour.slice(3)) > 59)
    return failure('Hours run from 0 to 23, minutes from 00 to 59: 17:30.');
  const wall = `${format(day, 'yyyy-MM-dd')}T${hour}`;
  if (wall < now) return failure(`${formatWall(wall, now)} has passed. ${EXAMPLES}`);
  if (day > addDays(today, 366)) return failure('A promise lies within a year from now.');
  return success(wall);
}

/** `today 17:30`, `tomorrow 18:00`, `Fri 27 Nov 18:00`; the year only when it is another. */
export function formatWall(wall: WallTime, now: WallTime): string {
  const day = wall.slice(0, 10);
  const today = asDate(now);
  const time = wall.slice(11);
  if (day === now.slice(0, 10)) return `today ${time}`;
  if (day === format(addDays(today, 1), 'yyyy-MM-dd')) return `tomorrow ${time}`;
  const sameYear = day.slice(0, 4) === now.slice(0, 4);
  return `${format(asDate(wall), sameYear ? 'EEE d MMM' : 'EEE d MMM yyyy')} ${time}`;
}

/** `27 Nov 2026`. */
export const formatDay = (wall: WallTime): string => format(asDate(wall), 'd MMM yyyy');
