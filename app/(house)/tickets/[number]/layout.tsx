import Link from 'next/link';
import type { ReactNode } from 'react';
import { formatWall } from '@/core/measure/promised-time';
import { formatTicket, formatTicketConverted } from '@/core/measure/units';
import { StationBar } from './station-bar';
import { stationsOf } from './stations';
import { openTicket } from './ticket';

/** The ticket's head stays in sight at every station. */
export default async function TicketLayout({
  children,
  params,
}: LayoutProps<'/tickets/[number]'> & { readonly children: ReactNode }) {
  const open = await openTicket((await params).number);
  const { ticket, client, setup, now } = open;
  const late = ticket.promised < now && !ticket.closedAt;
  return (
    <main className="px-6 pb-10">
      <header className="border-edge bg-paper sticky top-0 z-10 mb-5 border-b pt-3">
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h1 className="figure text-3xl">
            <span className="text-soft">No.</span> {ticket.number}
          </h1>
          <p className="min-w-0 grow basis-64 truncate">
            <Link href={`/clients/${client.id}`} className="font-semibold hover:underline">
              {client.name}
            </Link>
            <span className="text-soft"> · </span>
            <Link href={`/rackets/${ticket.racketId}`} className="hover:underline">
              {ticket.frameName}
              {ticket.mark && `, ${ticket.mark}`}
            </Link>
          </p>
          <p className={late ? 'text-warn font-semibold' : undefined}>
            <span className="label">{late ? 'late: promised ' : 'promised '}</span>
            {formatWall(ticket.promised, now)}
          </p>
          <p>
            {setup ? (
              <>
                <span className="figure text-3xl">{formatTicket(setup.tension)}</span>{' '}
                <span className="label">{formatTicketConverted(setup.tension)}</span>
              </>
            ) : (
              <span className="label">no tension yet</span>
            )}
          </p>
        </div>
        <StationBar number={ticket.number} stations={stationsOf(open)} />
      </header>
      {ticket.closedAt && (
        <p role="status" className="bg-sheet mb-4 px-3 py-2">
          This job is closed. Its record is{' '}
          <Link href={`/jobs/${ticket.number}`} className="underline">
            job {ticket.number}
          </Link>
          ; the stations show how it was planned and can no longer be changed.
        </p>
      )}
      {children}
    </main>
  );
}
