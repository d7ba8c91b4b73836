import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { ShortForm } from '@/app/(house)/when-used';
import { wallTime } from '@/core/measure/promised-time';
import { sameName } from '@/core/measure/typed';
import { startFrom } from '../take-in/start-from';
import { NO_STRINGS } from '../tickets/[number]/setup/strings-entry';

export const metadata: Metadata = { title: 'Short ticket' };

/** One racket on one page, from whose it is to the bench; or only asked what its bed would be. */
export default async function ShortTicketPage({ searchParams }: PageProps<'/short'>) {
  const house = await openFor('set up');
  const { workshop, person, clients } = house;
  const from = await searchParams;
  const own = (await clients.find(person.name, 8)).find(
    ({ name, removedAt }) => !removedAt && sameName(name) === sameName(person.name),
  );
  const start = await startFrom(house, from);
  return (
    <main className="px-6 py-4">
      <h1 className="figure mb-2 text-3xl">Short ticket</h1>
      <ShortForm
        key={JSON.stringify(from)}
        name={`short ${workshop.id} ${JSON.stringify(from)}`}
        workshopId={workshop.id}
        initial={{
          requestKey: randomUUID(),
          clientId: '',
          clientName: '',
          newClient: false,
          contact: '',
          racketId: '',
          frameId: '',
          frameLabel: '',
          mark: '',
          promised: '+2d',
          again: '',
          ...NO_STRINGS,
          whole: false,
          opensAt: 'bench',
          ...start,
          // What is strung says it: a wish that says so too would be wrong when that is changed.
          wish: '',
        }}
        now={wallTime(new Date(), workshop.timeZone)}
        own={{ id: own?.id ?? '', name: own?.name ?? person.name }}
        lengthSystem={workshop.lengthSystem}
        prices={{
          currency: workshop.currency,
          locale: workshop.locale,
          taxIncluded: workshop.taxIncluded,
          labourTaxBp: workshop.labourTaxBp,
          stringTaxBp: workshop.stringTaxBp,
          labourMinor: workshop.labourMinor,
        }}
      />
    </main>
  );
}
