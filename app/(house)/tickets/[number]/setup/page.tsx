import { openFor } from '@/app/identity/at-work';
import { strungBefore } from '@/app/(house)/rackets/strung-before';
import { keptSetups } from '@/core/ageing/court';
import { countWords } from '@/core/terms/count-words';
import { Cautions } from '@/ui/cautions';
import { formatTicket, formatTicketConverted } from '@/core/measure/units';
import { Fact, Facts } from '@/ui/facts';
import { houseOf, lastJobOn, openTicket, type OpenTicket } from '../ticket';
import { crossesEndOf } from '../load/hoop-of';
import { Waits } from '../waits';
import { saveSetup } from './actions';
import { shownSetup } from './shown-setup';
import { stringsToChoose } from './strings-to-choose';
import { SetupForm } from '@/app/(house)/when-used';
import { stationTitle } from '../station-title';

const namesOf = (mains: string, crosses: string): string =>
  mains === crosses ? mains : `${mains} / ${crosses}`;

/** The strings of a setup that are not in the library any more, each once. */
const removedOf = ({ mains, crosses }: NonNullable<OpenTicket['setup']>) =>
  [mains.string, ...(crosses.string.id === mains.string.id ? [] : [crosses.string])].filter(
    ({ removedAt }) => removedAt !== null,
  );

export const generateMetadata = stationTitle('Setup');

export default async function SetupStation({ params }: PageProps<'/tickets/[number]/setup'>) {
  const { strings, shelf, tickets, court } = await openFor('set up');
  const open = await openTicket((await params).number);
  const { ticket, frame, study, setup, unit, workshop } = open;
  if (!frame || !study?.bed) return <Waits number={ticket.number} path="frame" what="the frame" />;
  if (ticket.closedAt && setup)
    return (
      <Facts className="max-w-3xl">
        <Fact name="Tension" figure note={formatTicketConverted(setup.tension)}>
          {formatTicket(setup.tension)}
        </Fact>
        <Fact name="Mains">
          {setup.mains.string.name} {setup.mains.gaugeMm.toFixed(2)} mm
        </Fact>
        <Fact name="Crosses">
          {setup.crosses.string.name} {setup.crosses.gaugeMm.toFixed(2)} mm
        </Fact>
      </Facts>
    );
  const history = await tickets.ofRacket(ticket.racketId);
  const said = await court.ofTickets(history.map(({ id }) => id));
  const had = keptSetups(
    history.flatMap(({ id, record }) =>
      record
        ? [
            {
              strings: namesOf(record.setup.mains.name, record.setup.crosses.name),
              again: said.find(({ ticketId }) => ticketId === id)?.again ?? null,
            },
          ]
        : [],
    ),
  );
  const left = had.filter((each) => each.left);
  return (
    <>
      {left.length > 0 && (
        <Cautions
          cautions={[
            `They would not take ${left.map(({ strings: names }) => names).join(' or ')} again.${had[0] && !had[0].left ? ` What they kept: ${had[0].strings}, ${countWords(had[0].times, 'time')}.` : ''}`,
          ]}
        />
      )}
      <SetupForm
        key={ticket.version}
        name={`ticket ${ticket.id} setup`}
        version={ticket.version}
        number={ticket.number}
        saved={ticket.advice !== null}
        kept={setup?.tension}
        initial={await shownSetup(open)}
        strings={await stringsToChoose({ strings, shelf }, frame.sport)}
        lengthSystem={workshop.lengthSystem}
        gone={setup ? removedOf(setup) : []}
        bed={{ spec: frame.spec, areaMm2: study.bed.areaMm2 }}
        unit={unit}
        wish={ticket.wish}
        record={await lastJobOn(ticket.racketId, ticket.number)}
        crossesEnd={crossesEndOf(frame.spec, frame.hoopFactor, houseOf(open, false))}
        history={strungBefore(history, workshop.timeZone)}
        house={{ kept: houseOf(open, false), todays: houseOf(open, true) }}
        labourMinor={workshop.labourMinor}
        currency={workshop.currency}
        save={saveSetup.bind(null, workshop.id, ticket.number, ticket.version)}
      />
    </>
  );
}
