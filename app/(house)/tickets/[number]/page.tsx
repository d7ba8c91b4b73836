import { openFor } from '@/app/identity/at-work';
import { redirect } from 'next/navigation';
import { may } from '@/core/house/role-rights';
import { stationsFor } from './stations';
import { openTicket } from './ticket';

/** A ticket opens at the first station that has work left. */
export default async function TicketPage({ params }: PageProps<'/tickets/[number]'>) {
  const { role } = await openFor('see the day');
  const open = await openTicket((await params).number);
  if (open.ticket.closedAt) redirect(`/jobs/${open.ticket.number}`);
  const stations = stationsFor(open, role);
  // Who strings is not led back to the counter; whoever works there looks first.
  const next = stations.find(
    ({ path, done, waitsFor }) =>
      !done && !waitsFor && (path !== 'inspect' || !may(role, 'set up')),
  );
  redirect(`/tickets/${open.ticket.number}/${(next ?? stations[0])?.path ?? 'pull'}`);
}
