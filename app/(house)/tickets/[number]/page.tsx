import { redirect } from 'next/navigation';
import { stationsOf } from './stations';
import { openTicket } from './ticket';

/** A ticket opens at the first station that has work left. */
export default async function TicketPage({ params }: PageProps<'/tickets/[number]'>) {
  const open = await openTicket((await params).number);
  if (open.ticket.closedAt) redirect(`/jobs/${open.ticket.number}`);
  const next = stationsOf(open).find((station) => !station.done);
  redirect(`/tickets/${open.ticket.number}/${next?.path ?? 'hand-over'}`);
}
