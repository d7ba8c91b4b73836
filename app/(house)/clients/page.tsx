import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { pageNumber, searchText } from '@/app/search-text';
import { onePage, span } from '@/db/a-page';
import { Link } from '@/ui/link';
import { may } from '@/core/house/role-rights';
import { ListPage, Pages, RowLink, Table } from '@/ui/list-page';

export const metadata: Metadata = { title: 'Clients' };

export default async function ClientsPage({ searchParams }: PageProps<'/clients'>) {
  const asked = await searchParams;
  const [find, page] = [searchText(asked), pageNumber(asked)];
  const { clients, role } = await openFor('see clients');
  const { rows, more } = onePage(await clients.find(find, ...span(page)));
  return (
    <ListPage
      title="Clients"
      search={find}
      searchLabel="Find by name or contact"
      add={{ href: '/clients/new', text: 'Add a client' }}
    >
      {may(role, 'take records out') && (
        <p className="no-print mb-4 flex gap-6">
          <Link href="/clients/import" className="underline">
            Bring in from a table
          </Link>
          <a href="/clients/table" download className="underline">
            Save all as a table
          </a>
          <a href="/clients/cards" download className="underline">
            As cards for an address book
          </a>
        </p>
      )}
      <Table
        head={['Client', 'How to reach them', 'Notes']}
        empty={
          find
            ? `Nobody goes by “${find}”.`
            : 'No clients yet. They are added as their rackets come in.'
        }
        rows={rows.map(({ id, name, contact, notes }) => ({
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
      <Pages path="/clients" find={find} page={page} more={more} />
    </ListPage>
  );
}
