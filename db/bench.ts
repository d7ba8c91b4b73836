import { aliasedTable, and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { benchLog, type BenchEvent } from '@/core/bench/log';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { isRefusal } from './saving';
import { benchEvents, tickets } from './schema';

export interface StringingHand {
  readonly name: string;
  readonly watcher: string | null;
}

/** How many steps of a ticket are done, as a column of a question about tickets. */
export const STEPS_DONE = sql<number>`coalesce((select ${benchEvents.done} from ${benchEvents} where ${benchEvents.ticketId} = ${tickets.id} order by ${benchEvents.arrived} desc limit 1), 0)`;

/** Kinds of deeds after which the bench stands elsewhere. */
const MOVES = ['step', 'mishap'] as const;

/** Whose hands were at the bench. */
export interface Hands {
  readonly personId: string;
  /** Who watched a learner; null where nobody has to. */
  readonly watchedBy: string | null;
}

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
      events: readonly (BenchEvent & Partial<Hands>)[],
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
      const add = (some: typeof events) =>
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

    /** Who made the steps of a job, the one who made most of them first; with who watched, where it was needed. */
    async hands(ticketId: string): Promise<readonly StringingHand[]> {
      const watchers = aliasedTable(people, 'watchers');
      return db
        .select({ name: people.name, watcher: watchers.name })
        .from(benchEvents)
        .innerJoin(people, eq(people.id, benchEvents.personId))
        .leftJoin(watchers, eq(watchers.id, benchEvents.watchedBy))
        .where(and(of(ticketId), eq(sql`${benchEvents.deed} ->> 'kind'`, 'step')))
        .groupBy(people.name, watchers.name)
        .orderBy(desc(sql`count(*)`), asc(people.name));
    },

    /** Steps that are done, by the one fold of a job's events. */
    done: async (ticketId: string): Promise<number> => benchLog(await events(ticketId)).done,
  };
}
