import { calendarText } from '@/app/calendar-of';
import { may } from '@/core/house/role-rights';
import { feedAt } from '@/db/calendar-feeds';
import { linkToken } from '@/db/client-links';
import { database } from '@/db/connection';
import { behindWalls } from '@/db/walls';
import { enterWorkshop } from '@/db/workshop';

const NOTHING = 'There is no calendar at this address any more. Its owner makes a new one.';

/** The day of a workshop for a calendar that subscribes to it; what its owner may see, while they belong there. */
export async function GET(_: Request, { params }: RouteContext<'/calendars/[token]'>) {
  const { token } = await params;
  const db = database();
  const feed = linkToken.test(token)
    ? await behindWalls(db, {}, (transaction) => feedAt(transaction, token))
    : undefined;
  const open = feed && (await enterWorkshop(db, feed));
  if (!open || !may(open.role, 'see the day')) return new Response(NOTHING, { status: 404 });
  return new Response(await calendarText(open, open.workshop, may(open.role, 'see records')), {
    headers: { 'Content-Type': 'text/calendar; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
