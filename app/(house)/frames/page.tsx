import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { may } from '@/core/house/role-rights';
import { SPORTS } from '@/core/terms/sport';
import { formatHeadDimension } from '@/core/measure/units';
import { ListPage, Pages, RowLink, Table } from '@/ui/list-page';
import { pageNumber, searchText } from '@/app/search-text';
import { onePage, span } from '@/db/a-page';

export const metadata: Metadata = { title: 'Frames' };

export default async function FramesPage({ searchParams }: PageProps<'/frames'>) {
  const asked = await searchParams;
  const [find, page] = [searchText(asked), pageNumber(asked)];
  const { workshop, frames, role } = await openFor('see frames');
  const mayChange = may(role, 'change frames');
  const size = (mm: number) => formatHeadDimension(mm, workshop.lengthSystem);
  const { rows: found, more } = onePage(await frames.find(find, ...span(page)));
  const rows = found.toSorted((a, b) => SPORTS.indexOf(a.sport) - SPORTS.indexOf(b.sport));
  return (
    <ListPage
      title="Frames"
      search={find}
      searchLabel="Find by name"
      add={mayChange ? { href: '/frames/new', text: 'Enter a frame' } : undefined}
    >
      <p className="mb-4 flex gap-6">
        {mayChange && (
          <Link href="/frames/import" className="underline">
            Bring in from files
          </Link>
        )}
        <a href="/frames/document" download className="underline">
          Save all to a file
        </a>
      </p>
      <Table
        head={['Frame', 'Sport', 'Pattern', 'Inside of the head', 'Bridge holes', 'Printed range']}
        empty={
          find
            ? `No frame has “${find}” in its name.`
            : 'No frames yet. Enter the first one from the racket in your hand.'
        }
        rows={rows.map(({ id, name, sport, spec }) => ({
          key: id,
          cells: [
            <RowLink key="link" href={`/frames/${id}`}>
              {name}
            </RowLink>,
            sport,
            <span key="pattern" className="figure text-lg">
              {spec.pattern.mains} × {spec.pattern.crosses}
            </span>,
            `${size(spec.head.lengthMm)} × ${size(spec.head.widthMm)}`,
            spec.bridgeHoles ?? '–',
            spec.tension ? `${spec.tension.min} to ${spec.tension.max} ${spec.tension.unit}` : '–',
          ],
        }))}
      />
      <Pages path="/frames" find={find} page={page} more={more} />
    </ListPage>
  );
}
