import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { z } from 'zod';
import { wallTime } from '@/core/measure/promised-time';
import { strungWords } from '@/core/record/as-strung';
import type { OpenWorkshop } from '@/db/workshop';
import { TakeInForm } from '@/app/(house)/when-used';
import type { TakeInEntry } from './take-in-entry';

export const metadata: Metadata = { title: 'Take-in' };

type Start = Partial<TakeInEntry>;

async function startFrom(
  { clients, rackets, tickets }: OpenWorkshop,
  { again, racket, client }: Record<string, string | string[] | undefined>,
): Promise<Start> {
  const idIn = (text: unknown): string | undefined => z.uuid().safeParse(text).data;
  const before =
    typeof again === 'string' && /^\d{1,9}$/.test(again)
      ? await tickets.get(Number(again))
      : undefined;
  const racketId = before?.racketId ?? idIn(racket);
  const known = racketId ? await rackets.get(racketId) : undefined;
  if (known && !known.removedAt)
    return {
      clientId: known.clientId,
      clientName: known.clientName,
      racketId: known.id,
      ...(before?.record && {
        again: String(before.number),
        wish: `The same again as ticket ${before.number}: ${strungWords(before.record)}`,
      }),
    };
  const clientId = idIn(client);
  const person = clientId ? await clients.get(clientId) : undefined;
  return person && !person.removedAt ? { clientId: person.id, clientName: person.name } : {};
}

export default async function TakeInPage({ searchParams }: PageProps<'/take-in'>) {
  const house = await openFor('take in');
  const from = await searchParams;
  const start = await startFrom(house, from);
  const initial: TakeInEntry = {
    requestKey: randomUUID(),
    clientId: '',
    clientName: '',
    newClient: false,
    contact: '',
    racketId: '',
    frameId: '',
    frameLabel: '',
    mark: '',
    more: [],
    alike: true,
    promised: '+2d',
    wish: '',
    condition: '',
    again: '',
    ...start,
  };
  return (
    <main className="px-6 py-6">
      <h1 className="figure mb-4 text-4xl">A racket comes in</h1>
      <TakeInForm
        key={JSON.stringify(from)}
        name={`take-in ${house.workshop.id} ${JSON.stringify(from)}`}
        workshopId={house.workshop.id}
        initial={initial}
        now={wallTime(new Date(), house.workshop.timeZone)}
      />
    </main>
  );
}
