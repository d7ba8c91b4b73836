import { randomUUID } from 'node:crypto';
import Fuse from 'fuse.js';
import { and, asc, count, eq, ilike, isNull, not, or, sql, type SQL } from 'drizzle-orm';
import type { Talk } from '@/core/advice/talk';
import type { Connection } from './connection';
import { addMany, containing, holdWorkshop, inPieces, missed, type Saved } from './saving';
import { clients, rackets, tickets } from './schema';

export type Client = typeof clients.$inferSelect;
export type ClientFacts = Pick<Client, 'name' | 'contact' | 'tensionUnit' | 'notes'> &
  Partial<Pick<Client, 'address' | 'mayWrite'>>;

/** Names that a search for near ones looks through, and how near is near, 0 to 1. */
const NAMES_COMPARED = 5000;
const NEAR = 0.35;

/** Since when a client has said what they say to being written to; it stays where they say the same. */
const consentOf = ({ mayWrite }: Partial<ClientFacts>) =>
  mayWrite === undefined
    ? {}
    : {
        mayWriteSince: sql`case when ${clients.mayWrite} = ${mayWrite} then ${clients.mayWriteSince} else now() end`,
      };

/** The clients of one workshop. */
export function clientsOf(db: Connection, workshopId: string) {
  const mine = eq(clients.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(clients.id, id));
  const holds = (text: string) =>
    or(ilike(clients.name, containing(text)), ilike(clients.contact, containing(text)));
  /** Along the index on names, as far as it takes to have enough. */
  const walk = (where: SQL | undefined, limit: number, offset = 0): Promise<Client[]> =>
    db
      .select()
      .from(clients)
      .where(and(mine, isNull(clients.removedAt), where))
      .orderBy(asc(clients.name), asc(clients.id))
      .limit(limit)
      .offset(offset);

  return {
    /** Whose name or address of any kind holds the text, by name. */
    find: (text: string, limit = 200, offset = 0): Promise<Client[]> =>
      walk(text === '' ? undefined : holds(text), limit, offset),

    /**
     * Those whose names begin with the text, then those that hold it, and after them those whose names are near to what was
     * typed: a slip, another spelling.
     */
    async findNear(text: string, limit: number): Promise<Client[]> {
      if (text === '') return walk(undefined, limit);
      const begins = ilike(clients.name, containing(text).slice(1));
      const found = await walk(begins, limit);
      if (found.length < limit)
        found.push(...(await walk(and(holds(text), not(begins)), limit - found.length)));
      if (text.length < 3 || found.length >= limit) return found;
      const all = await walk(undefined, NAMES_COMPARED);
      const near = new Fuse(all, { keys: ['name'], threshold: NEAR }).search(text, { limit });
      const known = new Set(found.map(({ id }) => id));
      return [...found, ...near.map(({ item }) => item).filter(({ id }) => !known.has(id))].slice(
        0,
        limit,
      );
    },

    /** Every client, by name. */
    all: (): Promise<Client[]> =>
      db
        .select()
        .from(clients)
        .where(and(mine, isNull(clients.removedAt)))
        .orderBy(asc(clients.name), asc(clients.id)),

    /** The names of all clients, for who comes in from elsewhere. */
    async names(): Promise<string[]> {
      const rows = await db
        .select({ name: clients.name })
        .from(clients)
        .where(and(mine, isNull(clients.removedAt)));
      return rows.map(({ name }) => name);
    },

    /** The same for a transaction that adds many: a second one waits here, and finds who came in with the first. */
    async namesForMany(): Promise<string[]> {
      await holdWorkshop(db, workshopId);
      return this.names();
    },

    /** Adds many, piece by piece; what `goOn` throws undoes them. Call it inside a transaction. */
    async bring(
      rows: readonly Pick<Client, 'name' | 'contact' | 'address' | 'notes'>[],
      goOn: (done: number) => Promise<void>,
    ): Promise<void> {
      let done = 0;
      for (const piece of inPieces(rows)) {
        await addMany(
          db,
          clients,
          piece.map((row) => ({ ...row, id: randomUUID(), workshopId })),
        );
        done += piece.length;
        await goOn(done);
      }
    },

    async get(id: string): Promise<Client | undefined> {
      const [row] = await db.select().from(clients).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(facts: ClientFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(clients)
        .values({
          ...facts,
          mayWriteSince: facts.mayWrite && facts.mayWrite !== 'unasked' ? new Date() : null,
          id,
          workshopId,
        })
        .onConflictDoNothing();
    },

    /** They do not want messages any more, as they said on their own page. */
    async wantNoMessages(id: string): Promise<void> {
      await db
        .update(clients)
        .set({ mayWrite: 'no', mayWriteSince: new Date(), version: sql`${clients.version} + 1` })
        .where(one(id));
    },

    async change(id: string, version: number, facts: ClientFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(clients)
        .set({ ...facts, ...consentOf(facts), version: version + 1 })
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
            isNull(tickets.withdrawnAt),
            isNull(tickets.removedAt),
          ),
        );
      return row?.open ?? 0;
    },

    /**
     * Two rows turned out to be one person: the rackets of `from` become those of `into`, and `from` goes out
     * of the lists. Call it inside a transaction.
     */
    async merge(from: string, into: string): Promise<Saved> {
      const kept = await this.get(into);
      const gone = await this.get(from);
      if (!kept || !gone || kept.removedAt || gone.removedAt || from === into) return 'gone';
      await db
        .update(rackets)
        .set({ clientId: into, clientBeforeMerge: from, version: sql`${rackets.version} + 1` })
        .where(and(eq(rackets.workshopId, workshopId), eq(rackets.clientId, from)));
      await db
        .update(clients)
        .set({
          mergedInto: into,
          removedAt: new Date(),
          version: sql`${clients.version} + 1`,
        })
        .where(one(from));
      return 'saved';
    },

    /** Takes a merge back: everybody has their own rackets again. Call it inside a transaction. */
    async unmerge(from: string): Promise<Saved> {
      const gone = await this.get(from);
      if (!gone?.mergedInto) return 'gone';
      await db
        .update(rackets)
        .set({ clientId: from, clientBeforeMerge: null, version: sql`${rackets.version} + 1` })
        .where(
          and(
            eq(rackets.workshopId, workshopId),
            eq(rackets.clientId, gone.mergedInto),
            eq(rackets.clientBeforeMerge, from),
          ),
        );
      await db
        .update(clients)
        .set({ mergedInto: null, removedAt: null, version: sql`${clients.version} + 1` })
        .where(one(from));
      return 'saved';
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(clients)
        .set({ removedAt: removed ? new Date() : null, version: sql`${clients.version} + 1` })
        .where(one(id));
    },
  };
}
