import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { wallTime } from '@/core/measure/promised-time';
import { TakeInForm } from '@/app/(house)/when-used';
import { startFrom } from './start-from';
import type { TakeInEntry } from './take-in-entry';

export const metadata: Metadata = { title: 'Take-in' };

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
