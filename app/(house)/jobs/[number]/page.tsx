import { randomUUID } from 'node:crypto';
import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { LookWords } from '@/app/(house)/tickets/[number]/last-look/look-words';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeNumber } from '@/app/route-id';
import { differenceWords } from '@/core/advice/words';
import { formatGauge } from '@/core/measure/gauge';
import { formatMoney } from '@/core/measure/money';
import { crossFinish } from '@/core/frame/pattern';
import { METHOD_WORDS } from '@/core/terms/method';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import { strungParts, strungWords } from '@/core/record/as-strung';
import type { BenchRecord } from '@/core/record/record';
import {
  formatStringLength,
  formatTension,
  formatTicket,
  formatTicketConverted,
  type TensionUnit,
} from '@/core/measure/units';
import {
  crossWay,
  knotCount,
  knotWords,
  lengthWords,
  mainsWay,
  skipWords,
} from '@/core/cut/wording';
import { may } from '@/core/house/role-rights';
import { correctRecord, voidJob } from './actions';
import { inspectionWords } from '@/core/counter/inspection';
import { drawingOf } from './drawing';
import { sameAgain } from '@/app/(house)/short/same-again';
import { CorrectionForm, VoidForm } from '@/app/(house)/when-used';
import { CounterPart } from './counter-part';
import { handsWords } from '@/core/record/hands';
import { StrungBed } from '@/ui/when-used';
import { Fact, Facts } from '@/ui/facts';

/** Asked once for the title and the page. */
const closedTicket = cache(async (number: number) => {
  const { workshop, tickets, role } = await openFor('see records');
  return { workshop, tickets, role, ticket: await tickets.get(number) };
});

export async function generateMetadata({ params }: PageProps<'/jobs/[number]'>): Promise<Metadata> {
  const { ticket } = await closedTicket(routeNumber((await params).number));
  return { title: ticket?.record ? `Job ${ticket.number}, ${ticket.record.client}` : 'Nothing' };
}

