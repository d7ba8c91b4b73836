import { planCut } from '@/core/plan';
import { stringPrice } from '@/core/money';
import { formatStringLength, formatTicket, formatTicketConverted } from '@/core/units';
import { Fact, Facts } from '@/ui/facts';
import { stationsOf } from '../stations';
import { openTicket } from '../ticket';
import { Waits } from '../waits';
import { closeJob } from './actions';
import { HandOverForm } from './hand-over-form';

const SUPPLY_WORDS = {
  none: 'A set, or half of each in a hybrid.',
  some: 'Only the string that is yours.',
  all: 'The client brought the string.',
};

export default async function HandOverStation({
  params,
}: PageProps<'/tickets/[number]/hand-over'>) {
  const open = await openTicket((await params).number);
  const { ticket, setup, study, workshop } = open;
  const waiting = stationsOf(open).find(({ path, done }) => !done && path !== 'hand-over');
  if (waiting || !setup || !study?.bed || !ticket.crossStart)
    return (
      <Waits
        number={ticket.number}
        path={waiting?.path ?? 'setup'}
        what={waiting?.name ?? 'Setup'}
      />
    );
  const { mains, crosses, tension } = setup;
  const plan = planCut(
    study.bed,
    {
      mains: { ...mains.string, gaugeMm: mains.gaugeMm },
      crosses: { ...crosses.string, gaugeMm: crosses.gaugeMm },
    },
    ticket.crossStart,
    workshop.cutAssumptions,
  );
  const price = stringPrice(
    { setMinor: mains.string.setPriceMinor, suppliedByClient: mains.supplied },
    { setMinor: crosses.string.setPriceMinor, suppliedByClient: crosses.supplied },
  );
  const brought = Number(mains.supplied) + Number(crosses.supplied);
  const supply = brought === 0 ? 'none' : brought === 1 ? 'some' : 'all';
  return (
    <div className="grid gap-10 lg:grid-cols-2">
      <section aria-label="What goes on record">
        <Facts>
          <Fact name="Tension" figure note={formatTicketConverted(tension)}>
            {formatTicket(tension)}
          </Fact>
          <Fact name="Bed">
            {study.bed.spec.pattern.mains} × {study.bed.spec.pattern.crosses}, two pieces
          </Fact>
          <Fact
            name="Mains"
            note={`cut ${formatStringLength(plan.mains.cutMm, workshop.lengthSystem)}`}
          >
            {mains.string.name} {mains.gaugeMm.toFixed(2)} mm
          </Fact>
          <Fact
            name="Crosses"
            note={`cut ${formatStringLength(plan.crosses.cutMm, workshop.lengthSystem)}`}
          >
            {crosses.string.name} {crosses.gaugeMm.toFixed(2)} mm
          </Fact>
          <Fact name="They asked for">{ticket.wish || '–'}</Fact>
          <Fact name="Condition">{ticket.condition || '–'}</Fact>
        </Facts>
      </section>
      {!ticket.closedAt && (
        <HandOverForm
          key={ticket.version}
          name={`ticket ${ticket.id} ${ticket.version} hand over`}
          initial={{
            labour: (workshop.labourMinor / 100).toFixed(2),
            string: (price / 100).toFixed(2),
            remarks: '',
          }}
          currency={workshop.currency}
          stringHint={SUPPLY_WORDS[supply]}
          save={closeJob.bind(null, ticket.number, ticket.version)}
        />
      )}
    </div>
  );
}
