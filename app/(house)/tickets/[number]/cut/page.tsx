import { openFor } from '@/app/identity/at-work';
import { forTicket, sourceFor, type ForTicket } from '@/app/(house)/shelf/cut-ticket';
import { usualChoice } from '@/core/cut/methods';
import { planCut } from '@/core/cut/plan';
import { formatStringLength, type LengthSystem } from '@/core/measure/units';
import { isHybridSetup, jobString } from '../setup/chosen-strings';
import { houseOf, learntFor, openTicket, usualCutSource } from '../ticket';
import { Link } from '@/ui/link';
import { Waits } from '../waits';
import { saveCut } from './actions';
import { remnantText } from './cut-entry';
import { CutForm } from '@/app/(house)/when-used';
import { stationTitle } from '../station-title';

/** From what the shelf serves this ticket, a line a piece. */
function onShelfWords(
  { allocation, unserved, lengths }: ForTicket,
  system: LengthSystem,
): { readonly cut: readonly string[]; readonly missing: readonly string[] } {
  return {
    cut: allocation.flatMap(({ piece, lengthId }) => {
      const length = lengths.find(({ id }) => id === lengthId);
      return length
        ? [`${piece}: ${length.name}; leaves ${formatStringLength(length.leavesMm, system)}`]
        : [];
    }),
    missing: unserved.map(
      (piece) =>
        `Nothing on the shelf is long enough for the ${piece === 'whole' ? 'piece' : piece}, beside what is promised earlier: order it, or take it from elsewhere.`,
    ),
  };
}

export const generateMetadata = stationTitle('Cut');

export default async function CutStation({ params }: PageProps<'/tickets/[number]/cut'>) {
  const { machines } = await openFor('plan the cut');
  const open = await openTicket((await params).number);
  const { ticket, frame, study, setup, workshop, choice } = open;
  if (!frame || !study?.bed) return <Waits number={ticket.number} path="frame" what="the frame" />;
  if (!setup) return <Waits number={ticket.number} path="setup" what="the setup" />;
  const hybrid = isHybridSetup(setup);
  const mains = { ...jobString(setup.mains), pullN: setup.tension.mainN };
  const crosses = { ...jobString(setup.crosses), pullN: setup.tension.crossN };
  const learnt = await learntFor(open);
  const custom = houseOf(open, false);
  const usual = choice ?? usualChoice(study.bed, hybrid);
  const plan = planCut(study.bed, { mains, crosses }, usual, open.assumptions, learnt, custom);
  const found = ticket.closedAt ? undefined : await forTicket(ticket.number, plan);
  const source = sourceFor(found, plan.pieces.length);
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
          ...usual,
          cutFrom: ticket.cutFrom ?? source?.cutFrom ?? usualCutSource(setup),
          remnants: remnantText(ticket.cutFrom ? ticket.remnantsMm : (source?.remnantsMm ?? null)),
          machineId: ticket.machineId ?? '',
        }}
        bed={study.bed}
        doubts={[...study.cautions, ...study.assumed]}
        mains={mains}
        crosses={crosses}
        tension={setup.tension}
        hybrid={hybrid}
        assumptions={workshop.cutAssumptions}
        machines={(await machines.all(ticket.machineId)).map(({ id, name, gripperMm }) => ({
          id,
          name,
          gripperMm,
        }))}
        preference={workshop.methodPreference}
        learnt={learnt}
        custom={custom}
        onShelf={found && onShelfWords(found, workshop.lengthSystem)}
        lengthSystem={workshop.lengthSystem}
        {...(!ticket.closedAt && {
          save: saveCut.bind(null, workshop.id, ticket.number, ticket.version),
        })}
      />
    </>
  );
}
