import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { BenchEvent } from '@/core/bench-log';
import type { Connection } from './connection';
import { benchEvents } from './schema';

/** Kinds of deeds after which the bench stands elsewhere. */
const MOVES = ['step', 'mishap'] as const;

/** What was done at the bench on the tickets of one workshop. */
export function benchOf(db: Connection, workshopId: string) {
  const of = (ticketId: string) =>
    and(eq(benchEvents.workshopId, workshopId), eq(benchEvents.ticketId, ticketId));

  return {
    /** Keeps events in their order, each of them once. */
    async keep(ticketId: string, events: readonly BenchEvent[]): Promise<void> {
      for (const event of events)
        await db
          .insert(benchEvents)
          .values({ ...event, at: new Date(event.at), ticketId, workshopId })
          .onConflictDoNothing();
    },

    /** How many events of a ticket are kept. */
    count: (ticketId: string): Promise<number> => db.$count(benchEvents, of(ticketId)),

    /** All events of a ticket, in the order in which they arrived. */
    async events(ticketId: string): Promise<BenchEvent[]> {
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
    },

    /** Steps that are done: what the latest move says. */
    async done(ticketId: string): Promise<number> {
      const [latest] = await db
        .select({ done: benchEvents.done })
        .from(benchEvents)
        .where(and(of(ticketId), inArray(sql`${benchEvents.deed} ->> 'kind'`, [...MOVES])))
        .orderBy(desc(benchEvents.arrived))
        .limit(1);
      return latest?.done ?? 0;
    },
  };
}
