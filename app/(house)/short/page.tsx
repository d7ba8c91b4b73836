import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { ShortForm } from '@/app/(house)/when-used';
import { inspectionWords, wasLookedAt } from '@/core/counter/inspection';
import { isOver } from '@/db/tickets';
import { wallTime } from '@/core/measure/promised-time';
import { sameName } from '@/core/measure/typed';
import { bedToString } from './known-bed';
import { startFrom } from '../take-in/start-from';
import { promiseEntry } from '../take-in/take-in-entry';
import { shownSetup } from '../tickets/[number]/setup/shown-setup';
import { NO_STRINGS, stringsIn } from '../tickets/[number]/setup/strings-entry';
import { openTicket } from '../tickets/[number]/ticket';

export const metadata: Metadata = { title: 'Short ticket' };

/** What a page that belongs to no ticket yet begins with. */
const NEW = {
  clientId: '',
  clientName: '',
  newClient: false,
  contact: '',
  racketId: '',
  frameId: '',
  frameLabel: '',
  mark: '',
  promised: '+2d',
  wish: '',
  again: '',
  ...NO_STRINGS,
  whole: false,
  opensAt: 'bench',
} as const;

/** The same for an open ticket: what it says already. */
async function ofTicket(text: string) {
  const open = await openTicket(text);
  const { ticket, client } = open;
  if (isOver(ticket)) redirect(`/tickets/${ticket.number}`);
  return {
    ticket: {
      number: ticket.number,
      version: ticket.version,
      given: ticket.promised,
      seen: wasLookedAt(ticket.inspection) ? inspectionWords(ticket.inspection) : undefined,
      words: `No. ${ticket.number} · ${client.name} · ${ticket.frameName}${ticket.mark && `, ${ticket.mark}`}`,
    },
    initial: {
      clientId: client.id,
      clientName: client.name,
      racketId: ticket.racketId,
      promised: promiseEntry(ticket.promised),
      wish: ticket.wish,
      ...(open.setup && stringsIn(await shownSetup(open))),
    },
  };
}

/** One racket on one page, from whose it is to the bench; or only asked what its bed would be. */
export default async function ShortTicketPage({ searchParams }: PageProps<'/short'>) {
  const house = await openFor('set up');
  const { workshop, person, clients } = house;
  const from = await searchParams;
  const known = typeof from.ticket === 'string' ? await ofTicket(from.ticket) : undefined;
  const own = (await clients.find(person.name, 8)).find(
    ({ name, removedAt }) => !removedAt && sameName(name) === sameName(person.name),
  );
  const start = known?.initial ?? {
    ...(await startFrom(house, from)),
    // What is strung says it: a wish that says so too would be wrong when that is changed.
    wish: '',
  };
  const meant = { racketId: '', frameId: '', clientId: '', again: '', ...start };
  const bed = meant.racketId
    ? await bedToString(house, { ...meant, ticket: known ? String(known.ticket.number) : '' })
    : undefined;
  const key = `${JSON.stringify(from)} ${known?.ticket.version ?? ''}`;
  return (
    <main className="px-6 py-4">
      <h1 className="figure mb-2 text-3xl">Short ticket</h1>
      <ShortForm
        key={key}
        name={`short ${workshop.id} ${JSON.stringify(from)}`}
        workshopId={workshop.id}
        initial={{ requestKey: randomUUID(), ...NEW, ...bed?.last, ...start }}
        bed={bed}
        ticket={known?.ticket}
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
