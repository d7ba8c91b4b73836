import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { searchText } from '@/app/search-text';
import { ListPage, RowLink, Table } from '@/ui/list-page';

export const metadata: Metadata = { title: 'Clients' };

export default async function ClientsPage({ searchParams }: PageProps<'/clients'>) {
  const find = searchText(await searchParams);
  const { clients } = await openFor('see clients');
  return (
    <ListPage
      title="Clients"
      search={find}
      searchLabel="Find by name or contact"
      add={{ href: '/clients/new', text: 'Add a client' }}
    >
      <Table
        head={['Client', 'How to reach them', 'Notes']}
        empty={
          find
            ? `Nobody goes by “${find}”.`
            : 'No clients yet. They are added as their rackets come in.'
        }
        rows={(await clients.find(find)).map(({ id, name, contact, notes }) => ({
          key: id,
          cells: [
            <RowLink key="link" href={`/clients/${id}`}>
              {name}
            </RowLink>,
            contact || '–',
            <span key="notes" className="line-clamp-1">
              {notes}
            </span>,
          ],
        }))}
      />
    </ListPage>
  );
}
