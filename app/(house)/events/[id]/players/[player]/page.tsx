import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { formatMoney } from '@/core/measure/money';
import { dayAt, formatWall } from '@/core/measure/promised-time';
import { formatTicket } from '@/core/measure/units';
import { accountOf } from '@/core/tournament/account';
import { promiseBefore } from '@/core/tournament/court';
import { racketCount, tensionsOf, type StandingOrder } from '@/core/tournament/orders';
import { LiveDay } from '@/ui/day/live-day';
import { Link } from '@/ui/link';
import { RowLink, Table } from '@/ui/list-page';
import { RemoveButton } from '@/ui/remove-button';
import { TicketFigure } from '@/ui/ticket-figure';
import { eventAt, handedOver } from '../../event-at';
import { bagIn, changePlayer, removePlayer, restorePlayer } from '../actions';
import { MOST_IN_BAG, playerEntryOf } from '../player-entry';
import { BagForm, PlayerForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Player' };

/** What comes in this time: every morning's once a day, each match's, and what was wanted once where nothing came yet. */
function linesFor(
  orders: readonly StandingOrder[],
  free: readonly string[],
  came: { readonly today: number; readonly ever: number },
) {
  const due = orders.filter(
    ({ when }) =>
      (when === 'once' && came.ever === 0) ||
      (when === 'every morning' && came.today < racketCount(orders, when)) ||
      when === 'every match',
  );
  return tensionsOf(due)
    .slice(0, MOST_IN_BAG)
    .map((tension, i) => ({
      requestKey: randomUUID(),
      racketId: free[i] ?? '',
      tension: formatTicket(tension),
    }));
}

/** A player at an event: what they always want, the bag that comes in, and their rackets. */
export default async function PlayerPage({ params }: PageProps<'/events/[id]/players/[player]'>) {
  const open = await openFor('take in');
  const { workshop, strings, benches, rackets } = open;
  const { id, player: playerId } = await params;
  const { event, now, players } = await eventAt(open, id);
  const player = players.find((each) => each.id === playerId);
  if (!player) notFound();
  const [known, mine, places] = await Promise.all([
    strings.find(''),
    rackets.ofClient(player.clientId),
    benches.all(),
  ]);
  const free = mine.filter(({ openNumber }) => openNumber === null);
  const [latest] = mine;
  const { orders } = player.orders;
  const lines = linesFor(
    orders,
    free.map((racket) => racket.id),
    {
      today: player.rackets.filter(
        ({ takenIn }) => dayAt(takenIn, workshop.timeZone) === now.slice(0, 10),
      ).length,
      ever: player.rackets.length,
    },
  );
  const money = (minor: number) => formatMoney(minor, workshop.currency, workshop.locale);
  const [account] = accountOf(handedOver(player, workshop.timeZone));
  const before = player.onCourt && promiseBefore(player.onCourt, event.leadMin);
  return (
    <main className="px-6 py-6">
      <LiveDay />
      <div className="mb-5 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">{player.name}</h1>
        <Link href={`/events/${event.id}`} className="underline">
          {event.name}
        </Link>
        <p className="text-soft grow">
          {player.onCourt
            ? `plays ${formatWall(player.onCourt, now)}${player.court && `, ${player.court}`}`
            : 'nobody knows yet when they play'}
          {player.bench && `; bench: ${player.bench}`}
        </p>
        {account && (
          <p>
            {money(account.toPayMinor)}
            {account.owedMinor > 0 ? `, ${money(account.owedMinor)} to pay` : ', paid'}
          </p>
        )}
      </div>
      <div className="grid gap-10 lg:grid-cols-2">
        <section aria-label="The bag">
          <h2 className="figure mb-2 text-2xl">A bag comes in</h2>
          <BagForm
            key={`${player.version} ${player.rackets.length}`}
            // What is typed for this bag stays, whatever is changed about the player meanwhile.
            name={`bag ${player.id} ${player.rackets.length}`}
            version={player.version}
            workshopId={workshop.id}
            sport={event.sport}
            unit={workshop.tensionUnit}
            now={now}
            initial={{
              lines:
                lines.length > 0
                  ? lines
                  : [{ requestKey: randomUUID(), racketId: free[0]?.id ?? '', tension: '' }],
              frameId: latest?.frameId ?? '',
              frameLabel: latest?.frameName ?? '',
              promised: '',
              wish: '',
            }}
            rackets={free.map((racket) => ({
              id: racket.id,
              text: `${racket.frameName}${racket.mark && `, ${racket.mark}`}`,
            }))}
            due={before && before >= now ? formatWall(before, now) : undefined}
            save={bagIn.bind(null, workshop.id, player.id)}
          />
        </section>
        <section aria-label="What they always want">
          <h2 className="figure mb-2 text-2xl">What they always want</h2>
          <PlayerForm
            key={player.version}
            name={`player ${player.id}`}
            version={player.version}
            sport={event.sport}
            unit={workshop.tensionUnit}
            initial={playerEntryOf(player)}
            strings={known
              .filter(({ sport }) => sport === event.sport)
              .map(({ id: value, name, gaugesMm }) => ({
                id: value,
                text: name,
                detail: gaugesMm.map((mm) => mm.toFixed(2)).join(' '),
              }))}
            benches={places.filter((bench) => event.benchIds.includes(bench.id))}
            given={player.benchId === null ? (player.bench ?? undefined) : undefined}
            save={changePlayer.bind(null, workshop.id, player.id, player.version)}
          />
        </section>
      </div>
      <section aria-label="Their rackets" className="mt-8">
        <h2 className="figure mb-1 text-2xl">Their rackets</h2>
        <Table
          head={['Tag', 'Ticket', 'Racket', 'Tension', 'Promised', 'Where it is', 'To pay']}
          empty="None came in yet."
          rows={player.rackets.toReversed().map((racket) => ({
            key: String(racket.tag),
            cells: [
              <span key="tag" className="figure text-2xl">
                {racket.tag}
              </span>,
              <RowLink
                key="ticket"
                href={racket.closedAt ? `/jobs/${racket.number}` : `/tickets/${racket.number}`}
              >
                {racket.number}
              </RowLink>,
              `${racket.racket}${racket.mark && `, ${racket.mark}`}`,
              racket.mainN && racket.crossN && racket.tensionUnit && (
                <TicketFigure
                  key="tension"
                  tension={{ mainN: racket.mainN, crossN: racket.crossN, unit: racket.tensionUnit }}
                />
              ),
              formatWall(racket.promised, now),
              racket.state,
              racket.toPayMinor === null ? '' : money(racket.toPayMinor),
            ],
          }))}
        />
      </section>
      <p className="mt-6">
        <RemoveButton
          what="player"
          remove={removePlayer.bind(null, workshop.id, player.id)}
          restore={restorePlayer.bind(null, workshop.id, player.id)}
          listHref={`/events/${event.id}`}
        />
      </p>
    </main>
  );
}
