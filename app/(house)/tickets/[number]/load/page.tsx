import { openFor } from '@/app/identity/at-work';
import { questionOf } from '@/core/bench/job';
import { stringInWay } from '@/core/load/ways';
import { signedFigure } from '@/core/measure/figures';
import { Cautions } from '@/ui/cautions';
import { LoadDesk } from '@/ui/when-used';
import { loadView } from '@/workers/load-view';
import { stationTitle } from '../station-title';
import { houseOf, jobAt, openTicket } from '../ticket';
import { Waits } from '../waits';
import { measureHoop } from './actions';
import { CalipersForm } from '@/app/(house)/when-used';
import { loadTrust, outOfShape } from './hoop-of';

export const generateMetadata = stationTitle('Under load');

/** What the hoop does while this job is strung, and what another way would do. */
export default async function UnderLoadPage({ params }: PageProps<'/tickets/[number]/load'>) {
  await openFor('plan the cut');
  const open = await openTicket((await params).number);
  const { ticket, unit, frame, workshop } = open;
  const job = await jobAt(ticket.number);
  if (!job) return <Waits number={ticket.number} path="cut" what="the cut" />;
  const factor = frame?.hoopFactor ?? null;
  const strung = stringInWay(job, 'as planned', factor ?? 1);
  if (!strung?.ok)
    return <Cautions cautions={['This job cannot be strung so: the Pull station says why.']} />;
  const planned = loadView('as planned', strung.value);
  const { lengthMainsMm, widthMainsMm, lengthEndMm, widthEndMm } = planned.figures;
  return (
    <>
      <Cautions cautions={outOfShape(planned.figures, houseOf(open, false))} />
      <LoadDesk
        key={factor ?? ''}
        planned={planned}
        job={questionOf(job)}
        factor={factor ?? 1}
        unit={unit}
        trust={loadTrust(frame)}
      />
      {!ticket.closedAt && (
        <section aria-label="Measured with calipers" className="mt-8">
          <h2 className="figure mb-1 text-2xl">Measured with calipers</h2>
          <p className="label mb-3 max-w-prose">
            Length and width inside, against the empty frame: on the machine after the last main,
            and off it. They say how stiff this hoop is, and the next job on it goes by that. Here
            it should be {signedFigure(lengthMainsMm, 1)} and {signedFigure(widthMainsMm, 1)} after
            the mains, {signedFigure(lengthEndMm, 1)} and {signedFigure(widthEndMm, 1)} at the end.
          </p>
          <CalipersForm
            key={frame?.hoopFactor ?? ''}
            name={`calipers ${ticket.id}`}
            save={measureHoop.bind(null, workshop.id, ticket.number)}
          />
        </section>
      )}
    </>
  );
}
