import { randomUUID } from 'node:crypto';
import { aliasedTable, and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { StandingMachine } from '@/core/house/machine';
import { STEPS_DONE } from './bench';
import type { Connection } from './connection';
import { arrangements, benches } from './day-schema';
import { people } from './doors-schema';
import { eventPlayers, eventRackets, events } from './event-schema';
import { holdWorkshop, missed, type Saved } from './saving';
import { frames, machines, rackets } from './racket-schema';
import { benchDeeds, tickets } from './ticket-schema';

export type Bench = typeof benches.$inferSelect;
/** A bench with the machine that stands there; null where any does. */
export type BenchWithMachine = Bench & {
  readonly machine: string | null;
  readonly standing: StandingMachine | null;
};
export type BenchFacts = Pick<Bench, 'name' | 'machineId' | 'hand' | 'hours'>;

/** An open ticket as the day needs it: what is to be strung, how far it is, and what was arranged. */
export interface TicketOfDay {
  readonly id: string;
  readonly number: number;
  readonly promised: string;
  readonly method: typeof tickets.$inferSelect.method;
  readonly shortSide: typeof tickets.$inferSelect.shortSide;
  readonly crossStart: typeof tickets.$inferSelect.crossStart;
  readonly machineId: string | null;
  readonly spec: typeof frames.$inferSelect.spec | null;
  readonly stepsDone: number;
  /** Whose hands it went through last; null where nobody has begun. */
  readonly by: string | null;
  /** The bench that somebody put it to; null where nobody has. */
  readonly benchId: string | null;
  readonly turn: number | null;
  readonly hereFrom: string | null;
  /** Who took it, and the bench that they said; null where nobody has. */
  readonly takenBy: string | null;
  readonly takenBenchId: string | null;
  /** The bench that strings for its player, at an event that wants one for each. */
  readonly playerBenchId: string | null;
  /** Who plays with it at an event. */
  readonly playerId: string | null;
}

/** Who took a ticket to string it. */
export interface Taken {
  readonly personId: string;
  readonly name: string;
  readonly at: Date;
  readonly bench: string | null;
}

/** Tickets in their turns at a bench, as somebody arranged them. */
export interface Turn {
  readonly number: number;
  readonly benchId: string;
  readonly turn: number;
}

/** The benches of one workshop, and what is arranged at them. */
export function benchesOf(db: Connection, workshopId: string) {
  const mine = eq(benches.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(benches.id, id));
  const open = and(
    eq(tickets.workshopId, workshopId),
    isNull(tickets.removedAt),
    isNull(tickets.closedAt),
    isNull(tickets.withdrawnAt),
  );

  const taker = aliasedTable(people, 'taker');

  return {
    all: (): Promise<BenchWithMachine[]> =>
      db
        .select({
          id: benches.id,
          workshopId: benches.workshopId,
          version: benches.version,
          createdAt: benches.createdAt,
          removedAt: benches.removedAt,
          name: benches.name,
          machineId: benches.machineId,
          hand: benches.hand,
          hours: benches.hours,
          machine: machines.name,
          standing: {
            sports: machines.sports,
            mounts: machines.mounts,
            clampKind: machines.clampKind,
            clamps: machines.clamps,
            startingClamps: machines.startingClamps,
          },
        })
        .from(benches)
        .leftJoin(machines, eq(machines.id, benches.machineId))
        .where(and(mine, isNull(benches.removedAt)))
        .orderBy(asc(benches.createdAt), asc(benches.id)),

    async get(id: string): Promise<Bench | undefined> {
      const [row] = await db.select().from(benches).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(facts: BenchFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(benches)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: BenchFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(benches)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(benches.version, version), isNull(benches.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), facts);
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(benches)
        .set({ removedAt: removed ? new Date() : null, version: sql`${benches.version} + 1` })
        .where(one(id));
    },

    /** Every open ticket with what says how long it takes and what was arranged. */
    ticketsOfDay: (): Promise<TicketOfDay[]> =>
      db
        .select({
          id: tickets.id,
          number: tickets.number,
          promised: tickets.promised,
          method: tickets.method,
          shortSide: tickets.shortSide,
          crossStart: tickets.crossStart,
          machineId: tickets.machineId,
          spec: frames.spec,
          stepsDone: STEPS_DONE,
          by: sql<
            string | null
          >`(select ${people.name} from ${benchDeeds} join ${people} on ${people.id} = ${benchDeeds.personId} where ${benchDeeds.ticketId} = ${tickets.id} order by ${benchDeeds.arrived} desc limit 1)`,
          benchId: arrangements.benchId,
          turn: arrangements.turn,
          hereFrom: arrangements.hereFrom,
          takenBy: taker.name,
          takenBenchId: arrangements.takenBenchId,
          playerBenchId: sql<
            string | null
          >`case when ${events.oneBench} then coalesce(${eventPlayers.benchId}, ${eventPlayers.givenBenchId}) end`,
          playerId: eventRackets.playerId,
        })
        .from(tickets)
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .leftJoin(frames, eq(frames.id, rackets.frameId))
        .leftJoin(arrangements, eq(arrangements.ticketId, tickets.id))
        .leftJoin(taker, eq(taker.id, arrangements.takenBy))
        .leftJoin(eventRackets, eq(eventRackets.ticketId, tickets.id))
        .leftJoin(eventPlayers, eq(eventPlayers.id, eventRackets.playerId))
        .leftJoin(events, eq(events.id, eventRackets.eventId))
        .where(open)
        .orderBy(asc(tickets.promised), asc(tickets.number)),

    /** What is arranged now, by bench and turn. */
    async turns(): Promise<Turn[]> {
      const rows = await db
        .select({
          number: tickets.number,
          benchId: arrangements.benchId,
          turn: arrangements.turn,
        })
        .from(arrangements)
        .innerJoin(tickets, eq(tickets.id, arrangements.ticketId))
        .innerJoin(benches, and(eq(benches.id, arrangements.benchId), isNull(benches.removedAt)))
        .where(open)
        .orderBy(asc(benches.createdAt), asc(arrangements.turn));
      return rows.flatMap(({ number, benchId, turn }) =>
        benchId !== null && turn !== null ? [{ number, benchId, turn }] : [],
      );
    },

    /**
     * Arranges the turns of all benches anew; what is not named is left to the plan. Answers 'changed' where they are
     * not any more what they were when it was asked. Call it inside a transaction.
     */
    async arrange(wanted: readonly Turn[], seen: readonly Turn[]): Promise<'saved' | 'changed'> {
      await holdWorkshop(db, workshopId);
      const text = (turns: readonly Turn[]) =>
        turns
          .map(({ number, benchId, turn }) => `${number} ${benchId} ${turn}`)
          .toSorted()
          .join();
      if (text(await this.turns()) !== text(seen)) return 'changed';
      await db
        .update(arrangements)
        .set({ benchId: null, turn: null })
        .where(eq(arrangements.workshopId, workshopId));
      if (wanted.length === 0) return 'saved';
      const ids = await db
        .select({ id: tickets.id, number: tickets.number })
        .from(tickets)
        .where(
          and(
            open,
            inArray(
              tickets.number,
              wanted.map(({ number }) => number),
            ),
          ),
        );
      for (const { id, number } of ids) {
        const turn = wanted.find((each) => each.number === number);
        if (!turn) continue;
        const place = { benchId: turn.benchId, turn: turn.turn };
        await db
          .insert(arrangements)
          .values({ ticketId: id, workshopId, ...place })
          .onConflictDoUpdate({ target: arrangements.ticketId, set: place });
      }
      return 'saved';
    },

    /**
     * One takes a ticket to string it; whoever comes second is told who has it. With `over`, a half-strung racket goes
     * from hand to hand: who pulled what stays as it was kept.
     */
    async take(
      ticketId: string,
      personId: string,
      benchId: string | null,
      over = false,
    ): Promise<Taken | undefined> {
      const taking = { takenBy: personId, takenAt: new Date(), takenBenchId: benchId };
      await db
        .insert(arrangements)
        .values({ ticketId, workshopId, ...taking })
        .onConflictDoUpdate({
          target: arrangements.ticketId,
          set: taking,
          ...(!over && {
            setWhere: sql`${arrangements.takenBy} is null or ${arrangements.takenBy} = ${personId}`,
          }),
        });
      return this.takenOf(ticketId);
    },

    /** Whoever took it lets it go; nothing happens where somebody else has it. */
    async letGo(ticketId: string, personId: string): Promise<void> {
      await db
        .update(arrangements)
        .set({ takenBy: null, takenAt: null, takenBenchId: null })
        .where(
          and(
            eq(arrangements.workshopId, workshopId),
            eq(arrangements.ticketId, ticketId),
            eq(arrangements.takenBy, personId),
          ),
        );
    },

    /** Who has a ticket now. */
    async takenOf(ticketId: string): Promise<Taken | undefined> {
      const [row] = await db
        .select({
          personId: people.id,
          name: people.name,
          at: sql<Date>`${arrangements.takenAt}`.mapWith(arrangements.takenAt),
          bench: benches.name,
        })
        .from(arrangements)
        .innerJoin(people, eq(people.id, arrangements.takenBy))
        .leftJoin(benches, eq(benches.id, arrangements.takenBenchId))
        .where(and(eq(arrangements.workshopId, workshopId), eq(arrangements.ticketId, ticketId)));
      return row;
    },

    /** Since when a ticket's racket and string are to be here; undefined where they are. */
    async hereFrom(ticketId: string): Promise<string | undefined> {
      const [row] = await db
        .select({ hereFrom: arrangements.hereFrom })
        .from(arrangements)
        .where(and(eq(arrangements.workshopId, workshopId), eq(arrangements.ticketId, ticketId)));
      return row?.hereFrom ?? undefined;
    },

    /** From when on a ticket's racket and string are here; null where they are. */
    async setHereFrom(ticketId: string, hereFrom: string | null): Promise<void> {
      await db
        .insert(arrangements)
        .values({ ticketId, workshopId, hereFrom })
        .onConflictDoUpdate({ target: arrangements.ticketId, set: { hereFrom } });
    },
  };
}
