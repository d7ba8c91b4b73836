import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { openFor } from '@/app/identity/at-work';
import { routeNumber } from '@/app/route-id';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { searchText } from '@/app/search-text';
import { LOOKED_THROUGH } from '@/db/trail';
import { ListPage, Table } from '@/ui/list-page';
import { aboutWords, changeWords } from './trail-words';

export const metadata: Metadata = { title: 'Every change' };

const PAGE = 60;

const nothing = (find: string, more: boolean): string => {
  if (find === '') return 'Nothing was changed yet.';
  const among = more ? ` among ${LOOKED_THROUGH.toLocaleString('en-GB')} changes` : '';
  return `No change by or about “${find}”${among}.`;
};

/** Who changed what and when, the latest first; of one ticket, where one is named. */
export default async function TrailPage({ searchParams }: PageProps<'/workshop/trail'>) {
  const { workshop, trail, tickets } = await openFor('see the trail');
  const asks = await searchParams;
  const { ticket: asked, before } = asks;
  const find = searchText(asks);
  const ticket = typeof asked === 'string' ? await tickets.get(routeNumber(asked)) : undefined;
  const from = typeof before === 'string' && /^\d{1,15}$/.test(before) ? Number(before) : undefined;
  const { entries, next } = ticket
    ? await trail.of('tickets', ticket.id, PAGE, from)
    : await trail.latest(PAGE, find, from);
  return (
    <ListPage title="Every change" search={find} searchLabel="Find by who, or by what it was about">
      <div className="mb-1 flex flex-wrap items-baseline gap-x-6">
        {ticket ? (
          <>
            <Link href={`/tickets/${ticket.number}`} className="underline">
              of ticket {ticket.number}
            </Link>
            <Link href="/workshop/trail" className="underline">
              of the workshop
            </Link>
          </>
        ) : (
          <Link href="/workshop/people" className="underline">
            People
          </Link>
        )}
      </div>
      <p className="label mb-4">
        Written by the database itself. It is only added to; nobody takes anything out of it.
      </p>
      <Table
        head={['When', 'Who', 'What', 'Change']}
        empty={nothing(find, next !== undefined)}
        rows={entries.map((entry) => {
          const at = wallTime(entry.at, workshop.timeZone);
          return {
            key: String(entry.id),
            cells: [
              <span key="at" className="whitespace-nowrap">
                {formatDay(at)} {at.slice(11, 16)}
              </span>,
              entry.who ?? <span className="text-soft">the machine itself</span>,
              aboutWords(entry),
              <span key="change" className="line-clamp-3">
                {changeWords(entry)}
              </span>,
            ],
          };
        })}
      />
      {next !== undefined && (
        <p className="mt-4">
          <Link
            href={`/workshop/trail?${ticket ? `ticket=${ticket.number}` : `find=${encodeURIComponent(find)}`}&before=${next}`}
            className="underline"
          >
            Earlier ones
          </Link>
        </p>
      )}
    </ListPage>
  );
}