/** A job as it was done. Everything here comes from its own record, none of it from the library. */
export default async function JobPage({ params }: PageProps<'/jobs/[number]'>) {
  const { workshop, ticket, tickets, role } = await closedTicket(
    routeNumber((await params).number),
  );
  const closedAt = ticket?.closedAt ?? ticket?.wasClosedAt;
  if (!closedAt || !ticket?.record) notFound();
  const voidedAt = ticket.wasClosedAt ? ticket.withdrawnAt : null;
  const { record } = ticket;
  const { setup, plan, frame } = record;
  const added = await tickets.corrections(ticket.id);
  const drawing = drawingOf(record, await tickets.drawn(ticket.number));
  const length = (mm: number) => formatStringLength(mm, workshop.lengthSystem);
  const money = (minor: number | null) =>
    formatMoney(minor ?? 0, record.price?.currency ?? workshop.currency, workshop.locale);
  const strung = ({ name, gaugeMm, suppliedByClient }: typeof setup.mains) =>
    `${name} ${formatGauge(gaugeMm)}${suppliedByClient ? ', brought by the client' : ''}`;
  return (
    <main className="px-6 py-6">
      <header className="border-edge mb-5 flex flex-wrap items-baseline gap-x-6 border-b pb-3">
        <h1 className="figure text-4xl">
          <span className="text-soft">Job</span> {ticket.number}
        </h1>
        <p className="grow break-words">
          <span className="font-semibold">{record.client}</span> ·{' '}
          <Link href={`/rackets/${ticket.racketId}`} className="underline">
            {record.racket.frameName}
            {record.racket.mark && `, ${record.racket.mark}`}
          </Link>{' '}
          · handed over {formatDay(wallTime(closedAt, workshop.timeZone))}
        </p>
        <Link
          href={sameAgain(role, ticket.number)}
          className="bg-ink text-paper px-5 py-2 font-medium"
        >
          The same again
        </Link>
      </header>
      {voidedAt && (
        <p role="status" className="bg-warn-wash mb-5 px-3 py-2 font-medium">
          Voided on {formatDay(wallTime(voidedAt, workshop.timeZone))}: {ticket.withdrawnWhy}. It
          owes nothing and counts nowhere.
        </p>
      )}
      <div className="grid gap-8 lg:grid-cols-[1fr_1.1fr]">
        {drawing && (
          <StrungBed {...drawing} lengthSystem={workshop.lengthSystem} className="h-[36rem]" />
        )}
        <Facts className="content-start">
          <Fact
            name="Tension"
            figure
            note={formatTicketConverted(strungParts(record, setup.unit).ticket)}
          >
            {strungWords(record)}
          </Fact>
          {record.dial && (
            <Fact name="Set on the dial" note={record.machine ?? undefined}>
              {formatTicket({ ...record.dial, unit: setup.unit })}
            </Fact>
          )}
          <Fact
            name="Price"
            figure
            note={
              record.price
                ? record.price.lines
                    .map(
                      ({ text, quantity, unitMinor }) => `${text} ${money(quantity * unitMinor)}`,
                    )
                    .join(', ')
                : `labour ${money(ticket.labourMinor)}, string ${money(ticket.stringMinor)}`
            }
          >
            {money(ticket.toPayMinor ?? (ticket.labourMinor ?? 0) + (ticket.stringMinor ?? 0))}
          </Fact>
          <Fact name="Mains" note={mainsWay(plan)}>
            {strung(setup.mains)}
          </Fact>
          <Fact
            name="Crosses"
            note={crossWay(
              plan.crossStart,
              crossFinish(plan.crossStart, frame.pattern.crosses),
              frame.pattern.crosses,
            )}
          >
            {strung(setup.crosses)}
          </Fact>
          {plan.pieces.map(({ name, cutMm, leftOverMm }) => (
            <Fact
              key={name}
              name={name === 'whole' ? 'Cut in one piece' : `Cut for the ${name}`}
              note={
                leftOverMm === null
                  ? undefined
                  : `${lengthWords(leftOverMm, workshop.lengthSystem)} were left over`
              }
            >
              {length(cutMm)}
            </Fact>
          ))}
          <Fact name="Skips" note={`throat ${skipWords(plan.skips.throat, 'throat')}`}>
            head {skipWords(plan.skips.head, 'head')}
          </Fact>
          <Fact
            name="Knots"
            note={plan.knots
              .map(({ ties, hole, side }) => knotWords({ ties, hole: { label: hole }, side }))
              .join(' · ')}
          >
            {knotCount(plan.knots)}
          </Fact>
          {record.hands && (
            <Fact name="Hands">
              {handsWords(record.hands)
                .map(({ deed, who }) => `${deed} ${who}`)
                .join(' · ')}
            </Fact>
          )}
          <Fact name="Pattern">
            {frame.pattern.mains} × {frame.pattern.crosses}, {METHOD_WORDS[plan.method]}, cut from{' '}
            {plan.cutFrom}
          </Fact>
          {record.advice && (
            <Fact
              name="Advice"
              note={
                differenceWords(setup, record.advice.advised)
                  ? `pulled ${differenceWords(setup, record.advice.advised)}`
                  : 'pulled as advised'
              }
            >
              {formatTicket({ ...record.advice.advised, unit: setup.unit })} ·{' '}
              <Link href={`/papers/${ticket.number}/letter`} className="underline">
                words for the client
              </Link>
            </Fact>
          )}
          {record.advice && record.advice.against.length > 0 && (
            <Fact
              name="Not advised"
              note={record.advice.against.map(({ title, why }) => `${title}: ${why}`).join(' ')}
            >
              “{record.advice.ownWord}”
            </Fact>
          )}
          {record.advice && record.advice.overPrint !== '' && (
            <Fact name="Over the printed maximum" note="the owner’s word">
              “{record.advice.overPrint}”
            </Fact>
          )}
          {record.bench ? (
            <AtTheBench name="At the bench" bench={record.bench} unit={setup.unit} />
          ) : (
            <Fact name="At the bench">
              not kept at the bench
              {record.closing?.strungUnseen && '; strung to the last knot, as was said'}
            </Fact>
          )}
          {record.late && (
            <AtTheBench name="With what came late" bench={record.late} unit={setup.unit} />
          )}
          <Fact name="They asked for">{ticket.wish || '–'}</Fact>
          <Fact name="Condition">{ticket.condition || '–'}</Fact>
          {record.inspection && (
            <Fact name="Seen when it came in">
              {inspectionWords(record.inspection).join(' · ') || 'nothing wrong'}
              {record.closing?.grommets &&
                `; the grommets were ${record.closing.grommets === 'left' ? 'left as they are' : 'replaced'}`}
            </Fact>
          )}
          {(record.closing?.notDone.length ?? 0) > 0 && (
            <Fact name="Agreed and not done">{record.closing?.notDone.join(', ')}</Fact>
          )}
          {(record.closing?.notFromShelf.length ?? 0) > 0 && (
            <Fact name="Not off the shelf">
              {record.closing?.notFromShelf.join(', ')}: the string came from elsewhere
            </Fact>
          )}
          <Fact name="Last look">
            <LookWords look={ticket.lastLook} />
          </Fact>
          <Fact name="Remarks">{record.remarks || '–'}</Fact>
          {added.map(({ id, at, text, who }) => (
            <Fact
              key={id}
              name="Corrected"
              note={`${formatDay(wallTime(at, workshop.timeZone))}${who ? `, ${who}` : ''}`}
            >
              {text}
            </Fact>
          ))}
        </Facts>
      </div>
      <CounterPart ticket={ticket} />
      {may(role, 'correct a record') && (
        <CorrectionForm
          key={added.length}
          name={`correct ${ticket.id}`}
          save={correctRecord.bind(null, workshop.id, ticket.number, randomUUID())}
        />
      )}
      {ticket.closedAt && may(role, 'void jobs') && (
        <VoidForm
          name={`void ${ticket.id}`}
          version={ticket.version}
          save={voidJob.bind(null, workshop.id, ticket.number, ticket.version)}
        />
      )}
    </main>
  );
}

