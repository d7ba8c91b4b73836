import { openFor } from '@/app/identity/at-work';
import { METHOD_WORDS } from '@/core/terms/method';
import { stopsTicket } from '@/core/counter/inspection';
import { waitsForYes } from '@/core/counter/extra-work';
import { lostPieces } from '@/core/bench/mishap';
import { formatMoney, moneyFigure, stringPrice } from '@/core/measure/money';
import { formatStringLength, formatTicketConverted } from '@/core/measure/units';
import { wallTime } from '@/core/measure/promised-time';
import { eventLabour } from '@/core/tournament/account';
import { lengthWords } from '@/core/cut/wording';
import { Fact, Facts } from '@/ui/facts';
import { stationsOf, type Station } from '../stations';
import { houseOf, jobAt, openTicket } from '../ticket';
import { Waits } from '../waits';
import { closeJob } from './actions';
import { notOnTheShelf } from '@/app/(house)/shelf/cut-ticket';
import { strungParts, strungWords } from '@/core/record/as-strung';
import { atTheBench } from './at-the-bench';
import { closingQuestions } from './closing-questions';
import { HandOverForm } from '@/app/(house)/when-used';
import { may } from '@/core/house/role-rights';
import { lookEntryOf } from '../last-look/look-entry';
import { LookWords } from '../last-look/look-words';
import { stationTitle } from '../station-title';

const SUPPLY_WORDS = {
  none: 'A set, or half of each in a hybrid.',
  some: 'Only the string that is yours.',
  all: 'The client brought the string.',
};

export const generateMetadata = stationTitle('Hand over');

