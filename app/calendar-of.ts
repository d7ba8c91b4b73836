/** The workshop's day for calendars: what is promised, and which beds are due. */
import { subDays } from 'date-fns';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { bedToday } from '@/core/ageing/bed-today';
import { houseAgeing } from './house-ageing';
import { LONGEST_DAYS } from '@/core/ageing/life';
import type { Records, Workshop } from '@/db/workshop';
import { calendarOf, type CalendarEntry } from '@/formats/calendar';

const named = (frame: string, mark: string): string => `${frame}${mark ? `, ${mark}` : ''}`;

/** Beds that were due longer ago are left out: their owners have been told, or have gone. */
const DUE_SINCE_DAYS = 60;

export async function calendarText(
  { tickets, jobs }: Records,
  workshop: Pick<Workshop, 'id' | 'name' | 'timeZone' | 'houseRules'>,
  withDue: boolean,
): Promise<string> {
  const now = new Date();
  const promised = (await tickets.open()).map((ticket): CalendarEntry => ({
    id: `ticket-${ticket.number}-${workshop.id}`,
    title: `${ticket.number} ${ticket.clientName}, ${named(ticket.frameName, ticket.mark)}`,
    detail: ticket.wish,
    at: ticket.promised,
  }));
  const latest = withDue
    ? await jobs.latestOfRackets(subDays(now, LONGEST_DAYS + DUE_SINCE_DAYS))
    : [];
  const due = latest.flatMap((job): readonly CalendarEntry[] => {
    const strung = dayAt(job.closedAt, workshop.timeZone);
    const advice = job.talk && { talk: job.talk };
    const bed = { setup: job.setup, frame: { sport: job.sport }, advice };
    const { day } = bedToday(bed, strung, strung, {
      ...houseAgeing(workshop),
      playsAWeek: job.playsAWeek,
      heat: job.heat,
    }).due;
    if (day < dayAt(subDays(now, DUE_SINCE_DAYS), workshop.timeZone)) return [];
    return [
      {
        id: `due-${job.racketId}`,
        title: `Due: ${job.client}, ${named(job.racket, job.mark)}`,
        detail: `Strung ${formatDay(strung)}, job ${job.number}.`,
        at: day,
      },
    ];
  });
  return calendarOf(workshop.name, [...promised, ...due], now);
}
