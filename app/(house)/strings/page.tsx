import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { pageNumber, searchText } from '@/app/search-text';
import { pageOf } from '@/db/a-page';
import { may } from '@/core/house/role-rights';
import { formatMoney } from '@/core/measure/money';
import { formatStringLength } from '@/core/measure/units';
import { ListPage, Pages, RowLink, Table } from '@/ui/list-page';

export const metadata: Metadata = { title: 'Strings' };

export default async function StringsPage({ searchParams }: PageProps<'/strings'>) {
  const asked = await searchParams;
  const find = searchText(asked);
  const { workshop, strings, role } = await openFor('see strings');
  const { rows, more, page } = pageOf(await strings.find(find), pageNumber(asked));
  const mayChange = may(role, 'change strings');
  return (
    <ListPage
      title="Strings"
      search={find}
      searchLabel="Find by name"
      add={mayChange ? { href: '/strings/new', text: 'Add a string' } : undefined}
    >
      <p className="mb-4 flex gap-6">
        <Link href="/shelf" className="underline">
          Shelf
        </Link>
        {mayChange && (
          <Link href="/strings/import" className="underline">
            Bring in from a table
          </Link>
        )}
        <a href="/strings/table" download className="underline">
          Save all as a table
        </a>
      </p>
      <Table
        head={['String', 'Sport', 'Family', 'Thicknesses (mm)', 'Set', 'Price of a set', 'Not for']}
        empty={
          find ? `No string has “${find}” in its name.` : 'No strings yet. Add those on your shelf.'
        }
        rows={rows.map((string) => ({
          key: string.id,
          cells: [
            <RowLink key="link" href={`/strings/${string.id}`}>
              {string.name}
            </RowLink>,
            string.sport,
            [string.family, string.subKind, string.shape === 'round' ? '' : string.shape]
              .filter(Boolean)
              .join(', '),
            <span key="gauges" className="figure text-lg">
              {string.gaugesMm.map((mm) => mm.toFixed(2)).join('  ')}
            </span>,
            formatStringLength(string.setMm, workshop.lengthSystem),
            formatMoney(string.setPriceMinor, workshop.currency),
            string.notFor.join(', '),
          ],
        }))}
      />
      <Pages path="/strings" find={find} page={page} more={more} />
    </ListPage>
  );
}