export default async function HandOverStation({
  params,
}: PageProps<'/tickets/[number]/hand-over'>) {
  const { events, bench, role } = await openFor('hand over');
  const open = await openTicket((await params).number);
  const { ticket, setup, study, workshop } = open;
  const [job, at] = await Promise.all([jobAt(ticket.number), events.ofTicket(ticket.id)]);
  // Inspection and the bench view are a help, not a gate: a job may be strung without them, unless a crack stops it.
  const isGate = ({ path }: Station): boolean =>
    path === 'inspect' ? stopsTicket(ticket.inspection) : path !== 'pull' && path !== 'hand-over';
  const waiting = stationsOf(open).find((station) => !station.done && isGate(station));
  if (waiting || !setup || !study?.bed || !job)
    return (
      <Waits
        number={ticket.number}
        path={waiting?.path ?? 'setup'}
        what={waiting?.name ?? 'Setup'}
      />
    );
  const { mains, crosses, tension } = setup;
  const { strung, mishaps } = await atTheBench(open, job, { bench });
  const inRacket = { setup: tension, strung };
  const { choice } = job;
  const { pieces } = job.plan;
  const supplied = job.supply.pieces;
  const length = (mm: number) => formatStringLength(mm, workshop.lengthSystem);
  const cutOf = (name: 'mains' | 'crosses') => {
    const piece = pieces.find((each) => each.name === name);
    return piece && `cut ${length(piece.cutMm)}`;
  };
  const mainsPrice = { setMinor: mains.string.setPriceMinor, suppliedByClient: mains.supplied };
  const crossesPrice = {
    setMinor: crosses.string.setPriceMinor,
    suppliedByClient: crosses.supplied,
  };
  const lost = lostPieces(job.sequence.ok ? job.sequence.value : undefined, mishaps);
  const lostMinor = lost.reduce((sum, name) => {
    const none = { setMinor: 0, suppliedByClient: false };
    return (
      sum +
      stringPrice(name === 'crosses' ? none : mainsPrice, name === 'mains' ? none : crossesPrice)
    );
  }, 0);
  const clientPays = houseOf(open, false).brokenString === 'the client pays';
  const price = stringPrice(mainsPrice, crossesPrice) + (clientPays ? lostMinor : 0);
  const lostWords =
    lost.length > 0
      ? ` ${clientPays ? 'With' : 'Without'} ${formatMoney(lostMinor, workshop.currency, workshop.locale)} for what broke at the bench (${lost.join(', ')}), as House rules say.`
      : '';
  const brought = Number(mains.supplied) + Number(crosses.supplied);
  const labour = at
    ? eventLabour(
        at.event,
        brought === 2,
        wallTime(ticket.takenIn, workshop.timeZone),
        ticket.promised,
      )
    : workshop.labourMinor;
  const supply = brought === 0 ? 'none' : brought === 1 ? 'some' : 'all';
  const notThere = ticket.closedAt ? [] : await notOnTheShelf(open);
  const questions = closingQuestions(
    open,
    notThere.map(({ name }) => name),
  );
  const facts = (
    <section aria-label="What goes on record">
      <Facts>
        <Fact
          name="Tension"
          figure
          note={formatTicketConverted(strungParts(inRacket, tension.unit).ticket)}
        >
          {strungWords(inRacket)}
        </Fact>
        <Fact
          name="Bed"
          note={choice.method === 'two-piece' ? undefined : `cut ${length(pieces[0]?.cutMm ?? 0)}`}
        >
          {study.bed.spec.pattern.mains} × {study.bed.spec.pattern.crosses},{' '}
          {METHOD_WORDS[choice.method]}
        </Fact>
        <Fact name="Mains" note={cutOf('mains')}>
          {mains.string.name} {mains.gaugeMm.toFixed(2)} mm
        </Fact>
        <Fact name="Crosses" note={cutOf('crosses')}>
          {crosses.string.name} {crosses.gaugeMm.toFixed(2)} mm
        </Fact>
        <Fact name="They asked for">{ticket.wish || '–'}</Fact>
        <Fact name="Condition">{ticket.condition || '–'}</Fact>
        {(ticket.lastLook || ticket.closedAt) && (
          <Fact name="Last look">
            <LookWords look={ticket.lastLook} />
          </Fact>
        )}
      </Facts>
    </section>
  );
  if (ticket.closedAt) return facts;
  return (
    <HandOverForm
      key={ticket.version}
      name={`ticket ${ticket.id} hand over`}
      version={ticket.version}
      questions={questions}
      looks={may(role, 'string')}
      waits={
        waitsForYes(ticket.extra)
          ? 'The extra work on it is not agreed yet: at Inspect, write how its owner said yes, or take it off.'
          : undefined
      }
      initial={{
        labour: moneyFigure(labour, workshop.currency),
        string: moneyFigure(price, workshop.currency),
        leftOver: pieces.map(() => ''),
        remarks: '',
        goes: 'now',
        look: lookEntryOf(null),
        noLook: false,
        strungUnseen: false,
        notFromShelf: false,
        grommets: '',
        extra: (ticket.extra?.lines ?? []).map(() => '' as const),
      }}
      pieces={pieces.map(({ name, cutMm, leftMm }, i) => {
        const given = supplied[i]?.givenMm ?? cutMm;
        return {
          name: name === 'whole' ? 'the piece' : `the ${name}`,
          hint: `Of ${length(given)}; the plan leaves ${lengthWords(given - cutMm + leftMm, workshop.lengthSystem)}. Optional: it teaches the next cut.`,
        };
      })}
      currency={workshop.currency}
      locale={workshop.locale}
      price={{
        extras: (ticket.extra?.lines ?? []).map(({ name, quantity, unitMinor, taxBp }) => ({
          text: name,
          quantity,
          unitMinor,
          taxBp,
        })),
        taxIncluded: workshop.taxIncluded,
        labourTaxBp: workshop.labourTaxBp,
        stringTaxBp: workshop.stringTaxBp,
      }}
      stringHint={`${SUPPLY_WORDS[supply]}${lostWords}`}
      save={closeJob.bind(null, workshop.id, ticket.number, ticket.version)}
    >
      {facts}
    </HandOverForm>
  );
}
