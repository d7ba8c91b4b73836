import { openTicket, usualCutSource } from '../ticket';
import { Waits } from '../waits';
import { saveCut } from './actions';
import { CutForm } from './cut-form';

export default async function CutStation({ params }: PageProps<'/tickets/[number]/cut'>) {
  const { ticket, frame, study, setup, workshop } = await openTicket((await params).number);
  if (!frame || !study?.bed) return <Waits number={ticket.number} path="frame" what="the frame" />;
  if (!setup) return <Waits number={ticket.number} path="setup" what="the setup" />;
  const stocked = ({ string, gaugeMm }: typeof setup.mains) => ({
    family: string.family,
    gaugeMm,
    setMm: string.setMm,
    stretch: string.stretch,
  });
  const usual = usualCutSource(setup);
  return (
    <CutForm
      key={ticket.version}
      name={`ticket ${ticket.id} ${ticket.version} cut`}
      initial={{ crossStart: ticket.crossStart ?? 'left', cutFrom: ticket.cutFrom ?? usual }}
      spec={frame.spec}
      mains={stocked(setup.mains)}
      crosses={stocked(setup.crosses)}
      oneString={usual === 'one set'}
      assumptions={workshop.cutAssumptions}
      lengthSystem={workshop.lengthSystem}
      {...(!ticket.closedAt && { save: saveCut.bind(null, ticket.number, ticket.version) })}
    />
  );
}
