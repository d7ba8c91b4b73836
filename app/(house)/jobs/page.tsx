import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { searchText } from '@/app/search-text';
import { formatMoney } from '@/core/measure/money';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { ListPage, RowLink, Table } from '@/ui/list-page';
import { TicketFigure } from '@/ui/ticket-figure';

export const metadata: Metadata = { title: 'Jobs' };

export default async function JobsPage({ searchParams }: PageProps<'/jobs'>) {
  const find = searchText(await searchParams);
  const { workshop, tickets } = await openFor('see records');
  const jobs = await tickets.closed(find);
  return (
    <ListPage
      title="Jobs on record"
      search={find}
      searchLabel="Find by number, client, frame or mark"
    >
      <p className="mb-4">
        <Link href="/jobs/withdrawn" className="underline">
          Withdrawn tickets
        </Link>
      </p>
      <Table
        head={['Job', 'Handed over', 'Client', 'Racket', 'Tension', 'Mains', 'Crosses', 'Price']}
        empty={find ? `No job goes by “${find}”.` : 'No job has been handed over yet.'}
        rows={jobs.flatMap(
          ({ number, closedAt, clientName, mark, record, labourMinor, stringMinor }) =>
            record && closedAt
              ? [
                  {
                    key: String(number),
                    cells: [
                      <RowLink key="link" href={`/jobs/${number}`}>
                        {number}
                      </RowLink>,
                      formatDay(wallTime(closedAt, workshop.timeZone)),
                      clientName,
                      `${record.racket.frameName}${mark ? `, ${mark}` : ''}`,
                      <TicketFigure key="tension" tension={record.setup} />,
                      `${record.setup.mains.name} ${record.setup.mains.gaugeMm.toFixed(2)}`,
                      `${record.setup.crosses.name} ${record.setup.crosses.gaugeMm.toFixed(2)}`,
                      formatMoney((labourMinor ?? 0) + (stringMinor ?? 0), workshop.currency),
                    ],
                  },
                ]
              : [],
        )}
      />
    </ListPage>
  );
}
