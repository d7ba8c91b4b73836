import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { openFor } from '@/app/identity/at-work';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { pageNumber } from '@/app/search-text';
import { onePage, span } from '@/db/a-page';
import { Pages, RowLink, Table } from '@/ui/list-page';

export const metadata: Metadata = { title: 'Withdrawn' };

/** Tickets that were not wanted any more, which can be taken up again, and jobs that were voided, which cannot. */
export default async function WithdrawnPage({ searchParams }: PageProps<'/jobs/withdrawn'>) {
  const page = pageNumber(await searchParams);
  const { workshop, tickets } = await openFor('see records');
  const { rows, more } = onePage(await tickets.withdrawn(...span(page)));
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Withdrawn</h1>
        <Link href="/jobs" className="underline">
          Jobs on record
        </Link>
      </div>
      <Table
        head={['Ticket', 'Withdrawn', 'Client', 'Racket', 'Why']}
        empty="No ticket was withdrawn."
        rows={rows.map(
          ({ number, wasClosedAt, withdrawnAt, clientName, frameName, mark, withdrawnWhy }) => ({
            key: String(number),
            cells: [
              <RowLink
                key="link"
                href={wasClosedAt ? `/jobs/${number}` : `/tickets/${number}/take-in`}
              >
                {number}
              </RowLink>,
              withdrawnAt && formatDay(wallTime(withdrawnAt, workshop.timeZone)),
              clientName,
              `${frameName}${mark ? `, ${mark}` : ''}`,
              wasClosedAt ? `voided: ${withdrawnWhy}` : withdrawnWhy,
            ],
          }),
        )}
      />
      <Pages path="/jobs/withdrawn" page={page} more={more} />
    </main>
  );
}
