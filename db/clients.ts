import { randomUUID } from 'node:crypto';
import { and, asc, count, eq, ilike, isNull, or, sql, type SQL } from 'drizzle-orm';
import {
  mergedClient,
  partedClient,
  USUAL_MERGE,
  type MergedClient,
} from '@/core/advice/one-client';
import type { Talk } from '@/core/advice/talk';
import type { Connection } from './connection';
import { rowsOfWords } from './found';
import { addMany, containing, holdWorkshop, inPieces, missed, type Saved } from './saving';
import { clients, rackets } from './racket-schema';
import { tickets } from './ticket-schema';

export type Client = typeof clients.$inferSelect;
export type ClientFacts = Pick<Client, 'name' | 'contact' | 'tensionUnit' | 'notes'> &
  Partial<Pick<Client, 'address' | 'mayWrite'>>;

type Merged = NonNullable<Client['mergedFrom']>;

const knownOf = ({
  contact,
  address,
  notes,
  tensionUnit,
  mayWrite,
  talk,
}: Client): MergedClient => ({ contact, address, notes, tensionUnit, mayWrite, talk });

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

  /** Who goes by all words of a text, by name; of one or two signs, whose name or address of any kind holds them. */
  function find(text: string, limit = 200, offset = 0): Promise<Client[]> {
    const found = rowsOfWords('client', text, limit, offset);
    if (found) return walk(sql`${clients.id} in ${found}`, limit);
    return walk(text === '' ? undefined : holds(text), limit, offset);
  }

  /** What the merge changed about the one who was kept is as before, save what somebody has changed since. */
  async function partAgain(kept: Client, merge: Merged, other: Client): Promise<void> {
    const facts = partedClient(knownOf(kept), merge, knownOf(other));
    const { mayWriteSince: since } = merge.before;
    await db
      .update(clients)
      .set({
        ...facts,
        ...(facts.mayWrite !== kept.mayWrite && {
          mayWriteSince: since === null ? null : new Date(since),
        }),
        version: sql`${clients.version} + 1`,
      })
      .where(one(kept.id));
  }

  return {
    find,

    /** Those whose names begin with the text, and after them all others who go by its words: a part, a slip, another spelling. */
    async findNear(text: string, limit: number): Promise<Client[]> {
      if (text === '') return walk(undefined, limit);
      const begins = ilike(clients.name, containing(text).slice(1));
      const found = await walk(begins, limit);
      if (found.length === limit) return found;
      const known = new Set(found.map(({ id }) => id));
      const near = await find(text, limit + found.length);
      return [...found, ...near.filter(({ id }) => !known.has(id))].slice(0, limit);
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

    /** The same, by their ids, for a transaction that adds many: a second one waits here, and finds who came in with the first. */
    async namedForMany(): Promise<readonly Pick<Client, 'id' | 'name'>[]> {
      await holdWorkshop(db, workshopId);
      return db
        .select({ id: clients.id, name: clients.name })
        .from(clients)
        .where(and(mine, isNull(clients.removedAt)));
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
    async merge(from: string, into: string, choices = USUAL_MERGE): Promise<Saved> {
      const kept = await this.get(into);
      const gone = await this.get(from);
      if (!kept || !gone || kept.removedAt || gone.removedAt || from === into) return 'gone';
      const after = mergedClient(kept, gone, choices);
      const said = [kept, gone].find(({ mayWrite }) => mayWrite === after.mayWrite);
      await db
        .update(clients)
        .set({
          ...after,
          mayWriteSince: said?.mayWriteSince ?? null,
          version: sql`${clients.version} + 1`,
        })
        .where(one(into));
      await db
        .update(rackets)
        .set({
          clientId: into,
          clientsBefore: sql`${rackets.clientsBefore} || ${from}::uuid`,
          version: sql`${rackets.version} + 1`,
        })
        .where(and(eq(rackets.workshopId, workshopId), eq(rackets.clientId, from)));
      await db
        .update(clients)
        .set({
          mergedInto: into,
          mergedFrom: {
            before: { ...knownOf(kept), mayWriteSince: kept.mayWriteSince?.toISOString() ?? null },
            after,
          },
          removedAt: new Date(),
          version: sql`${clients.version} + 1`,
        })
        .where(one(from));
      return 'saved';
    },

    /**
     * Takes a merge back: everybody has their own rackets again, as far as they have not gone to somebody else since. The
     * later of two merges is taken back first. Call it inside a transaction.
     */
    async unmerge(from: string): Promise<'saved' | 'gone' | 'merged on'> {
      const gone = await this.get(from);
      if (!gone?.mergedInto) return 'gone';
      const kept = await this.get(gone.mergedInto);
      if (kept?.mergedInto) return 'merged on';
      if (kept && gone.mergedFrom) await partAgain(kept, gone.mergedFrom, gone);
      const before = rackets.clientsBefore;
      await db
        .update(rackets)
        .set({
          clientId: from,
          clientsBefore: sql`trim_array(${before}, 1)`,
          version: sql`${rackets.version} + 1`,
        })
        .where(
          and(
            eq(rackets.workshopId, workshopId),
            eq(rackets.clientId, gone.mergedInto),
            sql`${before}[cardinality(${before})] = ${from}`,
          ),
        );
      await db
        .update(clients)
        .set({
          mergedInto: null,
          mergedFrom: null,
          removedAt: null,
          version: sql`${clients.version} + 1`,
        })
        .where(one(from));
      return 'saved';
    },

    /** Who was merged into another is parted from them instead of put back. */
    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(clients)
        .set({ removedAt: removed ? new Date() : null, version: sql`${clients.version} + 1` })
        .where(and(one(id), isNull(clients.mergedInto)));
    },
  };
}
