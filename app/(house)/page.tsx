import { openFor } from '@/app/identity/at-work';
import { readTogether } from '@/app/read-together';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import { LiveDay } from '@/ui/day/live-day';
import { Link } from '@/ui/link';
import { checkDue, checkWords } from '@/core/house/calibration';
import { DayRuler } from './day/day-ruler';
import { shelfOfDay, StringsMissing } from './day/strings-missing';
import { dayOf, type Day } from './day/day-of';
import { DueSection } from './due/due-section';
import { wallOf } from '@/core/queue/clock';
import { may } from '@/core/house/role-rights';
import { formatWall, wallTime } from '@/core/measure/promised-time';
import type { TicketTension } from '@/core/measure/units';
import type { ListedTicket } from '@/db/tickets';
import { payWords } from '@/core/papers/payment';
import { Press } from '@/ui/press';
import { answerWish } from './wish-actions';
import { FirstSteps } from './first-steps';
import { CutOff, RowLink, Table } from '@/ui/list-page';
import { TicketFigure } from '@/ui/ticket-figure';

function tensionOf({ mainN, crossN, tensionUnit }: ListedTicket): TicketTension | undefined {
  return mainN && crossN && tensionUnit ? { mainN, crossN, unit: tensionUnit } : undefined;
}

/** The station that an open ticket waits at, from what it already holds. */
function waitingAt({ frameId, mainN, crossStart }: ListedTicket): string {
  if (!frameId) return 'Frame';
  if (!mainN) return 'Setup';
  return crossStart ? 'Pull' : 'Cut';
}

/** When a ticket is strung as the day is planned now, and where. */
function plannedFor({ plan, benches, now }: Day, number: number): string {
  const placed = plan.ok ? plan.value.placed.find((each) => each.number === number) : undefined;
  const bench = benches.find(({ id }) => id === placed?.bench);
  return placed ? `${formatWall(wallOf(placed.start), now)}, ${bench?.name ?? ''}` : '';
}

export const metadata: Metadata = { title: 'Today' };

/** Of what waits at the counter. */
const SHOWN = 20;

