import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeId } from '@/app/route-id';
import { RowLink, Table } from '@/ui/list-page';
import { RemoveButton } from '@/ui/remove-button';
import { RemovedNotice } from '@/ui/removed-notice';
import {
  changeClient,
  mergeClient,
  nearClients,
  removeClient,
  restoreClient,
  unmergeClient,
} from '../actions';
import { clientEntryOf } from '../client-entry';
import { ClientForm } from '../client-form';
import { MergeClient } from '../merge-client';

/** Asked once for the title and the page. */
const clientAt = cache(async (id: string) => {
  const open = await openFor('see clients');
  return { ...open, client: await open.clients.get(id) };
});

export async function generateMetadata({ params }: PageProps<'/clients/[id]'>): Promise<Metadata> {
  const { client } = await clientAt(routeId((await params).id));
  return { title: client?.name ?? 'Nothing' };
}

export default async function ClientPage({ params }: PageProps<'/clients/[id]'>) {
  const id = routeId((await params).id);
  const { workshop, rackets, client } = await clientAt(id);
  if (!client) notFound();
  return (
    <main className="grid gap-10 px-6 py-6 lg:grid-cols-2">
      <div>
        {client.removedAt && (
          <RemovedNotice what="client" restore={restoreClient.bind(null, workshop.id, id)} />
        )}
        <h1 className="figure mb-4 text-4xl break-words">{client.name}</h1>
        <ClientForm
          key={client.version}
          name={`client ${id}`}
          version={client.version}
          initial={clientEntryOf(client)}
          save={changeClient.bind(null, workshop.id, id, client.version)}
          action="Save the client"
        />
        {!client.removedAt && (
          <MergeClient
            id={id}
            name={client.name}
            near={nearClients.bind(null, workshop.id)}
            merge={mergeClient.bind(null, workshop.id, id)}
            unmerge={unmergeClient.bind(null, workshop.id, id)}
          />
        )}
        {!client.removedAt && (
          <p className="mt-8">
            <RemoveButton
              what="client"
              remove={removeClient.bind(null, workshop.id, id)}
              restore={restoreClient.bind(null, workshop.id, id)}
              listHref="/clients"
            />
          </p>
        )}
      </div>
      <section>
        <div className="flex items-baseline justify-between">
          <h2 className="figure mb-2 text-2xl">Rackets</h2>
          <Link href={`/take-in?client=${id}`} className="underline">
            Take one in
          </Link>
        </div>
        <Table
          head={['Racket', 'Mark']}
          empty="No racket yet."
          rows={(await rackets.ofClient(id)).map((racket) => ({
            key: racket.id,
            cells: [
              <RowLink key="link" href={`/rackets/${racket.id}`}>
                {racket.frameName}
              </RowLink>,
              racket.mark || '–',
            ],
          }))}
        />
      </section>
    </main>
  );
}
