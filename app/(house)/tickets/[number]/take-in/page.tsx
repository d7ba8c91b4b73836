import { openFor } from '@/app/identity/at-work';
import { changeAsked } from '@/app/(house)/take-in/actions';
import { AskedForm } from '@/app/(house)/take-in/asked-form';
import { PAPER_NAMES } from '@/core/papers/paper';
import { Link } from '@/ui/link';
import { Fact, Facts } from '@/ui/facts';
import { withdraw } from '../life/actions';
import { WithdrawForm } from '../life/withdraw-form';
import { openTicket } from '../ticket';
import { stationTitle } from '../station-title';

export const generateMetadata = stationTitle('Take-in');

export default async function TakeInStation({ params }: PageProps<'/tickets/[number]/take-in'>) {
  await openFor('take in');
  const { ticket, workshop, now } = await openTicket((await params).number);
  if (ticket.closedAt)
    return (
      <Facts className="max-w-3xl">
        <Fact name="What they asked for">{ticket.wish || '–'}</Fact>
        <Fact name="Condition">{ticket.condition || '–'}</Fact>
      </Facts>
    );
  return (
    <>
      <p className="mb-4 flex flex-wrap gap-x-6">
        {(['stub', 'label'] as const).map((kind) => (
          <Link key={kind} href={`/papers/${ticket.number}/${kind}`} className="underline">
            {PAPER_NAMES[kind]}
          </Link>
        ))}
      </p>
      <AskedForm
        key={ticket.version}
        name={`ticket ${ticket.id} asked`}
        version={ticket.version}
        initial={{
          promised: ticket.promised.replace('T', ' '),
          wish: ticket.wish,
          condition: ticket.condition,
        }}
        save={changeAsked.bind(null, workshop.id, ticket.number, ticket.version)}
        now={now}
      />
      <WithdrawForm
        key={`withdraw ${ticket.version}`}
        name={`ticket ${ticket.id} withdraw`}
        save={withdraw.bind(null, workshop.id, ticket.number, ticket.version)}
      />
    </>
  );
}
