import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { formatDay } from '@/core/measure/promised-time';
import { countWords } from '@/core/terms/count-words';
import { RowLink, Table } from '@/ui/list-page';
import { Link } from '@/ui/link';

export const metadata: Metadata = { title: 'Events' };

/** The tournaments that the workshop strings at. */
export default async function EventsPage() {
  const { events, role } = await openFor('see tickets');
  const known = await events.all();
  return (
    <main className="max-w-5xl px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-3">
        <h1 className="figure text-4xl">Events</h1>
        <p className="label grow">Where rackets come in by the bag, and the order of play rules.</p>
        {may(role, 'arrange the day') && (
          <Link href="/events/new" className="bg-ink text-paper px-5 py-2 font-medium">
            Add an event
          </Link>
        )}
      </div>
      <Table
        head={['Event', 'Days', 'Players', 'Rackets']}
        empty="No event yet."
        rows={known.map(({ id, name, days: { days }, players, rackets }) => {
          const [first = '', ...later] = Object.keys(days).toSorted();
          const last = later.at(-1);
          return {
            key: id,
            cells: [
              <RowLink key="link" href={`/events/${id}`}>
                {name}
              </RowLink>,
              `${formatDay(first)}${last ? ` to ${formatDay(last)}, ${countWords(later.length + 1, 'day')}` : ''}`,
              players,
              rackets,
            ],
          };
        })}
      />
    </main>
  );
}
