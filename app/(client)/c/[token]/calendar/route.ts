import { ageingOf } from '@/app/ageing-of';
import { openLink } from '@/app/client-page-at';
import { dayAt } from '@/core/measure/promised-time';
import { calendarOf } from '@/formats/calendar';

/** The day on which a racket is due, for its owner's calendar (RFC 5545). */
export async function GET(_: Request, { params }: RouteContext<'/c/[token]/calendar'>) {
  const { work, racketId } = await openLink((await params).token);
  const text = await work(async (records) => {
    const workshop = await records.shopOfLink();
    const racket = await records.rackets.get(racketId);
    const now = new Date();
    const ageing =
      racket && !racket.removedAt
        ? await ageingOf(records, workshop, racket, dayAt(now, workshop.timeZone))
        : undefined;
    return calendarOf(
      workshop.name,
      racket && ageing
        ? [
            {
              id: `due-${racketId}`,
              title: `Strings are due: ${racket.frameName}${racket.mark && `, ${racket.mark}`}`,
              detail: workshop.name,
              at: ageing.today.due.day,
            },
          ]
        : [],
      now,
      workshop.timeZone,
    );
  });
  return new Response(text, {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="due.ics"',
      'Cache-Control': 'no-store',
    },
  });
}
