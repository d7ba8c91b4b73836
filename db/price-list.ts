import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { priceItems } from './papers-schema';
import { missed, type Saved } from './saving';

export type PriceItem = typeof priceItems.$inferSelect;
export type PriceItemFacts = Pick<PriceItem, 'name' | 'kind' | 'unitMinor' | 'taxBp'>;

/** What one workshop asks for work beside the stringing. */
export function priceListOf(db: Connection, workshopId: string) {
  const one = (id: string) => and(eq(priceItems.workshopId, workshopId), eq(priceItems.id, id));
  const get = async (id: string): Promise<PriceItem | undefined> => {
    const [row] = await db.select().from(priceItems).where(one(id));
    return row;
  };
  return {
    get,

    all: (): Promise<PriceItem[]> =>
      db
        .select()
        .from(priceItems)
        .where(and(eq(priceItems.workshopId, workshopId), isNull(priceItems.removedAt)))
        .orderBy(asc(priceItems.name)),

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(id: string, facts: PriceItemFacts): Promise<void> {
      await db
        .insert(priceItems)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: PriceItemFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(priceItems)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(priceItems.version, version), isNull(priceItems.removedAt)));
      return rowCount ? 'saved' : missed(await get(id), facts);
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(priceItems)
        .set({
          removedAt: removed ? new Date() : null,
          version: sql`${priceItems.version} + 1`,
        })
        .where(one(id));
    },
  };
}
