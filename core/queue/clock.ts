/** Minutes on the workshop's clock: wall times as one count, so that a promise and a bench can be reckoned with. */
import type { WallTime } from '../measure/promised-time';

/** From midnight to midnight on the same clock. */
const DAY_MIN = 1440;
const MINUTE_MS = 60_000;

/**
 * A wall time as minutes since the first day of 1970 on the same clock. Nobody strings while the clock is changed at
 * night, so a day has 1440 of them, as it has on the wall.
 *
 * @example
 * wallMinutes('1970-01-02T00:30') // 1470
 */
export const wallMinutes = (wall: WallTime): number =>
  Math.round(Date.parse(`${wall.slice(0, 16)}:00Z`) / MINUTE_MS);

/**
 * The wall time of such a count, to the whole minute.
 *
 * @example
 * wallOf(1470) // '1970-01-02T00:30'
 */
export const wallOf = (minutes: number): WallTime =>
  new Date(Math.round(minutes) * MINUTE_MS).toISOString().slice(0, 16);

/** From one minute to another, the second not in it. */
export type Span = readonly [from: number, to: number];

/** Hours of one weekday, as they are kept: `['09:00', '13:00']`. */
export type Hours = readonly (readonly [from: string, to: string])[];

/** By weekday, Monday first: when a bench is open; what lies between is a break. */
export type WeekHours = readonly [Hours, Hours, Hours, Hours, Hours, Hours, Hours];

/** Days that differ: a holiday has no hours, a long Saturday more. */
export type OtherDays = Readonly<Record<string, Hours>>;

const minutesOfDay = (text: string): number =>
  Number(text.slice(0, 2)) * 60 + Number(text.slice(3));

/** The first of January 1970 was a Thursday. */
const FIRST_WEEKDAY = 3;

/**
 * The spans in which a bench is open, from `from` on for so many days; in order, those that touch made one.
 *
 * @example
 * openSpans([[['09:00', '13:00']], [], [], [], [], [], []], {}, wallMinutes('2026-01-05T10:00'), 1).map((span) => span.map(wallOf)) // [['2026-01-05T10:00', '2026-01-05T13:00']]
 */
export function openSpans(
  week: WeekHours,
  others: OtherDays,
  from: number,
  days: number,
): readonly Span[] {
  const first = Math.floor(from / DAY_MIN);
  const spans = Array.from({ length: days }, (_, i) => first + i).flatMap((day): Span[] => {
    const hours =
      others[wallOf(day * DAY_MIN).slice(0, 10)] ??
      week[(((day + FIRST_WEEKDAY) % 7) + 7) % 7] ??
      [];
    return hours.map(([open, shut]): Span => [
      day * DAY_MIN + minutesOfDay(open),
      day * DAY_MIN + minutesOfDay(shut),
    ]);
  });
  return joined(spans.flatMap(([a, b]): Span[] => (b > from ? [[Math.max(a, from), b]] : [])));
}

/**
 * Spans in order, those that touch or overlap made one, empty ones left out.
 *
 * @example
 * joined([[60, 90], [0, 60], [5, 5]]) // [[0, 90]]
 */
export function joined(spans: readonly Span[]): readonly Span[] {
  const sorted = spans.filter(([a, b]) => b > a).toSorted((one, two) => one[0] - two[0]);
  const out: [number, number][] = [];
  for (const [a, b] of sorted) {
    const last = out.at(-1);
    if (last && a <= last[1]) last[1] = Math.max(last[1], b);
    else out.push([a, b]);
  }
  return out;
}

/**
 * So many minutes as one says them: `25 min`, `2 h 5 min`, `3 days`.
 *
 * @example
 * minutesWords(125) // '2 h 5 min'
 * minutesWords(4320) // '3 days'
 */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole >= 2 * DAY_MIN) return `${Math.round(whole / DAY_MIN)} days`;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/**
 * Whether no bench is open on the day of a time. Days beyond what is looked at are open.
 *
 * @param open by bench
 *
 * @example
 * isShutOn([{ open: [[0, 100], [3000, 3100]] }], 1500) // true
 */
export function isShutOn(open: readonly { readonly open: readonly Span[] }[], at: number): boolean {
  const day = Math.floor(at / DAY_MIN) * DAY_MIN;
  const spans = open.flatMap((bench) => bench.open);
  const isKnown = spans.some(([from]) => from > day + DAY_MIN);
  return isKnown && !spans.some(([from, until]) => from < day + DAY_MIN && until > day);
}
