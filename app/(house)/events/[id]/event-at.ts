/** An event with its players and rackets, as its pages show them. */
import { notFound } from 'next/navigation';
import type { OpenHouse } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { wallTime, type WallTime } from '@/core/measure/promised-time';
import type { AccountRacket } from '@/core/tournament/account';
import { racketState, type RacketState } from '@/core/tournament/board';
import type { NamedPlayer, TaggedRacket, WorkshopEvent } from '@/db/events';

export interface EventPlayerLine extends NamedPlayer {
  readonly rackets: readonly (TaggedRacket & { readonly state: RacketState })[];
}

export interface EventAt {
  readonly event: WorkshopEvent;
  readonly now: WallTime;
  /** Who plays soonest first, then who has no time yet, by name. */
  readonly players: readonly EventPlayerLine[];
}

/** The event of an address, or the not-found page. */
export async function eventAt({ events, workshop }: OpenHouse, text: string): Promise<EventAt> {
  const id = routeId(text);
  const event = await events.get(id);
  if (!event || event.removedAt) notFound();
  const [players, rackets] = await Promise.all([events.players(id), events.rackets(id)]);
  const now = wallTime(new Date(), workshop.timeZone);
  const lines = players.map((player): EventPlayerLine => ({
    ...player,
    rackets: rackets
      .filter(({ playerId }) => playerId === player.id)
      .map((racket) => ({
        ...racket,
        state: racketState({
          closed: racket.closedAt !== null,
          collected: racket.collectedAt !== null,
          stepsDone: racket.stepsDone,
        }),
      })),
  }));
  // A match that is over says nothing of who comes next.
  const at = ({ onCourt }: NamedPlayer) => (onCourt && onCourt >= now ? onCourt : '9');
  return {
    event,
    now,
    players: lines.toSorted((a, b) => at(a).localeCompare(at(b)) || a.name.localeCompare(b.name)),
  };
}

/** The rackets of a player that were handed over, as an account takes them, each with when it was. */
export const handedOver = (
  { id: playerId, name, rackets }: EventPlayerLine,
  timeZone: string,
): readonly (AccountRacket & { readonly at: WallTime })[] =>
  rackets.flatMap(({ closedAt, toPayMinor, paidMinor, promised }) => {
    if (!closedAt) return [];
    const at = wallTime(closedAt, timeZone);
    return [
      { playerId, player: name, at, toPayMinor: toPayMinor ?? 0, paidMinor, kept: at <= promised },
    ];
  });
