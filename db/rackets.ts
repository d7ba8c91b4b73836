import { and, asc, count, eq, ilike, isNull, or, sql } from 'drizzle-orm';
import type { Talk } from '@/core/advice/talk';
import type { KeptBalance } from '@/core/balance/parts';
import type { Connection } from './connection';
import { containing, missed, type Saved } from './saving';
import { clients, frames, rackets, tickets } from './schema';

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
  const flat = ({ racket, ...names }: Awaited<ReturnType<typeof known>>[number]): KnownRacket => ({
    ...racket,
    ...names,
  });

  return {
    async find(text: string, limit = 300, offset = 0): Promise<KnownRacket[]> {
      const rows = await known()
        .where(
          and(
            mine,
            // So that the index on names is walked along.
            eq(clients.workshopId, workshopId),
            isNull(rackets.removedAt),
            text === ''
              ? undefined
              : or(
                  ilike(clients.name, containing(text)),
                  ilike(frames.name, containing(text)),
                  ilike(rackets.label, containing(text)),
                  ilike(rackets.mark, containing(text)),
                ),
          ),
        )
        .orderBy(asc(clients.name), asc(rackets.mark), asc(rackets.id))
        .limit(limit)
        .offset(offset);
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

    /** It is somebody else's from here on; refused where it is not the first one's any more. */
    async give(id: string, from: string, to: string): Promise<boolean> {
      const { rowCount } = await db
        .update(rackets)
        .set({ clientId: to, clientBeforeMerge: null, version: sql`${rackets.version} + 1` })
        .where(and(one(id), eq(rackets.clientId, from), isNull(rackets.removedAt)));
      return (rowCount ?? 0) > 0;
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
