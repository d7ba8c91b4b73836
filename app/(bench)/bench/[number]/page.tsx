import type { Metadata } from 'next';
import Link from 'next/link';
import { openTicket, sequenceOf } from '@/app/(house)/tickets/[number]/ticket';
import { formatWall } from '@/core/promise';
import { openWorkshop } from '@/db/workshop';
import { keepBenchEvents } from './actions';
import { BenchView } from './bench-view';

export const metadata: Metadata = { title: 'Bench' };

/** One thing at a time, readable from two metres. */
export default async function BenchPage({ params }: PageProps<'/bench/[number]'>) {
  const open = await openTicket((await params).number);
  const { ticket, study, setup, workshop, now } = open;
  const back = (
    <Link href={`/tickets/${ticket.number}/pull`} className="underline">
      Back to the ticket
    </Link>
  );
  const sequence = sequenceOf(open);
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
  const { bench } = await openWorkshop();
  const { done } = await bench.progress(ticket.id);
  return (
    <BenchView
      number={ticket.number}
      title={`${ticket.clientName} · ${ticket.frameName}${ticket.mark && `, ${ticket.mark}`}`}
      promised={formatWall(ticket.promised, now)}
      bed={study.bed}
      sequence={{ steps: sequence.value.steps, path: sequence.value.path }}
      unit={setup.tension.unit}
      lengthSystem={workshop.lengthSystem}
      done={done}
      closed={ticket.closedAt !== null}
      keep={keepBenchEvents.bind(null, ticket.number)}
    />
  );
}
