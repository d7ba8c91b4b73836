import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openLink } from '@/app/client-page-at';
import { dayAt, formatDay, formatWall, wallTime } from '@/core/measure/promised-time';
import { earlierStrings, earlierTension } from '@/app/earlier-words';
import { ageingOf } from '@/app/ageing-of';
import { NOTHING_SAID } from '@/core/ageing/court';
import { hoursAfter } from '@/core/ageing/life';
import { countWords } from '@/core/terms/count-words';
import { AgeingChart } from '@/ui/ageing-chart';
import { lossWords } from '@/core/ageing/bed-today';
import { houseAgeing } from '@/app/house-ageing';
import { slipOf } from '@/core/papers/slip';
import { Fact, Facts } from '@/ui/facts';
import { BringAgain } from './bring-again';
import { HowItPlayed } from '@/ui/when-used';
import { bringAgain, sayHowItPlayed, sayPlays } from './actions';
import { Plays } from './plays';

export const dynamic = 'force-dynamic';

export const metadata: Metadata = {
  title: 'Your racket',
  // Whoever has the address may open it; nobody else is to find it.
  robots: { index: false, follow: false },
  referrer: 'no-referrer',
};

/** Jobs of before this record that are listed. */
const SHOWN_BEFORE = 5;

/** A client's own racket: what is in it, how it ages, when it is due, and a press to bring it again. */
export default async function ClientPage({ params }: PageProps<'/c/[token]'>) {
  const { token } = await params;
  const { work, racketId } = await openLink(token);
  const { workshop, racket, client, history, before, wish, said, ageing } = await work(
    async (records) => {
      const known = await records.rackets.get(racketId);
      const shop = await records.shopOfLink();
      const tickets = await records.tickets.lastOfRacket(racketId, 2);
      return {
        workshop: shop,
        racket: known,
        client: known && (await records.clients.get(known.clientId)),
        history: tickets,
        before: await records.brought.earlierOf(racketId, SHOWN_BEFORE),
        wish: await records.clientLinks.hasWish(racketId),
        // What somebody said of it who had it before is theirs.
        said: await records.court.ofTickets(
          tickets.flatMap(({ id, strungFor }) => (strungFor === null ? [id] : [])),
        ),
        ageing: known && (await ageingOf(records, shop, known, dayAt(new Date(), shop.timeZone))),
      };
    },
  );
  if (!racket || racket.removedAt) notFound();
  const now = wallTime(new Date(), workshop.timeZone);
  const open = history.find(({ closedAt, withdrawnAt }) => !closedAt && !withdrawnAt);
  const last = history.find(({ record }) => record);
  const strung = last?.closedAt && dayAt(last.closedAt, workshop.timeZone);
  const unit = client?.tensionUnit ?? workshop.tensionUnit;
  const slip =
    last?.record && strung
      ? slipOf({
          workshop: workshop.name,
          number: last.number,
          day: strung,
          unit,
          record: last.record,
          known: houseAgeing(workshop),
        })
      : undefined;
  const bed = ageing?.today;
  const hoursLeft = bed?.playsAWeek
    ? Math.max(0, hoursAfter(bed.life.middle - bed.days, bed.playsAWeek))
    : undefined;
  return (
    <>
      <header className="border-edge mb-5 border-b pb-3">
        <p className="label">{workshop.name}</p>
        <h1 className="figure text-4xl">
          {racket.frameName}
          {racket.mark && `, ${racket.mark}`}
        </h1>
      </header>
      {open && (
        <p role="status" className="bg-sheet mb-5 px-4 py-3">
          It is with us: ticket {open.number}, promised {formatWall(open.promised, now)}.
        </p>
      )}
      {last && last.collectedAt === null && (
        <p role="status" className="bg-sheet mb-5 px-4 py-3 font-semibold">
          It is strung and waits for you.
        </p>
      )}
      {slip && bed ? (
        <>
          <Facts>
            <Fact name="Tension" figure note={slip.converted}>
              {slip.tension}
            </Fact>
            <Fact name="Strung" note={slip.by && `by ${slip.by}`}>
              {slip.strung}
            </Fact>
            {slip.strings.map(({ where, string }) => (
              <Fact key={where} name={where}>
                {string}
              </Fact>
            ))}
            <Fact
              name="By now"
              note={
                ageing && ageing.from > 0
                  ? `with ${countWords(ageing.from, 'measurement')} of yours in it`
                  : 'as strings of this kind do; only measuring knows it of yours'
              }
            >
              it has lost about {lossWords(bed.loss)} of its tension
            </Fact>
            <Fact
              name="Due again"
              figure
              note={
                bed.playsAWeek ? `at ${bed.playsAWeek} plays a week` : 'by lying, played or not'
              }
            >
              {bed.isDue ? <span className="text-warn">now</span> : formatDay(bed.due.day)}
            </Fact>
          </Facts>
          {ageing && (
            <div className="mt-4">
              <AgeingChart {...ageing.chart} unit={unit} />
              <p className="mt-2">
                {hoursLeft === undefined
                  ? 'It only lies, as far as we know.'
                  : hoursLeft === 0
                    ? 'Its hours are played.'
                    : `About ${countWords(Math.max(1, Math.round(hoursLeft)), 'hour')} of play ${Math.round(hoursLeft) > 1 ? 'are' : 'is'} left.`}{' '}
                <a href={`/c/${token}/calendar`} download className="underline">
                  The day for your calendar
                </a>
              </p>
            </div>
          )}
          <Plays
            key={bed.playsAWeek ?? ''}
            plays={bed.playsAWeek === null ? '' : String(bed.playsAWeek)}
            send={sayPlays.bind(null, token)}
          />
          <section aria-label="How it played" className="border-hair mt-6 border-t pt-4">
            <HowItPlayed
              said={said.find(({ ticketId }) => ticketId === last?.id) ?? NOTHING_SAID}
              send={sayHowItPlayed.bind(null, token)}
              action="Tell the workshop"
            />
          </section>
          <p className="label mt-3">
            A string loses 5 to 10 % before the first ball: judge it after an hour of play.
          </p>
        </>
      ) : (
        <p>
          {before.length === 0
            ? 'It has not been strung here yet.'
            : 'How it ages is shown from the next time it is strung: of jobs before this record too little is kept.'}
        </p>
      )}
      {before.length > 0 && (
        <section aria-label="Strung before" className="border-hair mt-6 border-t pt-4">
          <h2 className="figure mb-1 text-2xl">Strung before</h2>
          <ul>
            {before.map((job) => (
              <li key={job.id} className="border-hair flex gap-4 border-b py-1.5">
                <span className="label w-28 shrink-0">{formatDay(job.day)}</span>
                <span className="figure">{earlierTension(job)}</span>
                <span className="min-w-0 break-words">{earlierStrings(job)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {!open && <BringAgain wished={wish} send={bringAgain.bind(null, token)} />}
    </>
  );
}
