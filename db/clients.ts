import { randomUUID } from 'node:crypto';
import { and, asc, count, eq, ilike, isNull, or, sql } from 'drizzle-orm';
import type { Talk } from '@/core/talk';
import type { Connection } from './connection';
import { containing, missed, type Saved } from './saving';
import { clients, rackets, tickets } from './schema';

export type Client = typeof clients.$inferSelect;
export type ClientFacts = Pick<Client, 'name' | 'contact' | 'tensionUnit' | 'notes'>;

/** The clients of one workshop. */
export function clientsOf(db: Connection, workshopId: string) {
  const mine = eq(clients.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(clients.id, id));

  return {
    find: (text: string, limit = 200): Promise<Client[]> =>
      db
        .select()
        .from(clients)
        .where(
          and(
            mine,
            isNull(clients.removedAt),
            or(ilike(clients.name, containing(text)), ilike(clients.contact, containing(text))),
          ),
        )
        .orderBy(
          sql`case when ${clients.name} ilike ${containing(text).slice(1)} then 0 else 1 end`,
          asc(clients.name),
        )
        .limit(limit),

    async get(id: string): Promise<Client | undefined> {
      const [row] = await db.select().from(clients).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(facts: ClientFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(clients)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: ClientFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(clients)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(clients.version, version), isNull(clients.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), facts);
    },

    /** Keeps what they said of themselves. It is no edit of the client, so no open form on them is late. */
    async remember(id: string, talk: Talk): Promise<void> {
      await db.update(clients).set({ talk }).where(one(id));
    },

    /** Open tickets of this client, which keep it from being removed. */
    async openTickets(id: string): Promise<number> {
      const [row] = await db
        .select({ open: count() })
        .from(tickets)
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            eq(rackets.clientId, id),
            isNull(tickets.closedAt),
            isNull(tickets.removedAt),
          ),
        );
      return row?.open ?? 0;
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(clients)
        .set({ removedAt: removed ? new Date() : null, version: sql`${clients.version} + 1` })
        .where(one(id));
    },
  };
}