/** The open tickets in the order of their promises. */
export default async function TodayPage() {
  const house = await openFor('see the day');
  const { workshop, tickets, machines, jobs, clientLinks, role } = house;
  const hands = may(role, 'hand over');
  // What a workshop changes of itself makes another day, so its version stands in the key.
  const [open, day, shelf, waiting, wishes, seenMachines] = await readTogether(
    `Today ${workshop.id} ${workshop.version} ${role}`,
    () =>
      Promise.all([
        tickets.open(),
        dayOf(house, workshop),
        shelfOfDay(house),
        hands ? jobs.uncollected(SHOWN + 1) : [],
        hands ? clientLinks.openWishes(SHOWN + 1) : [],
        may(role, 'see machines') ? machines.checked() : [],
      ]),
  );
  const { now } = day;
  const running = may(role, 'see tickets')
    ? day.events.filter(({ days }) => now.slice(0, 10) in days.days)
    : [];
  const takenBy = new Map(day.tickets.map((ticket) => [ticket.number, ticket.takenBy]));
  const late = open.filter(({ promised }) => promised < now).length;
  const today = open.filter(
    ({ promised }) => promised >= now && promised.slice(0, 10) === now.slice(0, 10),
  ).length;
  const overdue = seenMachines.flatMap(({ id, name, checkEveryDays, checks }) =>
    (checkDue(checks, checkEveryDays, now.slice(0, 10)).inDays ?? 0) < 0
      ? [{ id, name, caution: checkWords(checks, checkEveryDays, now.slice(0, 10)) }]
      : [],
  );
  return (
    <main className="px-6 py-6">
      <div className="mb-6 flex flex-wrap items-end gap-x-8 gap-y-3">
        <div className="grow">
          <h1 className="figure text-4xl">Today</h1>
          <p className="text-soft flex flex-wrap gap-x-5">
            {open.length === 0
              ? 'Nothing is open.'
              : `${open.length} open, ${today} promised for today${late ? `, ${late} late` : ''}`}
            {running.map(({ id, name }) => (
              <Link key={id} href={`/events/${id}`} className="underline">
                {name}
              </Link>
            ))}
            {open.length > 0 && (
              <a href="/calendar" download className="no-print underline">
                as a calendar
              </a>
            )}
          </p>
        </div>
        {may(role, 'set up') && (
          <Link href="/short" className="border-ink border px-6 py-3 text-lg font-medium">
            Short ticket <kbd className="border-edge ml-2 border px-1.5 text-sm">s</kbd>
          </Link>
        )}
        {may(role, 'take in') && (
          <Link href="/take-in" className="bg-ink text-paper px-6 py-3 text-lg font-medium">
            Take a racket in <kbd className="border-paper/50 ml-2 border px-1.5 text-sm">n</kbd>
          </Link>
        )}
      </div>
      {workshop.nextTicket === 1 && may(role, 'take in') && <FirstSteps />}
      {overdue.map(({ id, name, caution }) => (
        <p key={id} className="text-warn mb-2">
          <Link href={`/workshop/machines/${id}`} className="underline">
            {name}
          </Link>
          : {caution}
        </p>
      ))}
      <LiveDay />
      <StringsMissing shelf={shelf} open={open} now={now} />
      {open.length > 0 && (
        <DayRuler day={day} tickets={open} workshopId={workshop.id} role={role} />
      )}
      <Table
        head={[
          'Promised',
          'Ticket',
          'Client',
          'Racket',
          'They ask for',
          'Tension',
          'Waits at',
          'Planned',
        ]}
        empty={
          may(role, 'take in')
            ? 'No racket is waiting. Take one in with the key n.'
            : 'No racket is waiting.'
        }
        rows={open.map((ticket) => {
          const tension = tensionOf(ticket);
          const isLate = ticket.promised < now;
          return {
            key: String(ticket.number),
            cells: [
              <span key="promised" className={isLate ? 'text-warn font-semibold' : undefined}>
                {isLate && 'late, '}
                {formatWall(ticket.promised, now)}
              </span>,
              <RowLink key="link" href={`/tickets/${ticket.number}`}>
                <span className="figure text-2xl">{ticket.number}</span>
              </RowLink>,
              ticket.clientName,
              `${ticket.frameName}${ticket.mark ? `, ${ticket.mark}` : ''}`,
              <span key="wish" className="line-clamp-2">
                {ticket.wish}
              </span>,
              tension && <TicketFigure key="tension" tension={tension} />,
              [waitingAt(ticket), takenBy.get(ticket.number)].filter(Boolean).join(', '),
              plannedFor(day, ticket.number),
            ],
          };
        })}
      />
      {waiting.length > 0 && (
        <section className="mt-8" aria-label="Ready, not collected">
          <h2 className="figure mb-1 text-2xl">Ready, not collected</h2>
          <Table
            head={['Strung', 'Job', 'Client', 'Racket', 'Tension', 'Payment']}
            empty=""
            rows={waiting.slice(0, SHOWN).map((job) => ({
              key: String(job.number),
              cells: [
                formatWall(wallTime(job.closedAt, workshop.timeZone), now),
                <RowLink key="link" href={`/jobs/${job.number}`}>
                  <span className="figure text-2xl">{job.number}</span>
                </RowLink>,
                job.client,
                `${job.frame}${job.mark ? `, ${job.mark}` : ''}`,
                <TicketFigure key="tension" tension={job} />,
                job.toPayMinor === null
                  ? ''
                  : payWords(job.toPayMinor, job.paidMinor, job.currency, workshop.locale),
              ],
            }))}
          />
          <CutOff rows={waiting} most={SHOWN}>
            These have waited longest.{' '}
            <Link href="/jobs?state=not%20collected&down=no" className="underline">
              All that were not collected
            </Link>
          </CutOff>
        </section>
      )}
      {/* It goes through every bed that is out: the day does not wait for it. */}
      <Suspense>{hands && <DueSection house={house} />}</Suspense>
      {wishes.length > 0 && (
        <section className="mt-8" aria-label="Want to bring it again">
          <h2 className="figure mb-1 text-2xl">Want to bring it again</h2>
          <Table
            head={['Since', 'Client', 'Racket', 'A word', '']}
            empty=""
            rows={wishes
              .slice(0, SHOWN)
              .map(({ id, at, clientName, frameName, mark, text, racketId }) => ({
                key: id,
                cells: [
                  formatWall(wallTime(at, workshop.timeZone), now),
                  clientName,
                  <RowLink key="racket" href={`/take-in?racket=${racketId}`}>
                    {frameName}
                    {mark && `, ${mark}`}
                  </RowLink>,
                  text,
                  <Press key="seen" action="Seen" press={answerWish.bind(null, workshop.id, id)} />,
                ],
              }))}
          />
          <CutOff rows={wishes} most={SHOWN}>
            These came first; others come up when one of them is seen.
          </CutOff>
        </section>
      )}
    </main>
  );
}
