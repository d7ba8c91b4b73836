import { aliasedTable, and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { KeptPlan, KeptPlans } from '@/core/bench/kept-plan';
import { benchLog, type LoggedDeed } from '@/core/bench/log';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { isRefusal } from './failures';
import { benchDeeds, benchPlans, tickets } from './ticket-schema';

export interface StringingHand {
  readonly name: string;
  readonly watcher: string | null;
}

/** Kinds of deeds after which the bench stands elsewhere; all others say where it stood already (`core/bench/log`). */
const MOVES = ['step', 'mishap', 'plan'] as const;

/** How many steps of a ticket are done, as a column of a question about tickets: where the latest move left the bench. */
export const STEPS_DONE = sql<number>`coalesce((select ${benchDeeds.done} from ${benchDeeds} where ${benchDeeds.ticketId} = ${tickets.id} and ${benchDeeds.deed} ->> 'kind' in (${sql.raw(MOVES.map((kind) => `'${kind}'`).join(', '))}) order by ${benchDeeds.arrived} desc limit 1), 0)`;

/** Whose hands were at the bench. */
export interface Hands {
  readonly personId: string;
  /** Who watched a learner; null where nobody has to. */
  readonly watchedBy: string | null;
}

/** What was done at the bench on the tickets of one workshop. */
export function benchOf(db: Connection, workshopId: string) {
  const of = (ticketId: string) =>
    and(eq(benchDeeds.workshopId, workshopId), eq(benchDeeds.ticketId, ticketId));

  /** All deeds of a ticket, in the order in which they arrived. */
  const deeds = async (ticketId: string): Promise<LoggedDeed[]> => {
    const rows = await db
      .select()
      .from(benchDeeds)
      .where(of(ticketId))
      .orderBy(asc(benchDeeds.arrived));
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
     * Keeps deeds in their order, each of them once, and says which of them the database does not take;
     * the others are kept all the same. Call it inside a transaction.
     */
    async keep(
      ticketId: string,
      deeds: readonly (LoggedDeed & Partial<Hands>)[],
      late = false,
    ): Promise<{ readonly added: number; readonly refused: readonly string[] }> {
      if (deeds.length === 0) return { added: 0, refused: [] };
      // Two benches that send the same deeds in opposite orders would wait for each other; so would a
      // hand-over. Whoever writes to a ticket's deeds takes the ticket first.
      await db
        .select({ id: tickets.id })
        .from(tickets)
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId)))
        .for('update');
      const add = (some: typeof deeds) =>
        db.transaction(async (savepoint) => {
          const { rowCount } = await savepoint
            .insert(benchDeeds)
            .values(
              some.map((logged) => ({
                ...logged,
                at: new Date(logged.at),
                ticketId,
                workshopId,
                late,
              })),
            )
            .onConflictDoNothing();
          return rowCount ?? 0;
        });
      try {
        return { added: await add(deeds), refused: [] };
      } catch (error) {
        if (!isRefusal(error)) throw error;
      }
      // One of them is at fault: it is set aside, and the rest goes on.
      let added = 0;
      const refused: string[] = [];
      for (const logged of deeds)
        try {
          added += await add([logged]);
        } catch (error) {
          if (!isRefusal(error)) throw error;
          refused.push(logged.id);
        }
      return { added, refused };
    },

    /** How many deeds of a ticket are kept. */
    count: (ticketId: string): Promise<number> => db.$count(benchDeeds, of(ticketId)),

    deeds,

    /** Keeps the plan that steps are counted in, once. */
    async keepPlan(ticketId: string, plan: string, kept: KeptPlan): Promise<void> {
      await db
        .insert(benchPlans)
        .values({ workshopId, ticketId, plan, kept })
        .onConflictDoNothing();
    },

    /** The plans of a ticket, by their keys. */
    async keptPlans(ticketId: string): Promise<KeptPlans> {
      const rows = await db
        .select({ plan: benchPlans.plan, kept: benchPlans.kept })
        .from(benchPlans)
        .where(and(eq(benchPlans.workshopId, workshopId), eq(benchPlans.ticketId, ticketId)));
      return new Map(rows.map(({ plan, kept }) => [plan, kept]));
    },

    /** The plans that the steps of a ticket were counted in so far. */
    async plans(ticketId: string): Promise<ReadonlySet<string>> {
      const rows = await db
        .selectDistinct({ plan: benchDeeds.plan })
        .from(benchDeeds)
        .where(and(of(ticketId), inArray(sql`${benchDeeds.deed} ->> 'kind'`, ['open', ...MOVES])));
      return new Set(rows.map(({ plan }) => plan));
    },

    /** Who made the steps of a job, the one who made most of them first; with who watched, where it was needed. */
    async hands(ticketId: string): Promise<readonly StringingHand[]> {
      const watchers = aliasedTable(people, 'watchers');
      return db
        .select({ name: people.name, watcher: watchers.name })
        .from(benchDeeds)
        .innerJoin(people, eq(people.id, benchDeeds.personId))
        .leftJoin(watchers, eq(watchers.id, benchDeeds.watchedBy))
        .where(and(of(ticketId), eq(sql`${benchDeeds.deed} ->> 'kind'`, 'step')))
        .groupBy(people.name, watchers.name)
        .orderBy(desc(sql`count(*)`), asc(people.name));
    },

    /** Steps that are done, by the one fold of a job's deeds. */
    done: async (ticketId: string): Promise<number> => benchLog(await deeds(ticketId)).done,
  };
}
