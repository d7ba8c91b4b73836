import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { Link } from '@/ui/link';
import { RemoveButton } from '@/ui/remove-button';
import { changeEvent, removeEvent, restoreEvent } from '../../actions';
import { eventEntryOf } from '../../event-entry';
import { EventForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'An event' };

export default async function ChangeEventPage({ params }: PageProps<'/events/[id]/change'>) {
  const id = routeId((await params).id);
  const { workshop, benches, events } = await openFor('arrange the day');
  const event = await events.get(id);
  if (!event || event.removedAt) notFound();
  const known = await benches.all();
  return (
    <main className="max-w-2xl px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">{event.name}</h1>
        <Link href={`/events/${id}`} className="underline">
          The event
        </Link>
      </div>
      <EventForm
        key={event.version}
        name={`event ${id}`}
        version={event.version}
        initial={eventEntryOf(
          event,
          known.map((bench) => bench.id),
          workshop.currency,
        )}
        currency={workshop.currency}
        benches={known}
        action="Save this event"
        save={changeEvent.bind(null, workshop.id, id, event.version)}
      />
      <p className="mt-6">
        <RemoveButton
          what="event"
          remove={removeEvent.bind(null, workshop.id, id)}
          restore={restoreEvent.bind(null, workshop.id, id)}
          listHref="/events"
        />
      </p>
    </main>
  );
}
