/** Promised and due times as a calendar: iCalendar (RFC 5545). */
import { asText, fileOf } from './lines';
import { timeZoneLines } from './time-zone';

export interface CalendarEntry {
  /** The same for the same thing, also in a later file. */
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  /** On the workshop's clock: `2026-11-27T17:00`, or a whole day `2026-11-27`. */
  readonly at: string;
}

const stamp = (at: Date): string => at.toISOString().replace(/[-:]|\.\d{3}/g, '');

/** A promise takes half an hour of the calendar, a due day takes the day. */
const MINUTES = 'PT30M';

function entryLines(
  { id, title, detail, at }: CalendarEntry,
  made: Date,
  zone: string,
): readonly string[] {
  const plain = at.replace(/[-:]/g, '');
  return [
    'BEGIN:VEVENT',
    `UID:${id}@orthotens`,
    `DTSTAMP:${stamp(made)}`,
    // Times of the workshop's own clock, wherever the calendar is read.
    ...(plain.includes('T')
      ? [`DTSTART;TZID=${zone}:${plain}00`, `DURATION:${MINUTES}`]
      : [`DTSTART;VALUE=DATE:${plain}`, 'TRANSP:TRANSPARENT']),
    `SUMMARY:${asText(title)}`,
    ...(detail ? [`DESCRIPTION:${asText(detail)}`] : []),
    'END:VEVENT',
  ];
}

const YEAR_MS = 366 * 86_400_000;

/** A calendar of the workshop's clock, which it carries along with all changes of the clock around its entries. */
export function calendarOf(
  name: string,
  entries: readonly CalendarEntry[],
  made: Date,
  zone: string,
): string {
  const times = [
    made.getTime(),
    ...entries.map(({ at }) => Date.parse(`${at.slice(0, 10)}T00:00Z`)),
  ];
  const from = new Date(Math.min(...times) - YEAR_MS);
  const to = new Date(Math.max(...times) + YEAR_MS);
  return fileOf([
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Orthotens//Orthotens//EN',
    `NAME:${asText(name)}`,
    ...timeZoneLines(zone, from, to),
    ...entries.flatMap((entry) => entryLines(entry, made, zone)),
    'END:VCALENDAR',
  ]);
}
