import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { routeId } from '@/app/route-id';
import { studied } from '@/app/studied';
import { USUAL_MACHINE } from '@/core/house/machine';
import { printedRange } from '@/core/frame/frame';
import { crossesStep, rulesOf } from '@/core/house/house-rules';
import { usualChoice } from '@/core/cut/methods';
import { pathThrough } from '@/core/path/path';
import { benchSequence } from '@/core/bench/sequence';
import { formatTicket, newtons, roundToTicketStep } from '@/core/measure/units';
import { PracticeView } from '@/app/(bench)/when-used';

export const metadata: Metadata = { title: 'Practice' };

/** Where nothing is printed. Common practice: an adult's tennis racket of unknown make. */
const UNKNOWN_N = newtons(24, 'kg');

export default async function PracticeOnFrame({ params }: PageProps<'/practice/[id]'>) {
  const { workshop, frames } = await openFor('practise');
  const frame = await frames.get(routeId((await params).id));
  const bed = frame && studied(frame.spec).bed;
  if (!frame || !bed) notFound();
  const unit = workshop.tensionUnit;
  const range = printedRange(frame.spec);
  const n = roundToTicketStep(range ? (range.minN + range.maxN) / 2 : UNKNOWN_N, unit);
  const custom = rulesOf(workshop);
  const crosses = crossesStep(custom, frame.spec.sport);
  const tension = {
    mainN: roundToTicketStep(n + crosses.mainN, unit),
    crossN: roundToTicketStep(n + crosses.crossN, unit),
    unit,
  };
  const sequence = benchSequence({
    bed,
    path: pathThrough(bed, usualChoice(bed, false)),
    tension,
    custom,
    machine: USUAL_MACHINE,
    preStretch: [],
    shortMm: {},
  });
  if (!sequence.ok)
    return (
      <main className="p-6">
        {sequence.problem}{' '}
        <Link href="/practice" className="underline">
          Another frame
        </Link>
      </main>
    );
  return (
    <PracticeView
      id={frame.id}
      name={frame.name}
      plan={{ bed, sequence: sequence.value, custom, unit }}
      ticket={formatTicket(tension)}
      lengthSystem={workshop.lengthSystem}
    />
  );
}
