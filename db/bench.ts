import { and, count, desc, eq } from 'drizzle-orm';
import type { Connection } from './connection';
import { benchEvents } from './schema';

export interface BenchEvent {
  /** Made by the bench, so that an event that is sent again is kept once. */
  readonly id: string;
  /** Steps of the sequence that are done after it. */
  readonly done: number;
  readonly at: Date;
}

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
          .values({ ...event, ticketId, workshopId })
          .onConflictDoNothing();
    },

    /** Steps that are done, and whether the bench has begun at all. */
    async progress(ticketId: string): Promise<{ readonly done: number; readonly events: number }> {
      const [latest] = await db
        .select({ done: benchEvents.done })
        .from(benchEvents)
        .where(of(ticketId))
        .orderBy(desc(benchEvents.arrived))
        .limit(1);
      const [all] = await db.select({ n: count() }).from(benchEvents).where(of(ticketId));
      return { done: latest?.done ?? 0, events: all?.n ?? 0 };
    },
  };
}
