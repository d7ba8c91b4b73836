import { openFor } from '@/app/identity/at-work';
import { changeAsked } from '@/app/(house)/take-in/actions';
import { AskedForm, WithdrawForm } from '@/app/(house)/when-used';
import { setHereFrom } from '@/app/(house)/day/actions';
import { NOTHING_SAID } from '@/core/ageing/court';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { PAPERS } from '@/core/papers/paper';
import { HowItPlayed } from '@/ui/when-used';
import { Link } from '@/ui/link';
import { OneField } from '@/ui/form/one-field';
import { Fact, Facts } from '@/ui/facts';
import { withdraw } from '../life/actions';
import { openTicket } from '../ticket';
import { sayAtTheCounter } from './actions';
import { stationTitle } from '../station-title';

export const generateMetadata = stationTitle('Take-in');

export default async function TakeInStation({ params }: PageProps<'/tickets/[number]/take-in'>) {
  const { benches, tickets, court } = await openFor('take in');
  const { ticket, workshop, now } = await openTicket((await params).number);
  if (ticket.closedAt)
    return (
      <Facts className="max-w-3xl">
        <Fact name="What they asked for">{ticket.wish || '–'}</Fact>
        <Fact name="Condition">{ticket.condition || '–'}</Fact>
      </Facts>
    );
  const before = (await tickets.lastOfRacket(ticket.racketId, 3)).find(({ record }) => record);
  const [said] = before ? await court.ofTickets([before.id]) : [];
  const hereFrom = (await benches.hereFrom(ticket.id)) ?? '';
  return (
    <>
      <p className="mb-4 flex flex-wrap gap-x-6">
        {(['stub', 'label'] as const).map((kind) => (
          <Link key={kind} href={`/papers/${ticket.number}/${kind}`} className="underline">
            {PAPERS[kind].name}
          </Link>
        ))}
      </p>
      <AskedForm
        key={ticket.version}
        name={`ticket ${ticket.id} asked`}
        version={ticket.version}
        given={ticket.promised}
        initial={{ wish: ticket.wish, condition: ticket.condition }}
        save={changeAsked.bind(null, workshop.id, ticket.number, ticket.version)}
        now={now}
      />
      {before && (
        <section aria-label="How the last one played" className="mt-8 mb-6 max-w-3xl">
          <p className="label mb-2">
            Job {before.number},{' '}
            {before.closedAt && formatDay(wallTime(before.closedAt, workshop.timeZone))}: a minute,
            and Setup begins with it.
          </p>
          <HowItPlayed
            key={before.id}
            said={said ?? NOTHING_SAID}
            send={sayAtTheCounter.bind(null, workshop.id, before.number)}
            action="Save how it played"
          />
        </section>
      )}
      <div className="mb-6 max-w-3xl">
        <p className="label">
          Not here yet, the racket or its string? From when on it can be strung; empty where all is
          here.
        </p>
        <OneField
          key={hereFrom}
          label="Here from"
          value={hereFrom.replace('T', ' ')}
          action="Plan with that"
          save={setHereFrom.bind(null, workshop.id, ticket.number)}
        />
      </div>
      <WithdrawForm
        key={`withdraw ${ticket.version}`}
        name={`ticket ${ticket.id} withdraw`}
        save={withdraw.bind(null, workshop.id, ticket.number, ticket.version)}
      />
    </>
  );
}
