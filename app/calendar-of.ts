/** The workshop's day for calendars: what is promised, and which beds are due. */
import { addDays, subDays } from 'date-fns';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { LONGEST_DAYS } from '@/core/ageing/life';
import type { Records, Workshop } from '@/db/workshop';
import { calendarOf, type CalendarEntry } from '@/formats/calendar';
import { workOutDueDays } from './due-days';

const named = (frame: string, mark: string): string => `${frame}${mark ? `, ${mark}` : ''}`;

/** Beds that were due longer ago are left out: their owners have been told, or have gone. */
const DUE_SINCE_DAYS = 60;
/** A calendar with more entries serves nobody. */
const MOST_BEDS = 5000;

export async function calendarText(
  records: Records,
  workshop: Pick<Workshop, 'id' | 'name' | 'timeZone' | 'houseRules'>,
  withDue: boolean,
): Promise<string> {
  const now = new Date();
  const promised = (await records.tickets.open()).map((ticket): CalendarEntry => ({
    id: `ticket-${ticket.number}-${workshop.id}`,
    title: `${ticket.number} ${ticket.clientName}, ${named(ticket.frameName, ticket.mark)}`,
    detail: ticket.wish,
    at: ticket.promised,
  }));
  if (withDue) await workOutDueDays(records, workshop);
  const beds = withDue
    ? await records.bedsOut.due(
        dayAt(subDays(now, DUE_SINCE_DAYS), workshop.timeZone),
        dayAt(addDays(now, LONGEST_DAYS), workshop.timeZone),
        MOST_BEDS,
      )
    : [];
  const due = beds.map(
    ({ racketId, number, client, racket, mark, closedAt, due: { day } }): CalendarEntry => ({
      id: `due-${racketId}`,
      title: `Due: ${client}, ${named(racket, mark)}`,
      detail: `Strung ${formatDay(dayAt(closedAt, workshop.timeZone))}, job ${number}.`,
      at: day,
    }),
  );
  return calendarOf(workshop.name, [...promised, ...due], now, workshop.timeZone);
}
