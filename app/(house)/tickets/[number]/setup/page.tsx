import { openFor } from '@/app/identity/at-work';
import { strungBefore } from '@/app/(house)/rackets/strung-before';
import { keptSetups } from '@/core/ageing/court';
import { countWords } from '@/core/terms/count-words';
import { Cautions } from '@/ui/cautions';
import { SILENT, type Talk } from '@/core/advice/talk';
import { formatTicket, formatTicketConverted } from '@/core/measure/units';
import { Fact, Facts } from '@/ui/facts';
import { houseOf, isHybrid, lastJobOn, openTicket, type OpenTicket } from '../ticket';
import { crossesEndOf } from '../load/hoop-of';
import { Waits } from '../waits';
import { saveSetup } from './actions';
import type { SetupEntry } from './setup-entry';
import { SetupForm } from '@/app/(house)/when-used';
import { talkEntryOf } from './talk-entry';
import { stationTitle } from '../station-title';

/** What was said at this ticket, else what the client and the racket are remembered by. */
async function talkOn({ ticket, client }: OpenTicket): Promise<Talk> {
  if (ticket.advice) return ticket.advice.talk;
  const { rackets, tickets, court } = await openFor('set up');
  const racket = await rackets.get(ticket.racketId);
  const before = (await tickets.lastOfRacket(ticket.racketId, 3)).find(({ record }) => record);
  const [said] = before ? await court.ofTickets([before.id]) : [];
  return {
    ...(client.talk ?? SILENT),
    // What they said of this racket’s last bed stands before what is remembered of them.
    ...(said && { faults: [...said.faults] }),
    racket: racket?.build ?? SILENT.racket,
  };
}

const namesOf = (mains: string, crosses: string): string =>
  mains === crosses ? mains : `${mains} / ${crosses}`;

function entryOf({ ticket, setup }: OpenTicket, talk: Talk): SetupEntry {
  const base = {
    talk: talkEntryOf(talk),
    switched: { ...ticket.advice?.switched },
    todaysRules: false,
    ownWord: ticket.advice?.ownWord ?? '',
  };
  if (!setup)
    return {
      ...base,
      mainStringId: '',
      mainGauge: '',
      mainSupplied: false,
      hybrid: false,
      crossStringId: '',
      crossGauge: '',
      crossSupplied: false,
      tension: '',
    };
  const { mains, crosses, tension } = setup;
  const advised = ticket.advice?.advised;
  const asAdvised = advised?.mainN === tension.mainN && advised.crossN === tension.crossN;
  return {
    ...base,
    mainStringId: mains.string.id,
    mainGauge: mains.gaugeMm.toFixed(2),
    mainSupplied: mains.supplied,
    hybrid: isHybrid(setup),
    crossStringId: crosses.string.id,
    crossGauge: crosses.gaugeMm.toFixed(2),
    crossSupplied: crosses.supplied,
    // What follows the advice goes on following it.
    tension: asAdvised ? '' : formatTicket(tension),
  };
}

export const generateMetadata = stationTitle('Setup');

export default async function SetupStation({ params }: PageProps<'/tickets/[number]/setup'>) {
  const { strings, tickets, court } = await openFor('set up');
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
        initial={entryOf(open, await talkOn(open))}
        strings={await strings.find('', frame.sport)}
        bed={{ spec: frame.spec, areaMm2: study.bed.areaMm2 }}
        unit={unit}
        wish={ticket.wish}
        record={await lastJobOn(open)}
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
