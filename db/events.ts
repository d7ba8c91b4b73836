import { randomUUID } from 'node:crypto';
import { aliasedTable, and, asc, desc, eq, getTableColumns, isNull, sql } from 'drizzle-orm';
import type { WallTime } from '@/core/measure/promised-time';
import { promiseBefore } from '@/core/tournament/court';
import { STEPS_DONE } from './bench';
import type { Connection } from './connection';
import { benches } from './day-schema';
import { eventPlayers, eventRackets, events } from './event-schema';
import { holdWorkshop, missed, type Saved } from './saving';
import { clients, frames, rackets } from './racket-schema';
import { tickets } from './ticket-schema';

export type WorkshopEvent = typeof events.$inferSelect;
export type EventFacts = Omit<
  WorkshopEvent,
  'id' | 'workshopId' | 'version' | 'createdAt' | 'removedAt'
>;
type EventPlayer = typeof eventPlayers.$inferSelect;
export type PlayerFacts = Pick<
  EventPlayer,
  | 'orders'
  | 'mainStringId'
  | 'mainGaugeMm'
  | 'crossStringId'
  | 'crossGaugeMm'
  | 'supplied'
  | 'benchId'
>;

/** A player with the name that their client has now, and the bench that strings for them. */
export type NamedPlayer = EventPlayer & {
  readonly name: string;
  readonly contact: string;
  readonly bench: string | null;
};

/** A racket of an event, wherever it is. */
export interface TaggedRacket {
  readonly tag: number;
  readonly playerId: string;
  readonly player: string;
  readonly onCourt: WallTime | null;
  readonly court: string;
  readonly number: number;
  readonly racket: string;
  readonly mark: string;
  readonly promised: WallTime;
  readonly takenIn: Date;
  readonly closedAt: Date | null;
  readonly collectedAt: Date | null;
  readonly stepsDone: number;
  readonly mainN: number | null;
  readonly crossN: number | null;
  readonly tensionUnit: typeof tickets.$inferSelect.tensionUnit;
  readonly toPayMinor: number | null;
  readonly paidMinor: number;
}

/** Named with its table: a question of one table names none, and the inner one would answer for itself. */
const THIS_EVENT = sql`${sql.identifier('events')}.${sql.identifier('id')}`;

