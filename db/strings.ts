import { randomUUID } from 'node:crypto';
import { and, asc, eq, ilike, isNull, sql } from 'drizzle-orm';
import type { Sport } from '@/core/terms/sport';
import type { StringFacts } from '@/core/strings/string-facts';
import type { Connection } from './connection';
import { containing, missed, type Saved } from './saving';
import { strings } from './racket-schema';

export type StringRow = typeof strings.$inferSelect;
/** The string library of one workshop. */
export function stringsOf(db: Connection, workshopId: string) {
  const mine = eq(strings.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(strings.id, id));

  return {
    find: (text: string, sport?: Sport): Promise<StringRow[]> =>
      db
        .select()
        .from(strings)
        .where(
          and(
            mine,
            isNull(strings.removedAt),
            ilike(strings.name, containing(text)),
            sport ? eq(strings.sport, sport) : undefined,
          ),
        )
        .orderBy(asc(strings.name)),

    async get(id: string): Promise<StringRow | undefined> {
      const [row] = await db.select().from(strings).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(facts: StringFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(strings)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: StringFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(strings)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(strings.version, version), isNull(strings.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), facts);
    },

    /** Adds a string or, when one of this name and sport is there, makes it what the table says. */
    async bring(facts: StringFacts): Promise<void> {
      const same = and(
        mine,
        isNull(strings.removedAt),
        eq(strings.sport, facts.sport),
        sql`lower(${strings.name}) = lower(${facts.name})`,
      );
      const { rowCount } = await db
        .update(strings)
        .set({ ...facts, version: sql`${strings.version} + 1` })
        .where(same);
      if (!rowCount) await this.add(facts);
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(strings)
        .set({ removedAt: removed ? new Date() : null, version: sql`${strings.version} + 1` })
        .where(one(id));
    },
  };
}
