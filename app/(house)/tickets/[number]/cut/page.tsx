import { openFor } from '@/app/identity/at-work';
import { usualChoice } from '@/core/cut/methods';
import { houseOf, isHybrid, jobString, learntFor, openTicket, usualCutSource } from '../ticket';
import { Link } from '@/ui/link';
import { Waits } from '../waits';
import { saveCut } from './actions';
import { remnantText } from './cut-entry';
import { CutForm } from '@/app/(house)/when-used';
import { stationTitle } from '../station-title';

export const generateMetadata = stationTitle('Cut');

export default async function CutStation({ params }: PageProps<'/tickets/[number]/cut'>) {
  const { machines } = await openFor('plan the cut');
  const open = await openTicket((await params).number);
  const { ticket, frame, study, setup, workshop, choice } = open;
  if (!frame || !study?.bed) return <Waits number={ticket.number} path="frame" what="the frame" />;
  if (!setup) return <Waits number={ticket.number} path="setup" what="the setup" />;
  const hybrid = isHybrid(setup);
  return (
    <>
      {choice && (
        <p className="mb-3">
          <Link href={`/tickets/${ticket.number}/load`} className="underline">
            What the hoop does when it is strung so
          </Link>
        </p>
      )}
      <CutForm
        key={ticket.version}
        name={`ticket ${ticket.id} cut`}
        version={ticket.version}
        number={ticket.number}
        initial={{
          ...(choice ?? usualChoice(study.bed, hybrid)),
          cutFrom: ticket.cutFrom ?? usualCutSource(setup),
          remnants: remnantText(ticket.remnantsMm),
          machineId: ticket.machineId ?? '',
        }}
        bed={study.bed}
        doubts={[...study.cautions, ...study.assumed]}
        mains={{ ...jobString(setup.mains), pullN: setup.tension.mainN }}
        crosses={{ ...jobString(setup.crosses), pullN: setup.tension.crossN }}
        tension={setup.tension}
        hybrid={hybrid}
        assumptions={workshop.cutAssumptions}
        machines={(await machines.all()).map(({ id, name, gripperMm }) => ({
          id,
          name,
          gripperMm,
        }))}
        preference={workshop.methodPreference}
        learnt={await learntFor(open)}
        custom={houseOf(open, false)}
        lengthSystem={workshop.lengthSystem}
        {...(!ticket.closedAt && {
          save: saveCut.bind(null, workshop.id, ticket.number, ticket.version),
        })}
      />
    </>
  );
}
