import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { addEvent } from '../actions';
import { newEvent } from '../event-entry';
import { EventForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'New event' };

export default async function NewEventPage() {
  const { workshop, benches } = await openFor('arrange the day');
  const known = await benches.all();
  return (
    <main className="max-w-2xl px-6 py-6">
      <h1 className="figure mb-4 text-4xl">New event</h1>
      <EventForm
        name="event new"
        initial={newEvent(
          known.map(({ id }) => id),
          workshop.labourMinor,
          workshop.currency,
        )}
        currency={workshop.currency}
        benches={known}
        action="Add the event"
        save={addEvent.bind(null, workshop.id, randomUUID())}
      />
    </main>
  );
}
