import { Link } from '@/ui/link';
import type { ReactNode } from 'react';
import { formatDay, formatWall, wallTime } from '@/core/measure/promised-time';
import { formatTicket, formatTicketConverted } from '@/core/measure/units';
import { openWorkshop } from '@/app/identity/at-work';
import { stopsTicket } from '@/core/counter/inspection';
import { may } from '@/core/house/role-rights';
import { HandsLine } from './hands-line';
import { takeUp } from './life/actions';
import { Withdrawn } from './life/withdrawn';
import { isOver } from '@/db/tickets';
import { StationBar } from './station-bar';
import { stationsFor } from './stations';
import { openTicket } from './ticket';

/** The ticket's head stays in sight at every station. */
export default async function TicketLayout({
  children,
  params,
}: LayoutProps<'/tickets/[number]'> & { readonly children: ReactNode }) {
  const open = await openTicket((await params).number);
  const { ticket, client, setup, now, workshop } = open;
  const { role, trail, bench, tickets, events } = await openWorkshop();
  const seesClients = may(role, 'see clients');
  const [hands, strungBy, tagged, visit] = await Promise.all([
    trail.hands(ticket.id),
    bench.hands(ticket.id),
    events.ofTicket(ticket.id),
    ticket.visit ? tickets.ofVisit(ticket.visit) : [],
  ]);
  const late = ticket.promised < now && !ticket.closedAt && !ticket.withdrawnAt;
  const racket = `${ticket.frameName}${ticket.mark && `, ${ticket.mark}`}`;
  return (
    <main className="px-6 pb-10">
      <header className="border-edge bg-paper sticky top-0 z-10 mb-5 border-b pt-3">
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h1 className="figure text-3xl">
            <span className="text-soft">No.</span> {ticket.number}
          </h1>
          <p className="min-w-0 grow basis-64 truncate">
            {seesClients ? (
              <Link href={`/clients/${client.id}`} className="font-semibold hover:underline">
                {client.name}
              </Link>
            ) : (
              <span className="font-semibold">{client.name}</span>
            )}
            <span className="text-soft"> · </span>
            {seesClients ? (
              <Link href={`/rackets/${ticket.racketId}`} className="hover:underline">
                {racket}
              </Link>
            ) : (
              racket
            )}
          </p>
          {tagged && (
            <p>
              <span className="label">tag </span>
              <span className="figure text-xl">{tagged.tag}</span>{' '}
              <Link href={`/events/${tagged.event.id}`} className="underline">
                {tagged.event.name}
              </Link>
            </p>
          )}
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
        <StationBar
          number={ticket.number}
          stations={stationsFor(open, role)}
          onOnePage={may(role, 'set up') && !isOver(ticket) && open.stepsDone === 0}
        />
        {visit.length > 1 && (
          <p className="label pb-1">
            Came together:{' '}
            {visit.map(({ number, frameName, mark }) => (
              <Link
                key={number}
                href={`/tickets/${number}`}
                aria-current={number === ticket.number ? 'true' : undefined}
                className="mr-4 underline aria-[current=true]:font-semibold aria-[current=true]:no-underline"
              >
                {number} {frameName}
                {mark && `, ${mark}`}
              </Link>
            ))}
          </p>
        )}
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
      {stopsTicket(ticket.inspection) && !ticket.withdrawnAt && (
        <p role="alert" className="bg-warn-wash text-warn mb-4 px-3 py-2 font-semibold">
          The frame is cracked: nothing is strung until its owner’s word stands at{' '}
          <Link href={`/tickets/${ticket.number}/inspect`} className="underline">
            Inspect
          </Link>
          .
        </p>
      )}
      {ticket.withdrawnAt ? (
        <Withdrawn
          number={ticket.number}
          day={formatDay(wallTime(ticket.withdrawnAt, workshop.timeZone))}
          why={ticket.withdrawnWhy}
          takeUp={
            may(role, 'withdraw a racket')
              ? takeUp.bind(null, workshop.id, ticket.number, ticket.version)
              : undefined
          }
        />
      ) : (
        children
      )}
      <HandsLine
        number={ticket.number}
        hands={{ ...hands, strungBy }}
        trail={may(role, 'see the trail')}
      />
    </main>
  );
}
