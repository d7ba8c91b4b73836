/** A time zone as a calendar file carries it: VTIMEZONE (RFC 5545, 3.6.5), from the rules that the runtime knows. */
import { wallTime } from '@/core/measure/promised-time';
import { wallMinutes } from '@/core/queue/clock';

const DAY_MS = 86_400_000;

/** Minutes ahead of UTC at an instant. */
const offsetAt = (zone: string, instant: number): number =>
  wallMinutes(wallTime(new Date(instant), zone)) - Math.floor(instant / 60_000);

/** The first instant of another offset between two of which the second has it, to the minute. */
function changeBetween(zone: string, from: number, to: number): number {
  let [low, high] = [from, to];
  const before = offsetAt(zone, from);
  while (high - low > 60_000) {
    const middle = Math.floor((low + high) / 2 / 60_000) * 60_000;
    if (offsetAt(zone, middle) === before) low = middle;
    else high = middle;
  }
  return high;
}

const offsetWords = (minutes: number): string => {
  const [hours, rest] = [Math.floor(Math.abs(minutes) / 60), Math.abs(minutes) % 60];
  return `${minutes < 0 ? '-' : '+'}${String(hours).padStart(2, '0')}${String(rest).padStart(2, '0')}`;
};
/** A wall time as RFC 5545 writes it, from an instant and its offset. */
const wallWords = (instant: number, offset: number): string =>
  new Date(instant + offset * 60_000).toISOString().replace(/[-:]|\.\d{3}Z/g, '');

/**
 * The zone with every change of its clock between two instants, each as an observance of its own.
 *
 * @param zone an IANA name
 */
export function timeZoneLines(zone: string, from: Date, to: Date): readonly string[] {
  const start = Math.floor(from.getTime() / DAY_MS) * DAY_MS;
  const changes = [{ at: start, before: offsetAt(zone, start), after: offsetAt(zone, start) }];
  for (let day = start; day < to.getTime(); day += DAY_MS) {
    const [before, after] = [offsetAt(zone, day), offsetAt(zone, day + DAY_MS)];
    if (before !== after)
      changes.push({ at: changeBetween(zone, day, day + DAY_MS), before, after });
  }
  const usual = Math.min(...changes.map(({ after }) => after));
  return [
    'BEGIN:VTIMEZONE',
    `TZID:${zone}`,
    ...changes.flatMap(({ at, before, after }) => {
      const kind = after > usual ? 'DAYLIGHT' : 'STANDARD';
      return [
        `BEGIN:${kind}`,
        // An observance begins by the clock that was before it.
        `DTSTART:${wallWords(at, before)}`,
        `TZOFFSETFROM:${offsetWords(before)}`,
        `TZOFFSETTO:${offsetWords(after)}`,
        `END:${kind}`,
      ];
    }),
    'END:VTIMEZONE',
  ];
}
