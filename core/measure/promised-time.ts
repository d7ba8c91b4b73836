/**
 * Promised times as they are typed: `fri`, `+2d`, `today 18:00`, `27.11. 17`, `24 dec`, `5pm`, `next week`. Everything is the
 * wall time of the workshop, written `2026-11-27T17:00`, so no time zone can shift a promise.
 */
import { addDays, format, isValid, parse } from 'date-fns';
import { plainFigures } from './figures';
import { failure, success, type Result } from '../terms/result';

/** `yyyy-MM-ddTHH:mm` on the workshop's clock. */
export type WallTime = string;

const WALL = "yyyy-MM-dd'T'HH:mm";
const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];
/** A day without an hour means closing time. */
const CLOSING = '18:00';

/** By time zone: to make one takes longer than to read a hundred instants by it. */
const clocks = new Map<string, Intl.DateTimeFormat>();

/**
 * The workshop's clock at an instant. `timeZone` is an IANA name.
 *
 * @example
 * wallTime(new Date('2026-01-05T08:00:00Z'), 'Europe/Vienna') // '2026-01-05T09:00'
 */
export function wallTime(instant: Date, timeZone: string): WallTime {
  const clock =
    clocks.get(timeZone) ??
    new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' });
  clocks.set(timeZone, clock);
  return clock.format(instant).replace(' ', 'T');
}

const asDate = (wall: WallTime): Date => parse(wall, WALL, new Date(0));

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day of a month without a year is the next one of that name, so 3.1. typed in December is in January. */
function nextOfName(day: number, month: number, now: Date): Date | undefined {
  const inYear = (year: number) => parse(`${day}.${month}.${year}`, 'd.M.yyyy', now);
  const here = inYear(now.getFullYear());
  const passed = isValid(here) && format(here, 'MM-dd') < format(now, 'MM-dd');
  // The 29th of February waits for a year that has one, if that is the next.
  const date = passed || !isValid(here) ? inYear(now.getFullYear() + 1) : here;
  return isValid(date) ? date : undefined;
}

function dayFrom(word: string, now: Date): Date | undefined {
  if (word === 'today' || word === 'tonight') return now;
  if (word === 'tomorrow') return addDays(now, 1);
  if (word === 'next week') return addDays(now, 7);
  const ahead = /^(?:\+|in )(\d{1,3}) ?(d|days?|w|weeks?)$/.exec(word);
  if (ahead) return addDays(now, Number(ahead[1]) * (ahead[2]?.startsWith('w') ? 7 : 1));
  const name = word.replace(/^(next|on) /, '');
  const weekday = name.length >= 2 ? WEEKDAYS.findIndex((day) => day.startsWith(name)) : -1;
  if (weekday >= 0) return addDays(now, (weekday - now.getDay() + 7) % 7 || 7);
  const iso = parse(word, 'yyyy-MM-dd', now);
  if (/^\d{4}-\d\d-\d\d$/.test(word) && isValid(iso)) return iso;
  const short = /^(\d{1,2})\.(\d{1,2})\.?$/.exec(word);
  if (short) return nextOfName(Number(short[1]), Number(short[2]), now);
  const named =
    /^(?<day>\d{1,2})(?:st|nd|rd|th|\.)? ?(?<month>[a-z]{3,9})$/.exec(word) ??
    /^(?<month>[a-z]{3,9}) ?(?<day>\d{1,2})(?:st|nd|rd|th)?$/.exec(word);
  const month = MONTHS.indexOf(named?.groups?.month?.slice(0, 3) ?? '');
  return month < 0 ? undefined : nextOfName(Number(named?.groups?.day), month + 1, now);
}

/** `17:30`, `17.30h`, `5pm`, `5:30 pm`, `5`, `noon`: minutes are optional. */
const HOUR = /^(?:at )?(?:(\d{1,2})(?:[:.](\d\d))? ?(am|pm|h)?|(noon))$/;

/** An hour as `17:30`; a sentence where it is an hour that no clock has; undefined for no hour at all. */
function hourFrom(word: string): Result<string> | undefined {
  const match = HOUR.exec(word);
  if (!match) return undefined;
  if (match[4]) return success('12:00');
  const [, hourText = '', minute = '00', half] = match;
  const typed = Number(hourText);
  const isTwelve = half === 'am' || half === 'pm';
  // Said bare, one to seven is in the afternoon: no shop hands over before it opens.
  const isAfternoon = half === undefined && !hourText.startsWith('0') && typed >= 1 && typed <= 7;
  const hour = isTwelve ? (typed % 12) + (half === 'pm' ? 12 : 0) : typed + (isAfternoon ? 12 : 0);
  if (hour > 23 || Number(minute) > 59 || (isTwelve && (typed < 1 || typed > 12)))
    return failure('time.no hour');
  return success(`${String(hour).padStart(2, '0')}:${minute}`);
}