/** What really happened at the machine: time, what went wrong, and each pull beside what was asked. */
function AtTheBench({
  name,
  bench: { minutes, steps, pulls, notes, mishaps, imbalanceN },
  unit,
}: {
  readonly name: string;
  readonly bench: BenchRecord;
  readonly unit: TensionUnit;
}) {
  const measured = pulls.filter(({ pulledN }) => pulledN !== null).length;
  return (
    <Fact
      name={name}
      note={`one side ahead by at most ${formatTension(imbalanceN, unit)}; ${measured === 0 ? 'pulled by hand' : `${measured} of ${pulls.length} pulls measured`}`}
    >
      {minutes} min
      {steps && steps.kept < steps.of && (
        <p>
          {steps.kept} of {steps.of} steps; the other {steps.of - steps.kept} were not kept at the
          bench.
        </p>
      )}
      {mishaps.map(({ step, what, way }, i) => (
        <p key={i} className="text-warn">
          {what}. {way}. <span className="label">At: {step}</span>
        </p>
      ))}
      {notes.map(({ step, text }, i) => (
        <p key={i}>
          {text} <span className="label">At: {step}</span>
        </p>
      ))}
      {pulls.length > 0 && (
        <details>
          <summary className="cursor-pointer underline">Every pull</summary>
          <div className="max-h-72 overflow-y-auto" tabIndex={0}>
            <table className="figure mt-1">
              <thead>
                <tr className="label text-left">
                  <th className="pr-5 font-normal">string</th>
                  <th className="pr-5 font-normal">asked</th>
                  <th className="font-normal">pulled</th>
                </tr>
              </thead>
              <tbody>
                {pulls.map(({ string, askedN, pulledN }) => (
                  <tr key={string}>
                    <td className="pr-5">{string}</td>
                    <td className="pr-5">{formatTension(askedN, unit)}</td>
                    <td>{pulledN === null ? '–' : formatTension(pulledN, unit)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </details>
      )}
    </Fact>
  );
}
