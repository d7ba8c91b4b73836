import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeId } from '@/app/route-id';
import { formatDay, formatWall, wallTime } from '@/core/measure/promised-time';
import { SILENT, talkWords } from '@/core/advice/talk';
import { HistoryChart } from '@/ui/when-used';
import { RowLink, Table } from '@/ui/list-page';
import { TicketFigure } from '@/ui/ticket-figure';
import { RemoveButton } from '@/ui/remove-button';
import { RemovedNotice } from '@/ui/removed-notice';
import { sameAgain } from '@/app/(house)/short/same-again';
import { PhotoPanel, RacketForm, GiveRacket } from '@/app/(house)/when-used';
import { nearClients } from '@/app/(house)/clients/actions';
import { racketAgeing } from '@/app/racket-ageing';
import { courtLine, NOTHING_SAID } from '@/core/ageing/court';
import { COME_BACK_WORDS } from '@/core/ageing/comes-back';
import { lossWords } from '@/core/ageing/bed-today';
import { formatSums } from '@/core/measure/money';
import { countWords } from '@/core/terms/count-words';
import { Fact, Facts } from '@/ui/facts';
import { changeRacket, giveRacket, removeRacket, restoreRacket } from '../actions';
import { may } from '@/core/house/role-rights';
import { EarlierJobs } from '../earlier-jobs';
import { strungBefore } from '../strung-before';

/** Asked once for the title and the page. */
const racketAt = cache(async (id: string) => {
  const open = await openFor('see clients');
  return { ...open, racket: await open.rackets.get(id) };
});

export async function generateMetadata({ params }: PageProps<'/rackets/[id]'>): Promise<Metadata> {
  const { racket } = await racketAt(routeId((await params).id));
  return { title: racket ? `${racket.frameName}, ${racket.clientName}` : 'Nothing' };
}