/** Every way to part what was typed into a day and an hour after it, the longest hour first. */
function* partings(text: string): Generator<readonly [day: string, hour: string]> {
  if (text !== '') yield [text, ''];
  // A number alone may be a day as well as an hour.
  if (/\D/.test(text)) yield ['', text];
  for (const { index } of text.matchAll(/[ t]/g))
    if (index > 0) yield [text.slice(0, index), text.slice(index + 1)];
}

/**
 * Reads a promise typed at `now`, both on the workshop's clock. A weekday is the next one, never today; an
 * hour alone is today's, or tomorrow's when it has passed; a time that has passed is refused.
 *
 * @example
 * parsePromise('friday 5pm', '2026-11-25T09:00') // { ok: true, value: '2026-11-27T17:00' }
 */
export function parsePromise(text: string, now: WallTime): Result<WallTime> {
  const today = asDate(now);
  const tidy = plainFigures(text).toLowerCase();
  let wrongHour: Result<WallTime> | undefined;
  for (const [dayText, hourText] of partings(tidy)) {
    const hour = hourText === '' ? success(CLOSING) : hourFrom(hourText.trim());
    const day = dayText === '' ? today : dayFrom(dayText.trim(), today);
    if (hour === undefined || day === undefined || !isValid(day)) continue;
    if (!hour.ok) {
      wrongHour = hour;
      continue;
    }
    const on = (date: Date): WallTime => `${format(date, 'yyyy-MM-dd')}T${hour.value}`;
    const wall = dayText === '' && on(day) < now ? on(addDays(day, 1)) : on(day);
    if (wall < now) return failure('time.passed', { when: formatWall(wall, now) });
    if (day > addDays(today, 366)) return failure('time.too far');
    return success(wall);
  }
  return wrongHour ?? failure('time.unread');
}

/**
 * `today 17:30`, `tomorrow 18:00`, `Fri 27 Nov 18:00`; the year only when it is another. What is read on another day, as on
 * paper, has no `now`: the day stands there whole.
 *
 * @example
 * formatWall('2026-11-27T17:00', '2026-11-26T09:00') // 'tomorrow 17:00'
 * @example
 * formatWall('2026-11-27T17:00') // 'Fri 27 Nov 2026 17:00'
 */
export function formatWall(wall: WallTime, now?: WallTime): string {
  if (now === undefined) return format(asDate(wall), 'EEE d MMM yyyy HH:mm');
  const day = wall.slice(0, 10);
  const today = asDate(now);
  const time = wall.slice(11);
  if (day === now.slice(0, 10)) return `today ${time}`;
  if (day === format(addDays(today, 1), 'yyyy-MM-dd')) return `tomorrow ${time}`;
  const sameYear = day.slice(0, 4) === now.slice(0, 4);
  return `${format(asDate(wall), sameYear ? 'EEE d MMM' : 'EEE d MMM yyyy')} ${time}`;
}

/**
 * The hour of a time today, and its weekday before it on another day.
 *
 * @example
 * hourOn('2026-11-27T08:40', '2026-11-26T23:00') // 'Fri 08:40'
 * hourOn('2026-11-26T23:30', '2026-11-26T23:00') // '23:30'
 */
export const hourOn = (wall: WallTime, now: WallTime): string =>
  wall.slice(0, 10) === now.slice(0, 10) ? wall.slice(11) : format(asDate(wall), 'EEE HH:mm');

/**
 * A day as a place writes it, BCP 47.
 *
 * @example
 * formatDayIn('2026-01-05', 'de-AT') // '5. Jänner 2026'
 */
export const formatDayIn = (day: string, locale: string): string =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(
    new Date(`${day.slice(0, 10)}T12:00:00Z`),
  );

/**
 * `27 Nov 2026`, of a time or of a day.
 *
 * @example
 * formatDay('2026-01-05T09:00') // '5 Jan 2026'
 * formatDay('2026-01-05') // '5 Jan 2026'
 */
export const formatDay = (wall: WallTime): string =>
  format(asDate(`${wall.slice(0, 10)}T00:00`), 'd MMM yyyy');

/**
 * The day of an instant on the workshop's clock.
 *
 * @example
 * dayAt(new Date('2026-01-05T23:30:00Z'), 'Europe/Vienna') // '2026-01-06'
 */
export const dayAt = (instant: Date, timeZone: string): string =>
  wallTime(instant, timeZone).slice(0, 10);
