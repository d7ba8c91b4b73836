import { and, asc, desc, eq, getTableColumns, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import { z } from 'zod';
import type { PriceLine } from '@/core/counter/price';
import type { TimedPart } from '@/core/bench/times';
import type { PastPiece } from '@/core/cut/learning';
import type { Drawn } from '@/core/record/drawn';
import {
  pieceDifference,
  shortPieceSchema,
  timedSchema,
  type BenchRecord,
  type JobRecord,
  type ShortPiece,
} from '@/core/record/record';
import type { PastDays } from '@/core/queue/day';
import type { Sport } from '@/core/terms/sport';
import type { LastLook } from '@/core/reading/last-look';
import type { Connection } from './connection';
import { missed, says, type Saved } from './saving';
import { people } from './doors-schema';
import { clients, frames, rackets } from './racket-schema';
import { clientOfTicket, nameOfTicketsClient } from './ticket-client';
import { corrections, tickets } from './ticket-schema';
import { workshops } from './workshop-schema';

/** What a job drew is asked for by itself, and its pieces stand in its record. */
export type Ticket = Omit<typeof tickets.$inferSelect, 'drawn' | 'jobPieces'>;

export type TakeInFacts = Pick<Ticket, 'racketId' | 'promised' | 'wish' | 'condition'>;
/** What was seen and agreed with the racket in hand. */
export type CounterFacts = Pick<Ticket, 'inspection' | 'extra'>;
export type SetupFacts = Pick<
  Ticket,
  | 'mainStringId'
  | 'mainGaugeMm'
  | 'mainSupplied'
  | 'crossStringId'
  | 'crossGaugeMm'
  | 'crossSupplied'
  | 'mainN'
  | 'crossN'
  | 'tensionUnit'
  | 'advice'
>;
export type CutFacts = Pick<
  Ticket,
  'method' | 'shortSide' | 'crossStart' | 'cutFrom' | 'remnantsMm' | 'machineId'
>;
/** Whether two setups have the same strings, so that a cut for one serves the other. */
export const sameStrung = (
  a: Pick<Ticket, keyof SetupFacts>,
  b: Pick<Ticket, keyof SetupFacts>,
): boolean =>
  (['mainStringId', 'mainGaugeMm', 'crossStringId', 'crossGaugeMm'] as const).every(
    (name) => a[name] === b[name],
  );
/** A cut that is not planned yet, or not any more. */
export const NO_CUT: CutFacts = {
  method: null,
  shortSide: null,
  crossStart: null,
  cutFrom: null,
  remnantsMm: null,
  machineId: null,
};
/** How a ticket was cut, for another one that is cut so too. */
export const cutOf = (ticket: Ticket): CutFacts => ({
  method: ticket.method,
  shortSide: ticket.shortSide,
  crossStart: ticket.crossStart,
  cutFrom: ticket.cutFrom,
  remnantsMm: ticket.remnantsMm,
  machineId: ticket.machineId,
});
export interface Closing {
  readonly labourMinor: number;
  readonly stringMinor: number;
  /** With extra work and tax. */
  readonly toPayMinor: number;
  /** Null while it waits for its owner. */
  readonly collectedAt: Date | null;
  /** Where it is taken with the hand-over. */
  readonly lastLook?: LastLook | null;
  readonly record: JobRecord;
  readonly drawn: Drawn;
}

/** Whether nothing is worked on it any more: it is closed, or it was withdrawn. */
export const isOver = ({
  closedAt,
  withdrawnAt,
}: Pick<Ticket, 'closedAt' | 'withdrawnAt'>): boolean => closedAt !== null || withdrawnAt !== null;

/** What was found wrong in a record after it was closed. */
export interface Correction {
  readonly id: string;
  readonly at: Date;
  readonly text: string;
  readonly who: string | null;
}

/** A ticket as the lists show it. */
export type ListedTicket = Ticket & {
  readonly clientId: string;
  readonly clientName: string;
  readonly frameId: string | null;
  readonly frameName: string;
  readonly mark: string;
};

const shortPieces = z.array(shortPieceSchema);

/** As the indexes have it. */
/** So many jobs teach a pace, and so many how far jobs spread. */
const LATEST_OF_SPORT = 20;
const LATEST_OF_ANY = 40;
const LATEST = sql`${tickets.closedAt} desc nulls last`;

/** The tickets and job records of one workshop. */
export function ticketsOf(db: Connection, workshopId: string) {
  // What a job drew is long, and only its own page shows it; its pieces stand in its record.
  const { drawn, jobPieces, ...columns } = getTableColumns(tickets);
  const mine = and(eq(tickets.workshopId, workshopId), isNull(tickets.removedAt));
  const listed = () =>
    db
      .select({
        ticket: columns,
        clientId: clientOfTicket,
        clientName: nameOfTicketsClient,
        frameId: rackets.frameId,
        frameName: sql<string>`coalesce(${frames.name}, ${rackets.label})`,
        mark: rackets.mark,
      })
      .from(tickets)
      .innerJoin(rackets, eq(rackets.id, tickets.racketId))
      .innerJoin(clients, eq(clients.id, rackets.clientId))
      .leftJoin(frames, eq(frames.id, rackets.frameId));
  const flat = ({
    ticket,
    ...names
  }: Awaited<ReturnType<typeof listed>>[number]): ListedTicket => ({
    ...ticket,
    ...names,
  });

  async function get(number: number): Promise<ListedTicket | undefined> {
    const [row] = await listed().where(and(mine, eq(tickets.number, number)));
    return row && flat(row);
  }

  /** A ticket that is neither closed nor withdrawn, in the version that its page was made on. */
  const atWork = (number: number, version: number) =>
    and(
      mine,
      eq(tickets.number, number),
      eq(tickets.version, version),
      isNull(tickets.closedAt),
      isNull(tickets.withdrawnAt),
    );

  async function change(
    number: number,
    version: number,
    facts: Partial<TakeInFacts & CounterFacts & SetupFacts & CutFacts>,
  ): Promise<Saved> {
    const row = await get(number);
    // Looked at and saved as it is: nobody's open form on it is late.
    if (row?.version === version && !isOver(row) && says(row, facts)) return 'saved';
    const { rowCount } = await db
      .update(tickets)
      .set({ ...facts, version: version + 1 })
      .where(atWork(number, version));
    return rowCount ? 'saved' : missed(await get(number), facts);
  }

  /** A part of a record, read through its own schema: the whole of it is long. */
  const part = <T>(path: string, schema: z.ZodType<T>) =>
    sql<T>`${tickets.record} #> ${`{${path}}`}`.mapWith((stored: unknown) => schema.parse(stored));

  /** What the parts of the latest jobs took at the bench, of one sport or of any. */
  const timedOf = (sport: Sport | undefined) =>
    db
      .select({
        of: sql<string>`${sport ?? ''}::text`,
        timed: part('bench,timed', timedSchema),
      })
      .from(tickets)
      .where(and(mine, sport && eq(tickets.jobSport, sport), sql`${tickets.taughtTimes}`))
      .orderBy(LATEST)
      .limit(sport ? LATEST_OF_SPORT : LATEST_OF_ANY);

  /** The pieces of a job; its record holds the parts of each besides. */
  const pieces = sql<ShortPiece[]>`${jobPieces}`.mapWith((stored: unknown) =>
    shortPieces.parse(stored),
  );

  return {
    get,
    change,

    /** What a closed job drew; undefined where it was not kept. */
    async drawn(number: number): Promise<Drawn | undefined> {
      const [row] = await db
        .select({ drawn })
        .from(tickets)
        .where(and(mine, eq(tickets.number, number)));
      return row?.drawn ?? undefined;
    },

    /** Open tickets, the earliest promise first. */
    async open(): Promise<ListedTicket[]> {
      const rows = await listed()
        .where(and(mine, isNull(tickets.closedAt), isNull(tickets.withdrawnAt)))
        .orderBy(asc(tickets.promised), asc(tickets.number));
      return rows.map(flat);
    },

    /**
     * The measured pieces of the latest closed jobs of a sport, for learning from the tails that
     * were left over. Jobs whose tails nobody measured have none.
     */
    async pastPieces(sport: Sport, limit = 300): Promise<PastPiece<ShortPiece['name']>[]> {
      const rows = await db
        .select({ frameId: rackets.frameId, pieces })
        .from(tickets)
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .where(and(mine, eq(tickets.jobSport, sport), sql`${tickets.taughtLengths}`))
        .orderBy(LATEST)
        .limit(limit);
      return rows.flatMap(({ frameId, pieces: ofJob }) =>
        ofJob.flatMap((piece) => {
          const off = pieceDifference(piece);
          return off === undefined ? [] : [{ frameId, name: piece.name, difference: off }];
        }),
      );
    },

    /** What the parts of the latest jobs of a sport took at the bench. */
    pastTimes: async (sport: Sport): Promise<TimedPart[]> =>
      (await timedOf(sport)).flatMap(({ timed }) => timed),

    /** What the latest jobs whose time is known brought, and what they were cut from. */
    timedJobs: (limit = 300) =>
      db
        .select({
          mains: sql<string>`${tickets.jobMains}`,
          crosses: sql<string>`${tickets.jobCrosses}`,
          mainStringId: tickets.mainStringId,
          mainGaugeMm: tickets.mainGaugeMm,
          mainSupplied: tickets.mainSupplied,
          crossStringId: tickets.crossStringId,
          crossGaugeMm: tickets.crossGaugeMm,
          crossSupplied: tickets.crossSupplied,
          labourMinor: tickets.labourMinor,
          stringMinor: tickets.stringMinor,
          pieces,
          minutes: sql<number>`${tickets.benchMinutes}`,
        })
        .from(tickets)
        .where(and(mine, sql`${tickets.taughtTimes}`))
        .orderBy(LATEST)
        .limit(limit),

    /** The same of every sport, and the latest jobs of any: how far whole jobs spread around what was expected. */
    async pastDays(): Promise<PastDays> {
      const [tennis, badminton, squash] = [
        timedOf('tennis'),
        timedOf('badminton'),
        timedOf('squash'),
      ];
      const rows = await unionAll(timedOf(undefined), tennis, badminton, squash);
      const latest = (of: string) => rows.flatMap((row) => (row.of === of ? [row.timed] : []));
      return {
        times: {
          tennis: latest('tennis').flat(),
          badminton: latest('badminton').flat(),
          squash: latest('squash').flat(),
        },
        jobs: latest(''),
      };
    },

    /** The same, only the last few: what is open on it, and what was done before. */
    async lastOfRacket(racketId: string, limit: number): Promise<ListedTicket[]> {
      const rows = await listed()
        .where(and(mine, eq(tickets.racketId, racketId), isNull(tickets.wasClosedAt)))
        .orderBy(desc(tickets.number))
        .limit(limit);
      return rows.map(flat);
    },

    /** What was done on a racket, the latest first, with what is open on it; what was voided was not done. */
    async ofRacket(racketId: string): Promise<ListedTicket[]> {
      const rows = await listed()
        .where(and(mine, eq(tickets.racketId, racketId), isNull(tickets.wasClosedAt)))
        .orderBy(desc(tickets.takenIn), desc(tickets.number));
      return rows.map(flat);
    },

    /** The tickets that a form with these keys has already made, if it was sent twice. */
    byRequest: (requestKeys: readonly string[]): Promise<Ticket[]> =>
      db
        .select(columns)
        .from(tickets)
        .where(and(mine, inArray(tickets.requestKey, [...requestKeys])))
        .orderBy(asc(tickets.number)),

    /** The tickets that came over the counter together, by number. */
    async ofVisit(visit: string): Promise<ListedTicket[]> {
      const rows = await listed()
        .where(and(mine, eq(tickets.visit, visit)))
        .orderBy(asc(tickets.number));
      return rows.map(flat);
    },

    /** Somebody took it home. */
    async collected(number: number): Promise<void> {
      await db
        .update(tickets)
        .set({ collectedAt: new Date() })
        .where(
          and(
            mine,
            eq(tickets.number, number),
            isNotNull(tickets.closedAt),
            isNull(tickets.collectedAt),
          ),
        );
    },

    /** Adds a ticket under the workshop's next number. Call it inside a transaction. */
    async add(
      requestKey: string,
      facts: TakeInFacts & Partial<CounterFacts & SetupFacts & CutFacts & Pick<Ticket, 'visit'>>,
    ): Promise<Ticket> {
      const [counter] = await db
        .update(workshops)
        .set({ nextTicket: sql`${workshops.nextTicket} + 1` })
        .where(eq(workshops.id, workshopId))
        .returning({ next: workshops.nextTicket });
      const [row] = await db
        .insert(tickets)
        .values({ ...facts, requestKey, workshopId, number: (counter?.next ?? 1) - 1 })
        .returning(columns);
      return row as Ticket;
    },

    /** Tickets that were withdrawn, the latest first. */
    async withdrawn(limit = 100, offset = 0): Promise<ListedTicket[]> {
      const rows = await listed()
        .where(and(mine, isNotNull(tickets.withdrawnAt)))
        .orderBy(desc(tickets.withdrawnAt), desc(tickets.number))
        .limit(limit)
        .offset(offset);
      return rows.map(flat);
    },

    /** Takes a ticket out of the day: not wanted any more, and not strung. What was planned stays. */
    async withdraw(number: number, version: number, why: string): Promise<Saved> {
      const { rowCount } = await db
        .update(tickets)
        .set({ withdrawnAt: new Date(), withdrawnWhy: why, version: version + 1 })
        .where(atWork(number, version));
      return rowCount ? 'saved' : missed(await get(number), { withdrawnWhy: why });
    },

    /**
     * Brings a withdrawn ticket back into the day; refused while its racket is on another ticket. Call it
     * inside a transaction.
     */
    async takeUp(number: number, version: number): Promise<Saved | { readonly on: number }> {
      const ticket = await get(number);
      if (!ticket) return 'gone';
      // Two counters at once: the second waits here, and sees what the first has done.
      await db
        .select({ id: rackets.id })
        .from(rackets)
        .where(and(eq(rackets.workshopId, workshopId), eq(rackets.id, ticket.racketId)))
        .for('update');
      const other = (
        await listed().where(
          and(
            mine,
            eq(tickets.racketId, ticket.racketId),
            isNull(tickets.closedAt),
            isNull(tickets.withdrawnAt),
          ),
        )
      ).find((row) => row.ticket.number !== number);
      if (other) return { on: other.ticket.number };
      const { rowCount } = await db
        .update(tickets)
        .set({ withdrawnAt: null, withdrawnWhy: '', version: version + 1 })
        .where(
          and(
            mine,
            eq(tickets.number, number),
            eq(tickets.version, version),
            isNotNull(tickets.withdrawnAt),
            // A voided job is no ticket any more.
            isNull(tickets.wasClosedAt),
          ),
        );
      return rowCount ? 'saved' : missed(await get(number), { withdrawnAt: null });
    },

    /**
     * Voids a job that was closed wrongly: it is withdrawn with its reason, owes nothing and counts nowhere; its number, its
     * record and what was done stay.
     */
    async voidJob(number: number, version: number, why: string): Promise<Saved> {
      const { rowCount } = await db
        .update(tickets)
        .set({
          wasClosedAt: sql`${tickets.closedAt}`,
          closedAt: null,
          withdrawnAt: new Date(),
          withdrawnWhy: why,
          toPayMinor: 0,
          version: version + 1,
        })
        .where(
          and(
            mine,
            eq(tickets.number, number),
            eq(tickets.version, version),
            isNotNull(tickets.closedAt),
          ),
        );
      return rowCount ? 'saved' : missed(await get(number), { withdrawnWhy: why });
    },

    /** A line that was forgotten when a job was closed; sent twice, it is added once. */
    async addLine(
      number: number,
      version: number,
      line: PriceLine,
      toPayMinor: number,
    ): Promise<Saved> {
      const { rowCount } = await db
        .update(tickets)
        .set({
          record: sql`jsonb_set(${tickets.record}, '{price,lines}', (${tickets.record} -> 'price' -> 'lines') || ${JSON.stringify([line])}::jsonb)`,
          toPayMinor,
          version: version + 1,
        })
        .where(
          and(
            mine,
            eq(tickets.number, number),
            eq(tickets.version, version),
            isNotNull(tickets.closedAt),
          ),
        );
      return rowCount ? 'saved' : missed(await get(number), { toPayMinor });
    },

    /** Adds to a closed record what was found wrong in it; sent twice, it is kept once. */
    async correct(ticketId: string, id: string, personId: string, text: string): Promise<void> {
      await db
        .insert(corrections)
        .values({ id, workshopId, ticketId, personId, text })
        .onConflictDoNothing();
    },

    /** What was added to a record after it was closed, the earliest first. */
    corrections: (ticketId: string): Promise<readonly Correction[]> =>
      db
        .select({
          id: corrections.id,
          at: corrections.at,
          text: corrections.text,
          who: people.name,
        })
        .from(corrections)
        .leftJoin(people, eq(people.id, corrections.personId))
        .where(and(eq(corrections.workshopId, workshopId), eq(corrections.ticketId, ticketId)))
        .orderBy(asc(corrections.at), asc(corrections.id)),

    /** Writes into a record what a bench sent after the job was closed; nothing else of it changes. */
    async addLate(number: number, late: BenchRecord | null): Promise<void> {
      await db
        .update(tickets)
        .set({
          record: sql`jsonb_set(${tickets.record}, '{late}', ${JSON.stringify(late)}::jsonb)`,
        })
        .where(and(mine, eq(tickets.number, number), isNotNull(tickets.record)));
    },

    /** Keeps the last look at an open job; it counts as no edit. */
    async keepLastLook(id: string, lastLook: LastLook): Promise<void> {
      await db
        .update(tickets)
        .set({ lastLook })
        .where(and(mine, eq(tickets.id, id), isNull(tickets.closedAt)));
    },

    /** The machine that a ticket is strung on. It is no edit of the ticket, so no open form on it is late. */
    async standOn(id: string, machineId: string): Promise<void> {
      await db
        .update(tickets)
        .set({ machineId })
        .where(and(mine, eq(tickets.id, id), isNull(tickets.machineId), isNull(tickets.closedAt)));
    },

    /** The last looks at closed jobs, the latest first. */
    async lastLooks(limit = 20): Promise<LastLook[]> {
      const rows = await db
        .select({ look: tickets.lastLook })
        .from(tickets)
        .where(and(mine, isNotNull(tickets.lastLook), isNotNull(tickets.closedAt)))
        .orderBy(LATEST)
        .limit(limit);
      return rows.flatMap(({ look }) => look ?? []);
    },

    /** Closes an open ticket for good, with its record. */
    async close(
      number: number,
      version: number,
      { drawn: drawing, ...closing }: Closing,
    ): Promise<Saved> {
      const { rowCount } = await db
        .update(tickets)
        .set({ ...closing, drawn: drawing, closedAt: new Date(), version: version + 1 })
        .where(atWork(number, version));
      return rowCount ? 'saved' : missed(await get(number), closing);
    },
  };
}
