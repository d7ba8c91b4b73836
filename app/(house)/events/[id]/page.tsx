import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { may } from '@/core/house/role-rights';
import { dayAt, formatWall } from '@/core/measure/promised-time';
import { countWords } from '@/core/terms/count-words';
import { STATES } from '@/core/tournament/board';
import { promiseBefore } from '@/core/tournament/court';
import { racketCount } from '@/core/tournament/orders';
import { LiveDay } from '@/ui/day/live-day';
import { OneField } from '@/ui/form/one-field';
import { Link } from '@/ui/link';
import { RowLink, Table } from '@/ui/list-page';
import { AddPlayer } from '@/app/(house)/when-used';
import { eventAt, type EventPlayerLine } from './event-at';
import { addPlayer, allLater, moveCourt, sayCourt } from './players/actions';

export const metadata: Metadata = { title: 'Event' };

/** `12 13 ready, 14 waits` */
function statesOf({ rackets }: EventPlayerLine): string {
  return STATES.filter((state) => state !== 'taken')
    .map((state) => [state, rackets.filter((racket) => racket.state === state)] as const)
    .filter(([, some]) => some.length > 0)
    .map(([state, some]) => `${some.map(({ tag }) => tag).join(' ')} ${state}`)
    .join(', ');
}

/** Who plays when, and where their rackets are. */
export default async function EventPage({ params }: PageProps<'/events/[id]'>) {
  const open = await openFor('see tickets');
  const { workshop, role } = open;
  const { event, now, players } = await eventAt(open, (await params).id);
  const { id, leadMin } = event;
  const takes = may(role, 'take in');
  const arranges = may(role, 'arrange the day');
  const all = players.flatMap(({ rackets }) => rackets);
  const waitingNow = all.filter(({ closedAt }) => closedAt === null);
  const late = waitingNow.filter(({ promised }) => promised < now).length;
  const today = now.slice(0, 10);
  const inToday = (line: EventPlayerLine) =>
    line.rackets.filter(({ takenIn }) => dayAt(takenIn, workshop.timeZone) === today).length;
  const morning = players.reduce(
    (sum, { orders }) => sum + racketCount(orders.orders, 'every morning'),
    0,
  );
  return (
    <main className="px-6 py-6">
      <LiveDay />
      <div className="mb-5 flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <h1 className="figure text-4xl">{event.name}</h1>
        <p className="text-soft grow">
          {countWords(players.length, 'player')}, {countWords(all.length, 'racket')},{' '}
          {waitingNow.length} open
          {late > 0 && <span className="text-warn font-semibold">, {late} late</span>}; ready{' '}
          {leadMin} min before the match
        </p>
        <Link href={`/events/${id}/board`} className="underline">
          Board for the wall
        </Link>
        {may(role, 'see the money') && (
          <Link href={`/events/${id}/account`} className="underline">
            Account of the day
          </Link>
        )}
        {arranges && (
          <Link href={`/events/${id}/change`} className="underline">
            Days, benches, prices
          </Link>
        )}
      </div>
      <Table
        head={['Plays', 'Court', 'Player', 'Ready by', 'Rackets', 'This morning', 'Bench']}
        empty="Nobody plays yet: add the first player below."
        rows={players.map((player) => {
          const { id: playerId, name, onCourt, court, orders, bench } = player;
          const due = onCourt && promiseBefore(onCourt, leadMin);
          const waiting = player.rackets.some(({ closedAt }) => closedAt === null);
          const wanted = racketCount(orders.orders, 'every morning');
          const isLate = waiting && due !== null && due < now;
          return {
            key: playerId,
            cells: [
              arranges ? (
                <OneField
                  key={`at ${onCourt ?? ''}`}
                  label={`When ${name} plays`}
                  value={onCourt ? formatWall(onCourt, now) : ''}
                  action="Set"
                  save={moveCourt.bind(null, workshop.id, playerId)}
                />
              ) : (
                onCourt && formatWall(onCourt, now)
              ),
              arranges ? (
                <OneField
                  key={`court ${court}`}
                  label={`Court of ${name}`}
                  value={court}
                  action="Set"
                  narrow
                  save={sayCourt.bind(null, workshop.id, playerId)}
                />
              ) : (
                court
              ),
              <RowLink key="player" href={`/events/${id}/players/${playerId}`}>
                {name}
              </RowLink>,
              due && (
                <span key="due" className={isLate ? 'text-warn font-semibold' : undefined}>
                  {isLate && 'late, '}
                  {formatWall(due, now)}
                </span>
              ),
              statesOf(player),
              wanted > 0 && `${inToday(player)} in, ${wanted} wanted`,
              bench,
            ],
          };
        })}
      />
      <div className="mt-8 grid gap-8 sm:grid-cols-2">
        {takes && (
          <div>
            <AddPlayer
              workshopId={workshop.id}
              add={addPlayer.bind(null, workshop.id, id, randomUUID())}
              key={players.length}
            />
            <Link href={`/events/${id}/players/import`} className="mt-2 inline-block underline">
              Players from a table
            </Link>
          </div>
        )}
        {arranges && players.some(({ onCourt }) => onCourt !== null && onCourt >= now) && (
          <section aria-label="Play is held up">
            <h2 className="figure mb-1 text-2xl">Play is held up</h2>
            <p className="label mb-2">
              Everybody who has not been on court plays so many minutes later, and what is promised
              moves with it.
            </p>
            <p className="label">Later by (min)</p>
            <OneField
              label="Later by (min)"
              value=""
              action="Move them all"
              figure
              save={allLater.bind(null, workshop.id, id)}
            />
          </section>
        )}
      </div>
      {morning > 0 && (
        <p className="label mt-6">
          By standing order {countWords(morning, 'racket')} come in every morning;{' '}
          {players.reduce((sum, line) => sum + inToday(line), 0)} came in today.
        </p>
      )}
    </main>
  );
}