/** The tournaments of one workshop, who plays at them, and their rackets. */
export function eventsOf(db: Connection, workshopId: string) {
  const mine = eq(events.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(events.id, id));
  const onePlayer = (id: string) =>
    and(eq(eventPlayers.workshopId, workshopId), eq(eventPlayers.id, id));
  const into = aliasedTable(clients, 'kept_client');

  const named = () =>
    db
      .select({
        ...getTableColumns(eventPlayers),
        clientId: sql<string>`coalesce(${into.id}, ${clients.id})`,
        name: sql<string>`coalesce(${into.name}, ${clients.name})`,
        contact: sql<string>`coalesce(${into.contact}, ${clients.contact})`,
        bench: benches.name,
      })
      .from(eventPlayers)
      .innerJoin(clients, eq(clients.id, eventPlayers.clientId))
      .leftJoin(into, eq(into.id, clients.mergedInto))
      .leftJoin(
        benches,
        eq(benches.id, sql`coalesce(${eventPlayers.benchId}, ${eventPlayers.givenBenchId})`),
      );

  const get = async (id: string): Promise<WorkshopEvent | undefined> => {
    const [row] = await db.select().from(events).where(one(id));
    return row;
  };
  const player = async (id: string): Promise<NamedPlayer | undefined> => {
    const [row] = await named().where(onePlayer(id));
    return row;
  };

  return {
    get,
    player,

    /** Every event, the latest made first. */
    all: (): Promise<(WorkshopEvent & { readonly players: number; readonly rackets: number })[]> =>
      db
        .select({
          ...getTableColumns(events),
          players: sql<number>`(select count(*)::int from ${eventPlayers} where ${eventPlayers.eventId} = ${THIS_EVENT} and ${eventPlayers.removedAt} is null)`,
          rackets: sql<number>`(select count(*)::int from ${eventRackets} where ${eventRackets.eventId} = ${THIS_EVENT})`,
        })
        .from(events)
        .where(and(mine, isNull(events.removedAt)))
        .orderBy(desc(events.createdAt), desc(events.id)),

    /** Whether the workshop strings at any. */
    areHeld: async (): Promise<boolean> =>
      (
        await db
          .select({ id: events.id })
          .from(events)
          .where(and(mine, isNull(events.removedAt)))
          .limit(1)
      ).length > 0,

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(facts: EventFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(events)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: EventFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(events)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(events.version, version), isNull(events.removedAt)));
      return rowCount ? 'saved' : missed(await get(id), facts);
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(events)
        .set({ removedAt: removed ? new Date() : null, version: sql`${events.version} + 1` })
        .where(one(id));
    },

    /** Who plays at an event, by name. */
    players: (eventId: string): Promise<NamedPlayer[]> =>
      named()
        .where(
          and(
            eq(eventPlayers.workshopId, workshopId),
            eq(eventPlayers.eventId, eventId),
            isNull(eventPlayers.removedAt),
          ),
        )
        .orderBy(sql`coalesce(${into.name}, ${clients.name})`, asc(eventPlayers.id)),

    /** Somebody plays there; who does so already stays as they are, and who was taken off is put back. */
    async addPlayer(
      id: string,
      eventId: string,
      clientId: string,
      facts: PlayerFacts,
    ): Promise<string> {
      const [row] = await db
        .insert(eventPlayers)
        .values({ ...facts, id, workshopId, eventId, clientId })
        .onConflictDoUpdate({
          target: [eventPlayers.eventId, eventPlayers.clientId],
          set: { removedAt: null },
        })
        .returning({ id: eventPlayers.id });
      return row?.id ?? id;
    },

    async changePlayer(id: string, version: number, facts: PlayerFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(eventPlayers)
        .set({ ...facts, version: version + 1 })
        .where(
          and(onePlayer(id), eq(eventPlayers.version, version), isNull(eventPlayers.removedAt)),
        );
      return rowCount ? 'saved' : missed(await player(id), facts);
    },

    async setPlayerRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(eventPlayers)
        .set({ removedAt: removed ? new Date() : null, version: sql`${eventPlayers.version} + 1` })
        .where(onePlayer(id));
    },

    /** Who wants no bench by name has their rackets strung at this one, until it is given anew. */
    async giveBench(id: string, benchId: string): Promise<void> {
      await db.update(eventPlayers).set({ givenBenchId: benchId }).where(onePlayer(id));
    },

    /** Where a player is on court; when stays, and so do the promises. */
    async nameCourt(id: string, court: string): Promise<void> {
      await db
        .update(eventPlayers)
        .set({ court, version: sql`${eventPlayers.version} + 1` })
        .where(onePlayer(id));
    },

    /**
     * A player is on court at another time, and what is open of theirs is promised for it. Says how many rackets that
     * moves. Call it inside a transaction.
     */
    async moveCourt(
      id: string,
      onCourt: WallTime | null,
      court: string,
      leadMin: number,
    ): Promise<number> {
      await db
        .update(eventPlayers)
        .set({ onCourt, court, version: sql`${eventPlayers.version} + 1` })
        .where(onePlayer(id));
      if (onCourt === null) return 0;
      const { rowCount } = await db
        .update(tickets)
        .set({ promised: promiseBefore(onCourt, leadMin), version: sql`${tickets.version} + 1` })
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            isNull(tickets.removedAt),
            isNull(tickets.closedAt),
            isNull(tickets.withdrawnAt),
            sql`exists (select 1 from ${eventRackets} where ${eventRackets.ticketId} = ${tickets.id} and ${eventRackets.playerId} = ${id})`,
          ),
        );
      return rowCount ?? 0;
    },

    /** The tags that were given out at an event; nobody gives out another before the end of the transaction. */
    async tags(eventId: string): Promise<readonly number[]> {
      await holdWorkshop(db, workshopId);
      const rows = await db
        .select({ tag: eventRackets.tag })
        .from(eventRackets)
        .where(and(eq(eventRackets.workshopId, workshopId), eq(eventRackets.eventId, eventId)));
      return rows.map(({ tag }) => tag);
    },

    async addRacket(racket: {
      readonly ticketId: string;
      readonly eventId: string;
      readonly playerId: string;
      readonly tag: number;
    }): Promise<void> {
      await db.insert(eventRackets).values({ ...racket, workshopId });
    },

    /** Every racket of an event that was not withdrawn, by tag. */
    rackets: (eventId: string): Promise<TaggedRacket[]> =>
      db
        .select({
          tag: eventRackets.tag,
          playerId: eventRackets.playerId,
          player: sql<string>`coalesce(${into.name}, ${clients.name})`,
          onCourt: eventPlayers.onCourt,
          court: eventPlayers.court,
          number: tickets.number,
          racket: sql<string>`coalesce(${frames.name}, ${rackets.label})`,
          mark: rackets.mark,
          promised: tickets.promised,
          takenIn: tickets.takenIn,
          closedAt: tickets.closedAt,
          collectedAt: tickets.collectedAt,
          stepsDone: STEPS_DONE,
          mainN: tickets.mainN,
          crossN: tickets.crossN,
          tensionUnit: tickets.tensionUnit,
          toPayMinor: tickets.toPayMinor,
          paidMinor: tickets.paidMinor,
        })
        .from(eventRackets)
        .innerJoin(tickets, eq(tickets.id, eventRackets.ticketId))
        .innerJoin(eventPlayers, eq(eventPlayers.id, eventRackets.playerId))
        .innerJoin(clients, eq(clients.id, eventPlayers.clientId))
        .leftJoin(into, eq(into.id, clients.mergedInto))
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .leftJoin(frames, eq(frames.id, rackets.frameId))
        .where(
          and(
            eq(eventRackets.workshopId, workshopId),
            eq(eventRackets.eventId, eventId),
            isNull(tickets.withdrawnAt),
            isNull(tickets.removedAt),
          ),
        )
        .orderBy(asc(eventRackets.tag)),

    /** The event that a ticket came in at, and its tag. */
    async ofTicket(
      ticketId: string,
    ): Promise<{ readonly event: WorkshopEvent; readonly tag: number } | undefined> {
      const [row] = await db
        .select({ event: events, tag: eventRackets.tag })
        .from(eventRackets)
        .innerJoin(events, eq(events.id, eventRackets.eventId))
        .where(and(eq(eventRackets.workshopId, workshopId), eq(eventRackets.ticketId, ticketId)));
      return row;
    },
  };
}
