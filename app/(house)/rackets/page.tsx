import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { pageNumber, searchText } from '@/app/search-text';
import { onePage, span } from '@/db/a-page';
import { may } from '@/core/house/role-rights';
import { ListPage, Pages, RowLink, Table } from '@/ui/list-page';

export const metadata: Metadata = { title: 'Rackets' };

export default async function RacketsPage({ searchParams }: PageProps<'/rackets'>) {
  const asked = await searchParams;
  const [find, page] = [searchText(asked), pageNumber(asked)];
  const { rackets, role } = await openFor('see clients');
  const { rows, more } = onePage(await rackets.find(find, ...span(page)));
  return (
    <ListPage title="Rackets" search={find} searchLabel="Find by client, frame or mark">
      {may(role, 'take records out') && (
        <p className="no-print mb-4">
          <a href="/rackets/table" download className="underline">
            Save all as a table
          </a>
        </p>
      )}
      <Table
        head={['Client', 'Racket', 'Mark', 'Notes']}
        empty={find ? `No racket goes by “${find}”.` : 'No rackets yet. They come in by ticket.'}
        rows={rows.map((racket) => ({
          key: racket.id,
          cells: [
            racket.clientName,
            <RowLink key="link" href={`/rackets/${racket.id}`}>
              {racket.frameName}
            </RowLink>,
            racket.mark || '–',
            <span key="notes" className="line-clamp-1">
              {racket.notes}
            </span>,
          ],
        }))}
      />
      <Pages path="/rackets" find={find} page={page} more={more} />
    </ListPage>
  );
}