export default async function RacketPage({ params }: PageProps<'/rackets/[id]'>) {
  const id = routeId((await params).id);
  const { workshop, clients, frames, tickets, readings, court, photos, brought, racket, role } =
    await racketAt(id);
  if (!racket) notFound();
  const history = await tickets.ofRacket(id);
  const [client, frame] = await Promise.all([
    clients.get(racket.clientId),
    racket.frameId ? frames.get(racket.frameId) : undefined,
  ]);
  const said = talkWords(
    { ...(client?.talk ?? SILENT), racket: racket.build ?? SILENT.racket },
    frame?.sport ?? 'tennis',
  );
  const latest = history.find((ticket) => ticket.record);
  const [pictures, before, played] = await Promise.all([
    photos.ofRacket(id),
    brought.earlierOf(id),
    court.ofTickets(history.map((ticket) => ticket.id)),
  ]);
  const now = wallTime(new Date(), workshop.timeZone);
  const bed = racketAgeing({
    workshop,
    history,
    readings: await readings.ofTickets(history.map((ticket) => ticket.id)),
    spec: frame?.spec,
    playsAWeek: client?.talk?.playsAWeek ?? null,
    heat: racket.heat,
    elsewhereOn: racket.elsewhereOn,
    today: now.slice(0, 10),
  })?.today;
  const spent = history.flatMap(({ record, toPayMinor, labourMinor, stringMinor }) =>
    record
      ? [
          {
            minor: toPayMinor ?? (labourMinor ?? 0) + (stringMinor ?? 0),
            currency: record.price?.currency ?? workshop.currency,
          },
        ]
      : [],
  );
  return (
    <main className="grid gap-10 px-6 py-6 lg:grid-cols-[1fr_1.4fr]">
      <div>
        {racket.removedAt && (
          <RemovedNotice what="racket" restore={restoreRacket.bind(null, workshop.id, id)} />
        )}
        <h1 className="figure text-4xl break-words">{racket.frameName}</h1>
        <p className="mb-4">
          <Link href={`/clients/${racket.clientId}`} className="underline">
            {racket.clientName}
          </Link>
        </p>
        {said && <p className="label mb-4">The talk: {said}. It is asked again at each Setup.</p>}
        <RacketForm
          key={racket.version}
          name={`racket ${id}`}
          version={racket.version}
          initial={{ mark: racket.mark, frameId: racket.frameId ?? '', notes: racket.notes }}
          frames={(await frames.all(racket.frameId)).map((each) => ({
            id: each.id,
            text: each.name,
            detail: each.removedAt ? `${each.sport}, removed` : each.sport,
          }))}
          save={changeRacket.bind(null, workshop.id, id, racket.version)}
        />
        {!racket.removedAt && (
          <GiveRacket
            key={racket.clientId}
            owner={{ id: racket.clientId, name: racket.clientName }}
            near={nearClients.bind(null, workshop.id)}
            give={giveRacket.bind(null, workshop.id, id)}
          />
        )}
        {pictures.length > 0 && (
          <div className="mt-8">
            <PhotoPanel workshopId={workshop.id} number={0} photos={pictures} />
          </div>
        )}
        {!racket.removedAt && (
          <p className="mt-8">
            <RemoveButton
              what="racket"
              remove={removeRacket.bind(null, workshop.id, id)}
              restore={restoreRacket.bind(null, workshop.id, id)}
              listHref="/rackets"
            />
          </p>
        )}
      </div>
      <section>
        <div className="flex flex-wrap items-baseline gap-x-6">
          <h2 className="figure mb-2 grow text-2xl">What was done on it</h2>
          {/* A racket that is here already is not taken in again. */}
          {racket.openNumber !== null ? (
            <Link
              href={`/tickets/${racket.openNumber}`}
              className="bg-ink text-paper px-4 py-1.5 font-medium"
            >
              Go on with ticket {racket.openNumber}
            </Link>
          ) : racket.removedAt || client?.removedAt ? undefined : (
            <>
              {latest && (
                <Link
                  href={sameAgain(role, latest.number)}
                  className="bg-ink text-paper px-4 py-1.5 font-medium"
                >
                  The same again
                </Link>
              )}
              <Link href={`/take-in?racket=${id}`} className="underline">
                Take it in
              </Link>
            </>
          )}
          {latest && (
            <Link href={`/rackets/${id}/ageing`} className="underline">
              How it ages
            </Link>
          )}
          {racket.frameId && (
            <Link href={`/rackets/${id}/reading`} className="underline">
              Read its bed
            </Link>
          )}
          <Link href={`/rackets/${id}/balance`} className="underline">
            Mass and balance
          </Link>
          {racket.frameId && may(role, 'set up') && (
            <Link href={`/same-feel?racket=${id}`} className="underline">
              Same feel on another racket
            </Link>
          )}
        </div>
        {bed && (
          <Facts className="mb-3">
            <Fact name="Age of the strings" note={`should have lost ${lossWords(bed.loss)} by now`}>
              {bed.days} days
            </Fact>
            <Fact name="Due again" note={COME_BACK_WORDS[bed.due.by]}>
              {formatDay(bed.due.day)}
            </Fact>
            <Fact name="Strung here">
              {spent.length === 0
                ? 'not yet'
                : `${countWords(spent.length, 'time')}, ${formatSums(spent, workshop.locale)} in all`}
            </Fact>
          </Facts>
        )}
        <HistoryChart
          jobs={strungBefore(history, workshop.timeZone)}
          unit={latest?.record?.setup.unit ?? workshop.tensionUnit}
          className="mb-3"
        />
        <Table
          head={['Ticket', 'Strung', 'Tension', 'Mains', 'Crosses', 'Remarks, and how it played']}
          empty="Nothing yet."
          rows={history.map(({ id: ticket, number, record, closedAt, promised }) => ({
            key: String(number),
            cells: record
              ? [
                  <RowLink key="link" href={`/jobs/${number}`}>
                    {number}
                  </RowLink>,
                  closedAt && formatDay(wallTime(closedAt, workshop.timeZone)),
                  <TicketFigure
                    key="tension"
                    tension={record.setup}
                    words={record.strung?.words}
                  />,
                  `${record.setup.mains.name} ${record.setup.mains.gaugeMm.toFixed(2)}`,
                  `${record.setup.crosses.name} ${record.setup.crosses.gaugeMm.toFixed(2)}`,
                  [
                    record.remarks,
                    courtLine(played.find(({ ticketId }) => ticketId === ticket) ?? NOTHING_SAID),
                  ]
                    .filter(Boolean)
                    .join('; '),
                ]
              : [
                  <RowLink key="link" href={`/tickets/${number}/take-in`}>
                    {number}
                  </RowLink>,
                  `open, promised ${formatWall(promised, now)}`,
                  '',
                  '',
                  '',
                  '',
                ],
          }))}
        />
        {before.length > 0 && <EarlierJobs jobs={before} locale={workshop.locale} />}
      </section>
    </main>
  );
}
