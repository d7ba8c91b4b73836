import { may } from '@/core/house/role-rights';
import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { openTicket } from '@/app/(house)/tickets/[number]/ticket';
import { formatTicket, formatTicketConverted } from '@/core/measure/units';
import { PrintButton } from '../../print-button';
import { ShareWords } from './share-words';

export const metadata: Metadata = { title: 'Words for the client' };

/** Why this string and this tension, for the client to take home. */
export default async function WhyPage({ params }: PageProps<'/why/[number]'>) {
  const { role } = await openFor('see tickets');
  const { ticket, client, setup, workshop } = await openTicket((await params).number);
  const back = (
    <Link
      href={`/tickets/${ticket.number}${may(role, 'set up') ? '/setup' : ''}`}
      className="underline"
    >
      Back to the ticket
    </Link>
  );
  // What a closed job keeps comes before what its ticket was planned with.
  const advice = ticket.record?.advice ?? ticket.advice;
  if (!advice || !setup)
    return (
      <p>
        Ticket {ticket.number} has no setup with its reasons yet. {back}
      </p>
    );
  const { words } = advice;
  return (
    <article className="flex max-w-[62ch] flex-col gap-4">
      <header className="border-edge border-b pb-2">
        <p className="label">{workshop.name}</p>
        <h1 className="figure text-3xl">
          {ticket.frameName}
          {ticket.mark && `, ${ticket.mark}`} · {client.name}
        </h1>
        <p>
          <span className="figure text-4xl">{formatTicket(setup.tension)}</span>{' '}
          <span className="label">{formatTicketConverted(setup.tension)}</span>
        </p>
      </header>
      <p className="text-lg">{words}</p>
      <p className="no-print flex flex-wrap items-baseline gap-x-5">
        <PrintButton />
        <ShareWords
          words={words}
          contact={client.contact}
          title={`${workshop.name}: ${ticket.frameName}`}
        />
        {back}
      </p>
    </article>
  );
}
