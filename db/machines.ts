import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { missed, type Saved } from './saving';
import { machines } from './schema';

export type Machine = typeof machines.$inferSelect;
export type MachineFacts = Pick<Machine, 'name' | 'gripperMm'>;

/** The stringing machines of one workshop. */
export function machinesOf(db: Connection, workshopId: string) {
  const mine = eq(machines.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(machines.id, id));

  return {
    all: (): Promise<Machine[]> =>
      db
        .select()
        .from(machines)
        .where(and(mine, isNull(machines.removedAt)))
        .orderBy(asc(machines.createdAt)),

    async get(id: string): Promise<Machine | undefined> {
      const [row] = await db.select().from(machines).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(facts: MachineFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(machines)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: MachineFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(machines)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(machines.version, version), isNull(machines.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), facts);
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(machines)
        .set({ removedAt: removed ? new Date() : null, version: sql`${machines.version} + 1` })
        .where(one(id));
    },
  };
}
