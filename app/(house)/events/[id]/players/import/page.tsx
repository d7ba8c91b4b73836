import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { PlayerImportForm } from '@/app/(house)/when-used';
import { sameName } from '@/core/measure/typed';
import { Link } from '@/ui/link';
import { eventAt } from '../../event-at';

export const metadata: Metadata = { title: 'Players from a table' };

/** The entry list of a tournament. */
export default async function ImportPlayersPage({
  params,
}: PageProps<'/events/[id]/players/import'>) {
  const open = await openFor('take in');
  const { event, players } = await eventAt(open, (await params).id);
  return (
    <main className="max-w-5xl px-6 py-6">
      <h1 className="figure mb-2 text-4xl">Players from a table</h1>
      <p className="mb-4 max-w-prose">
        For{' '}
        <Link href={`/events/${event.id}`} className="underline">
          {event.name}
        </Link>
        . A row for each player, and a first row that names the columns. Who is a client already is
        known by the name. Several orders in one cell stand apart by semicolons:{' '}
        <i>2 at 24/23, every morning; 1 at 25/24</i>.
      </p>
      <PlayerImportForm
        workshopId={open.workshop.id}
        eventId={event.id}
        sport={event.sport}
        unit={open.workshop.tensionUnit}
        known={players.map(({ name }) => sameName(name))}
      />
    </main>
  );
}
