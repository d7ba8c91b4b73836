import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { searchText } from '@/app/search-text';
import { ListPage, RowLink, Table } from '@/ui/list-page';

export const metadata: Metadata = { title: 'Rackets' };

export default async function RacketsPage({ searchParams }: PageProps<'/rackets'>) {
  const find = searchText(await searchParams);
  const { rackets } = await openFor('see clients');
  return (
    <ListPage title="Rackets" search={find} searchLabel="Find by client, frame or mark">
      <Table
        head={['Client', 'Racket', 'Mark', 'Notes']}
        empty={find ? `No racket goes by “${find}”.` : 'No rackets yet. They come in by ticket.'}
        rows={(await rackets.find(find)).map((racket) => ({
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
    </ListPage>
  );
}
