import { subDays } from 'date-fns';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { sendSoon } from '@/app/outbox';
import { pageNumber } from '@/app/search-text';
import { onePage, span } from '@/db/a-page';
import { dayAt, formatWall, wallTime } from '@/core/measure/promised-time';
import { houseAgeing } from '@/app/house-ageing';
import { bedToday } from '@/core/ageing/bed-today';
import { cameAgainFigures } from '@/core/ageing/court';
import { countWords } from '@/core/terms/count-words';
import { Pages, RowLink, Table } from '@/ui/list-page';
import { Press } from '@/ui/press';
import { dropLetter, retryLetter } from './actions';

export const metadata: Metadata = { title: 'Outbox' };

/** How many of those that came again are looked at. */
const CAME_AT_MOST = 200;
const YEAR_DAYS = 365;

/** Messages to clients: what waits, what did not go out and why, and what was sent. */
export default async function OutboxPage({ searchParams }: PageProps<'/outbox'>) {
  const open = await openFor('write to clients');
  const { outbox, jobs, workshop } = open;
  sendSoon(open);
  const now = wallTime(new Date(), workshop.timeZone);
  const page = pageNumber(await searchParams);
  const [all, brought, came] = await Promise.all([
    outbox.latest(...span(page)),
    outbox.broughtByReminders(),
    jobs.cameAgain(subDays(new Date(), YEAR_DAYS), CAME_AT_MOST),
  ]);
  const { rows: letters, more } = onePage(all);
  const zone = workshop.timeZone;
  const again = cameAgainFigures(
    came.map(({ closedAt, cameAt, sport, setup, talk }) => {
      const strung = dayAt(closedAt, zone);
      const bed = { setup, frame: { sport }, advice: talk && { talk } };
      return {
        dueDay: bedToday(bed, strung, strung, houseAgeing(workshop)).due.day,
        cameDay: dayAt(cameAt, zone),
      };
    }),
  );
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Outbox</h1>
        {again.rackets > 0 && (
          <p className="label">
            {again.rackets < CAME_AT_MOST
              ? `In a year ${countWords(again.rackets, 'racket')} came again`
              : `Of the last ${CAME_AT_MOST} rackets that came again`}
            , {again.inTime} by the due day
            {again.lateDays > 0 &&
              `, the others ${countWords(again.lateDays, 'day')} later as a rule`}
            .
          </p>
        )}
        {brought.sent > 0 && (
          <p className="label">
            Of {countWords(brought.sent, 'reminder')} in a year {brought.came} brought the racket
            within a month.
          </p>
        )}
      </div>
      <Table
        head={['Made', 'About', 'To', 'Subject', 'What became of it', '']}
        empty="No message was written yet. They are written from a closed job, to clients who said that they may be."
        rows={letters.map(({ letter, clientName, number }) => ({
          key: letter.id,
          cells: [
            formatWall(wallTime(letter.at, workshop.timeZone), now),
            <RowLink key="job" href={`/jobs/${number}`}>
              {letter.kind}, job {number}
            </RowLink>,
            `${clientName}, ${letter.toAddress}`,
            letter.subject,
            letter.sentAt ? (
              `sent ${formatWall(wallTime(letter.sentAt, workshop.timeZone), now)}`
            ) : (
              <span key="state" className={letter.failure ? 'text-warn' : undefined}>
                {letter.failure || 'waits'}
                {letter.failure && !letter.given && ' It is tried again by itself.'}
              </span>
            ),
            letter.sentAt ? null : (
              <span key="press" className="flex gap-4">
                <Press action="Try now" press={retryLetter.bind(null, workshop.id, letter.id)} />
                {!letter.given && (
                  <Press action="Take out" press={dropLetter.bind(null, workshop.id, letter.id)} />
                )}
              </span>
            ),
          ],
        }))}
      />
      <Pages path="/outbox" page={page} more={more} />
    </main>
  );
}
