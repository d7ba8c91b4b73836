import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeId } from '@/app/route-id';
import { jobRow } from '@/app/(house)/jobs/job-row';
import { SILENT, talkWords } from '@/core/advice/talk';
import { formatMoney, formatSums } from '@/core/measure/money';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { Fact, Facts } from '@/ui/facts';
import { HistoryChart } from '@/ui/when-used';
import { TicketFigure } from '@/ui/ticket-figure';
import { RowLink, Table } from '@/ui/list-page';
import { RemoveButton } from '@/ui/remove-button';
import { GoneNotice, RemovedNotice } from '@/ui/removed-notice';
import {
  changeClient,
  compareClients,
  mergeClient,
  nearClients,
  removeClient,
  restoreClient,
  unmergeClient,
} from '../actions';
import { clientEntryOf } from '../client-entry';
import { ClientForm, MergeClient } from '@/app/(house)/when-used';

/** Of the latest jobs; the list of jobs has all of them. */
const DONE = 40;

const CONSENT = {
  unasked: 'not asked yet',
  yes: 'may be written to',
  no: 'does not want any',
} as const;

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
  const { workshop, rackets, client, clients, jobs, payments } = await clientAt(id);
  if (!client) notFound();
  const [done, owed, into] = await Promise.all([
    jobs.ofClient(id, DONE),
    payments.owedBy(id),
    client.mergedInto ? clients.get(client.mergedInto) : undefined,
  ]);
  return (
    <main className="grid gap-10 px-6 py-6 lg:grid-cols-2">
      <div>
        {into && (
          <GoneNotice
            restore={unmergeClient.bind(null, workshop.id, id)}
            action="Part the two again"
          >
            This is the same person as{' '}
            <Link href={`/clients/${into.id}`} className="underline">
              {into.name}
            </Link>
            , who has the rackets.
          </GoneNotice>
        )}
        {client.removedAt && !into && (
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
            compare={compareClients.bind(null, workshop.id, id)}
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
      <section className="flex flex-col gap-8">
        <div>
          <div className="flex items-baseline justify-between">
            <h2 className="figure mb-2 text-2xl">Rackets</h2>
            {!client.removedAt && (
              <Link href={`/take-in?client=${id}`} className="underline">
                Take one in
              </Link>
            )}
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
        </div>
        {owed.length > 0 && (
          <div>
            <h2 className="figure mb-1 text-2xl">Still owed</h2>
            <p className="figure text-3xl">
              {formatSums(
                owed.map(({ toPayMinor, paidMinor, currency }) => ({
                  minor: toPayMinor - paidMinor,
                  currency,
                })),
                workshop.locale,
              )}
            </p>
            <p className="label">
              {owed.map(({ number, toPayMinor, paidMinor, currency }) => (
                <Link key={number} href={`/jobs/${number}`} className="mr-4 underline">
                  job {number}, {formatMoney(toPayMinor - paidMinor, currency, workshop.locale)}
                </Link>
              ))}
            </p>
          </div>
        )}
        <Facts>
          <Fact
            name="Messages"
            note={
              client.mayWriteSince
                ? `since ${formatDay(wallTime(client.mayWriteSince, workshop.timeZone))}`
                : undefined
            }
          >
            {CONSENT[client.mayWrite]}
          </Fact>
          <Fact name="The talk">
            {talkWords({ ...(client.talk ?? SILENT), racket: SILENT.racket }, 'tennis') || '–'}
          </Fact>
        </Facts>
        <div>
          <h2 className="figure mb-2 text-2xl">What was done</h2>
          <HistoryChart
            jobs={done.map((job) => ({
              number: job.number,
              day: wallTime(job.closedAt, workshop.timeZone),
              tension: job,
              strings: job.mains === job.crosses ? job.mains : `${job.mains} / ${job.crosses}`,
              remarks: '',
            }))}
            unit={client.tensionUnit ?? workshop.tensionUnit}
            className="mb-3"
          />
          <Table
            head={['Job', 'Handed over', 'Racket', 'Tension', 'Strings', 'Price', 'Open']}
            empty="Nothing yet."
            rows={done.map((job) => {
              const row = jobRow(job, workshop);
              return {
                key: String(job.number),
                cells: [
                  <RowLink key="link" href={`/jobs/${job.number}`}>
                    {job.number}
                  </RowLink>,
                  row.day,
                  row.racket,
                  <TicketFigure key="tension" tension={row.tension} words={row.strung} />,
                  row.crosses ? `${row.mains} / ${row.crosses}` : row.mains,
                  row.price,
                  row.open,
                ],
              };
            })}
          />
        </div>
      </section>
    </main>
  );
}
