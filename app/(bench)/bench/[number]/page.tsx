import { openFor, thisDevice } from '@/app/identity/at-work';
import { isOver } from '@/db/tickets';
import { isWatched, may } from '@/core/house/role-rights';
import { WhoWatches } from './who-watches';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { jobAt, openTicket } from '@/app/(house)/tickets/[number]/ticket';
import { paceOf } from '@/core/bench/times';
import { checkWords, pullsFor, MOST_OFF } from '@/core/house/calibration';
import { BenchView } from '@/app/(bench)/when-used';
import { setTensionBack } from './actions';
import type { BenchHead } from './head-panel';

export const metadata: Metadata = { title: 'Bench' };

/** One thing at a time, readable from two metres. */
export default async function BenchPage({ params }: PageProps<'/bench/[number]'>) {
  const house = await openFor('string');
  if (isWatched(house.role) && house.person.watchedBy === null) return <WhoWatches />;
  const open = await openTicket((await params).number);
  const { ticket, study, setup, workshop, machine, now } = open;
  const back = (
    <Link href={`/tickets/${ticket.number}/pull`} className="underline">
      Back to the ticket
    </Link>
  );
  const sequence = (await jobAt(ticket.number))?.sequence;
  if (!sequence?.ok || !study?.bed || !setup)
    return (
      <main className="p-6">
        <p className="max-w-prose">
          {sequence && !sequence.ok
            ? `This job cannot be strung so: ${sequence.problem}`
            : 'The bench needs a frame, a setup and a cut: this ticket is not that far.'}{' '}
          {back}
        </p>
      </main>
    );
  const { bench, machines, tickets } = house;
  const [kept, plans, past, checks] = await Promise.all([
    bench.deeds(ticket.id),
    bench.keptPlans(ticket.id),
    tickets.pastTimes(study.bed.spec.sport),
    machine ? machines.checks(machine.id) : [],
  ]);
  const pulls = pullsFor(checks);
  const head: BenchHead | undefined = machine && {
    name: machine.name,
    address: machine.headAddress,
    pulls: Math.abs(pulls - 1) > MOST_OFF ? 1 : pulls,
    caution: checkWords(checks, machine.checkEveryDays, now.slice(0, 10)),
  };
  return (
    <BenchView
      workshopId={workshop.id}
      personId={house.person.id}
      person={house.person.name}
      changesHands={(await thisDevice()) !== undefined}
      number={ticket.number}
      title={`${ticket.clientName} · ${ticket.frameName}${ticket.mark && `, ${ticket.mark}`}`}
      promised={ticket.promised}
      timeZone={workshop.timeZone}
      bed={study.bed}
      sequence={sequence.value}
      families={{ mains: setup.mains.string.family, crosses: setup.crosses.string.family }}
      tension={setup.tension}
      plans={[...plans]}
      setBack={setTensionBack.bind(null, workshop.id, ticket.number)}
      lengthSystem={workshop.lengthSystem}
      hand={workshop.hand}
      pace={paceOf(past)}
      machine={head}
      kept={kept}
      closed={isOver(ticket)}
      looked={ticket.lastLook !== null}
      handsOver={may(house.role, 'hand over')}
    />
  );
}
