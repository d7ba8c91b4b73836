import { openFor } from '@/app/identity/at-work';
import { calendarOf, type CalendarEntry } from '@/formats/calendar';

/** What is promised, as a calendar file. */
export async function GET() {
  const { tickets, workshop } = await openFor('see the day');
  const open = await tickets.open();
  const entries = open.map(
    ({ number, clientName, frameName, mark, wish, promised }): CalendarEntry => ({
      id: `ticket-${number}-${workshop.id}`,
      title: `${number} ${clientName}, ${frameName}${mark ? `, ${mark}` : ''}`,
      detail: wish,
      at: promised,
    }),
  );
  return new Response(calendarOf(workshop.name, entries, new Date()), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="promised.ics"',
    },
  });
}
