import { and, asc, count, eq, ilike, isNotNull, isNull, or, sql, type SQL } from 'drizzle-orm';
import type { Talk } from '@/core/advice/talk';
import type { KeptBalance } from '@/core/balance/parts';
import type { Connection } from './connection';
import { rowsOfWords } from './found';
import { containing, missed, type Saved } from './saving';
import { clients, frames, rackets } from './racket-schema';
import { tickets } from './ticket-schema';

export type Racket = typeof rackets.$inferSelect;
export type RacketFacts = Pick<Racket, 'clientId' | 'frameId' | 'label' | 'mark' | 'notes'>;

/** A racket with the names that it is known by. */
export type KnownRacket = Racket & {
  readonly clientName: string;
  readonly frameName: string;
  /** The open ticket that it is on, if any. */
  readonly openNumber: number | null;
};

/** The rackets of one workshop's clients. */
export function racketsOf(db: Connection, workshopId: string) {
  const mine = eq(rackets.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(rackets.id, id));
  const known = () =>
    db
      .select({
        racket: rackets,
        clientName: clients.name,
        frameName: sql<string>`coalesce(${frames.name}, ${rackets.label})`,
        openNumber: sql<
          number | null
        >`(select max(${tickets.number}) from ${tickets} where ${tickets.workshopId} = ${workshopId} and ${tickets.racketId} = ${rackets.id} and ${tickets.closedAt} is null and ${tickets.withdrawnAt} is null and ${tickets.removedAt} is null)`,
      })
      .from(rackets)
      .innerJoin(clients, eq(clients.id, rackets.clientId))
      .leftJoin(frames, eq(frames.id, rackets.frameId));
  const holding = (text: string): SQL | undefined => {
    if (text === '') return undefined;
    const holds = containing(text);
    return or(
      ilike(clients.name, holds),
      ilike(frames.name, holds),
      ilike(rackets.label, holds),
      ilike(rackets.mark, holds),
    );
  };
  const flat = ({ racket, ...names }: Awaited<ReturnType<typeof known>>[number]): KnownRacket => ({
    ...racket,
    ...names,
  });

  return {
    /** Those that go by all words of a text, by their clients’ names; of one or two signs, that have them in a name or a mark. */
    async find(text: string, limit = 300, offset = 0): Promise<KnownRacket[]> {
      const found = rowsOfWords('racket', text, limit, offset);
      const rows = await known()
        .where(
          and(
            mine,
            // So that the index on names is walked along.
            eq(clients.workshopId, workshopId),
            isNull(rackets.removedAt),
            // Who is no client any more brings no racket: by words it is not found any more.
            found ? sql`${rackets.id} in ${found}` : and(isNull(clients.removedAt), holding(text)),
          ),
        )
        .orderBy(asc(clients.name), asc(rackets.mark), asc(rackets.id))
        .limit(limit)
        .offset(found ? 0 : offset);
      return rows.map(flat);
    },

    /** A client's rackets, the one that was here last first. */
    async ofClient(clientId: string): Promise<KnownRacket[]> {
      const rows = await known()
        .where(and(mine, eq(rackets.clientId, clientId), isNull(rackets.removedAt)))
        .orderBy(
          sql`(select max(${tickets.number}) from ${tickets} where ${tickets.workshopId} = ${workshopId} and ${tickets.racketId} = ${rackets.id}) desc nulls last`,
          asc(rackets.mark),
        );
      return rows.map(flat);
    },

    async get(id: string): Promise<KnownRacket | undefined> {
      const [row] = await known().where(one(id));
      return row && flat(row);
    },

    async add(facts: RacketFacts): Promise<Racket> {
      const [row] = await db
        .insert(rackets)
        .values({ ...facts, workshopId })
        .returning();
      return row as Racket;
    },

    async change(id: string, version: number, facts: Partial<RacketFacts>): Promise<Saved> {
      const { rowCount } = await db
        .update(rackets)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(rackets.version, version), isNull(rackets.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), facts);
    },

    /**
     * It is somebody else's from here on; refused where it is not the first one's any more. What was strung on it stays
     * with who had it strung: their record, what they owe, and who is written to about it. Call it inside a transaction.
     */
    async give(id: string, from: string, to: string): Promise<boolean> {
      const [theirs] = await db
        .select({ id: rackets.id })
        .from(rackets)
        .where(and(one(id), eq(rackets.clientId, from), isNull(rackets.removedAt)))
        .for('update');
      if (!theirs) return false;
      await db
        .update(tickets)
        .set({ strungFor: from })
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            eq(tickets.racketId, id),
            isNotNull(tickets.closedAt),
            isNull(tickets.strungFor),
          ),
        );
      await db
        .update(rackets)
        .set({ clientId: to, clientsBefore: [], version: sql`${rackets.version} + 1` })
        .where(one(id));
      return true;
    },

    /** Keeps what it weighs where, and tells the advice of it. */
    async weigh(
      id: string,
      version: number,
      balance: KeptBalance,
      build: Talk['racket'],
    ): Promise<Saved> {
      const { rowCount } = await db
        .update(rackets)
        .set({ balance, build, version: version + 1 })
        .where(and(one(id), eq(rackets.version, version), isNull(rackets.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), { balance });
    },

    /** Somebody else strung it on a day, or nobody did after all. */
    async strungElsewhere(id: string, day: string | null): Promise<void> {
      await db
        .update(rackets)
        .set({ elsewhereOn: day, version: sql`${rackets.version} + 1` })
        .where(one(id));
    },

    /** Where it lies between plays. */
    async liesIn(id: string, heat: Racket['heat']): Promise<void> {
      await db
        .update(rackets)
        .set({ heat, version: sql`${rackets.version} + 1` })
        .where(one(id));
    },

    /** Keeps what was said of it at Setup. It is no edit of the racket, so no open form on it is late. */
    async remember(id: string, build: Talk['racket']): Promise<void> {
      await db.update(rackets).set({ build }).where(one(id));
    },

    /** Open tickets on this racket, which keep it from being removed. */
    async openTickets(id: string): Promise<number> {
      const [row] = await db
        .select({ open: count() })
        .from(tickets)
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            eq(tickets.racketId, id),
            isNull(tickets.closedAt),
            isNull(tickets.withdrawnAt),
            isNull(tickets.removedAt),
          ),
        );
      return row?.open ?? 0;
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(rackets)
        .set({ removedAt: removed ? new Date() : null, version: sql`${rackets.version} + 1` })
        .where(one(id));
    },
  };
}
