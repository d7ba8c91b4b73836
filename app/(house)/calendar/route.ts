import { calendarText } from '@/app/calendar-of';
import { openFor } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';

/** What is promised and due, as a calendar file. */
export async function GET() {
  const { workshop, role, ...records } = await openFor('see the day');
  return new Response(await calendarText(records, workshop, may(role, 'see records')), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="workshop.ics"',
    },
  });
}
