import { openFor } from '@/app/identity/at-work';
import { METHOD_WORDS } from '@/core/terms/method';
import { stopsTicket } from '@/core/counter/inspection';
import { waitsForYes } from '@/core/counter/extra-work';
import { moneyFigure, stringPrice } from '@/core/measure/money';
import { formatStringLength, formatTicket, formatTicketConverted } from '@/core/measure/units';
import { wallTime } from '@/core/measure/promised-time';
import { eventLabour } from '@/core/tournament/account';
import { lengthWords } from '@/core/cut/wording';
import { Fact, Facts } from '@/ui/facts';
import { stationsOf, type Station } from '../stations';
import { jobAt, openTicket, type OpenTicket } from '../ticket';
import { Waits } from '../waits';
import { closeJob } from './actions';
import { HandOverForm, LastLookForm } from '@/app/(house)/when-used';
import { may } from '@/core/house/policy';
import { keepLastLook } from '../last-look/actions';
import { LookWords } from '../last-look/look-words';
import { stationTitle } from '../station-title';

const SUPPLY_WORDS = {
  none: 'A set, or half of each in a hybrid.',
  some: 'Only the string that is yours.',
  all: 'The client brought the string.',
};

/** What the bench does not know of, and how the record will say so. */
function missingAtTheBench({ stepsDone, stepsInAll, strungWhole }: OpenTicket): string | undefined {
  if (strungWhole) return undefined;
  if (stepsInAll === undefined)
    return 'Nothing was kept at the bench. The record will say so: no time, no pulls.';
  return `Only ${stepsDone} of ${stepsInAll} steps are kept at the bench. Is it strung to the last knot? The record will list what was kept, and call the rest not kept at the bench.`;
}

export const generateMetadata = stationTitle('Hand over');

export default async function HandOverStation({
  params,
}: PageProps<'/tickets/[number]/hand-over'>) {
  const { events, role } = await openFor('hand over');
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
  const { choice } = job;
  const { pieces } = job.plan;
  const supplied = job.supply.pieces;
  const length = (mm: number) => formatStringLength(mm, workshop.lengthSystem);
  const cutOf = (name: 'mains' | 'crosses') => {
    const piece = pieces.find((each) => each.name === name);
    return piece && `cut ${length(piece.cutMm)}`;
  };
  const price = stringPrice(
    { setMinor: mains.string.setPriceMinor, suppliedByClient: mains.supplied },
    { setMinor: crosses.string.setPriceMinor, suppliedByClient: crosses.supplied },
  );
  const brought = Number(mains.supplied) + Number(crosses.supplied);
  const labour = at
    ? eventLabour(
        at.event,
        brought === 2,
        wallTime(ticket.takenIn, workshop.timeZone),
        ticket.promised,
      )
    : workshop.labourMinor;
  const looksHere = !ticket.closedAt && may(role, 'string');
  const supply = brought === 0 ? 'none' : brought === 1 ? 'some' : 'all';
  return (
    <div className="grid gap-10 lg:grid-cols-2">
      <section aria-label="What goes on record">
        <Facts>
          <Fact name="Tension" figure note={formatTicketConverted(tension)}>
            {formatTicket(tension)}
          </Fact>
          <Fact
            name="Bed"
            note={
              choice.method === 'two-piece' ? undefined : `cut ${length(pieces[0]?.cutMm ?? 0)}`
            }
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
          {!looksHere && (
            <Fact name="Last look">
              <LookWords look={ticket.lastLook} />
            </Fact>
          )}
        </Facts>
        {looksHere && (
          <section aria-label="Last look" className="mt-6">
            <h2 className="figure mb-1 text-2xl">Last look</h2>
            <LastLookForm
              key={JSON.stringify(ticket.lastLook)}
              name={`ticket ${ticket.id} last look`}
              kept={ticket.lastLook}
              save={keepLastLook.bind(null, workshop.id, ticket.number)}
            />
          </section>
        )}
      </section>
      {!ticket.closedAt && (
        <HandOverForm
          missing={
            waitsForYes(ticket.extra)
              ? 'The extra work on it is not agreed yet: at Inspect, write how its owner said yes, or take it off.'
              : missingAtTheBench(open)
          }
          key={ticket.version}
          name={`ticket ${ticket.id} hand over`}
          version={ticket.version}
          initial={{
            labour: moneyFigure(labour, workshop.currency),
            string: moneyFigure(price, workshop.currency),
            leftOver: pieces.map(() => ''),
            remarks: '',
            goes: 'now',
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
          stringHint={SUPPLY_WORDS[supply]}
          save={closeJob.bind(null, workshop.id, ticket.number, ticket.version)}
        />
      )}
    </div>
  );
}
