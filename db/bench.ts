import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { benchLog, type BenchEvent } from '@/core/bench/log';
import type { Connection } from './connection';
import { isRefusal } from './saving';
import { benchEvents, tickets } from './schema';

/** Kinds of deeds after which the bench stands elsewhere. */
const MOVES = ['step', 'mishap'] as const;

/** What was done at the bench on the tickets of one workshop. */
export function benchOf(db: Connection, workshopId: string) {
  const of = (ticketId: string) =>
    and(eq(benchEvents.workshopId, workshopId), eq(benchEvents.ticketId, ticketId));

  /** All events of a ticket, in the order in which they arrived. */
  const events = async (ticketId: string): Promise<BenchEvent[]> => {
    const rows = await db
      .select()
      .from(benchEvents)
      .where(of(ticketId))
      .orderBy(asc(benchEvents.arrived));
    return rows.map(({ id, bench, plan, at, done, deed }) => ({
      id,
      bench,
      plan,
      at: at.toISOString(),
      done,
      deed,
    }));
  };

  return {
    /**
     * Keeps events in their order, each of them once, and says which of them the database does not take;
     * the others are kept all the same. Call it inside a transaction.
     */
    async keep(
      ticketId: string,
      events: readonly BenchEvent[],
      late = false,
    ): Promise<{ readonly added: number; readonly refused: readonly string[] }> {
      if (events.length === 0) return { added: 0, refused: [] };
      // Two benches that send the same events in opposite orders would wait for each other; so would a
      // hand-over. Whoever writes to a ticket's events takes the ticket first.
      await db
        .select({ id: tickets.id })
        .from(tickets)
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId)))
        .for('update');
      const add = (some: readonly BenchEvent[]) =>
        db.transaction(async (savepoint) => {
          const { rowCount } = await savepoint
            .insert(benchEvents)
            .values(
              some.map((event) => ({
                ...event,
                at: new Date(event.at),
                ticketId,
                workshopId,
                late,
              })),
            )
            .onConflictDoNothing();
          return rowCount ?? 0;
        });
      try {
        return { added: await add(events), refused: [] };
      } catch (error) {
        if (!isRefusal(error)) throw error;
      }
      // One of them is at fault: it is set aside, and the rest goes on.
      let added = 0;
      const refused: string[] = [];
      for (const event of events)
        try {
          added += await add([event]);
        } catch (error) {
          if (!isRefusal(error)) throw error;
          refused.push(event.id);
        }
      return { added, refused };
    },

    /** How many events of a ticket are kept. */
    count: (ticketId: string): Promise<number> => db.$count(benchEvents, of(ticketId)),

    events,

    /** The plans that the steps of a ticket were counted in so far. */
    async plans(ticketId: string): Promise<ReadonlySet<string>> {
      const rows = await db
        .selectDistinct({ plan: benchEvents.plan })
        .from(benchEvents)
        .where(and(of(ticketId), inArray(sql`${benchEvents.deed} ->> 'kind'`, ['open', ...MOVES])));
      return new Set(rows.map(({ plan }) => plan));
    },

    /** Steps that are done, by the one fold of a job's events. */
    done: async (ticketId: string): Promise<number> => benchLog(await events(ticketId)).done,
  };
}
