/** What comes in from elsewhere in one piece: jobs of before, and closed jobs with their records. */
import { randomUUID } from 'node:crypto';
import { and, asc, count, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { sameName } from '@/core/measure/typed';
import { wallTime } from '@/core/measure/promised-time';
import { paidMinor, type JobBooks } from '@/core/papers/payment';
import type { EarlierJob } from '@/core/record/earlier-job';
import type { JobRecord } from '@/core/record/record';
import type { Connection } from './connection';
import { earlierJobs } from './earlier-schema';
import { payments } from './papers-schema';
import { jobCurrency } from './jobs';
import { addMany, holdWorkshop, inPieces } from './saving';
import { clients, frames, rackets } from './racket-schema';
import { tickets } from './ticket-schema';
import { workshops } from './workshop-schema';

export type BroughtJob = typeof earlierJobs.$inferSelect;

export interface BroughtRecord {
  readonly number: number;
  readonly closedAt: Date;
  readonly record: JobRecord;
  /** Where they were taken out with it. */
  readonly books?: JobBooks;
}

/** Told after each piece, with how many are in; what it throws undoes all of them. */
export type GoOn = (done: number) => void | Promise<void>;

const instantOf = (text: string | null): Date | null => (text === null ? null : new Date(text));
const keyOf = (...parts: readonly string[]): string => parts.map(sameName).join('|');

export function broughtOf(db: Connection, workshopId: string) {
  const ofRackets = sql<string>`coalesce(${frames.name}, ${rackets.label})`;
  const knownRackets = () =>
    db
      .select({ id: rackets.id, client: clients.name, racket: ofRackets, mark: rackets.mark })
      .from(rackets)
      .innerJoin(clients, eq(clients.id, rackets.clientId))
      .leftJoin(frames, eq(frames.id, rackets.frameId))
      .where(
        and(
          eq(rackets.workshopId, workshopId),
          isNull(rackets.removedAt),
          isNull(clients.removedAt),
        ),
      );
  /** The rackets of these, with those that are not here yet made, and their clients. */
  async function racketsFor(
    rows: readonly { readonly client: string; readonly racket: string; readonly mark: string }[],
    frameIds: ReadonlyMap<string, string>,
  ): Promise<ReadonlyMap<string, string>> {
    const ids = new Map(
      (await knownRackets()).map(({ id, client, racket, mark }) => [
        keyOf(client, racket, mark),
        id,
      ]),
    );
    const owners = new Map(
      (
        await db
          .select({ id: clients.id, name: clients.name })
          .from(clients)
          .where(and(eq(clients.workshopId, workshopId), isNull(clients.removedAt)))
      ).map(({ id, name }) => [sameName(name), id]),
    );
    const newClients: (typeof clients.$inferInsert)[] = [];
    const newRackets: (typeof rackets.$inferInsert)[] = [];
    for (const { client, racket, mark } of rows) {
      const key = keyOf(client, racket, mark);
      if (ids.has(key)) continue;
      const owner = owners.get(sameName(client)) ?? randomUUID();
      if (!owners.has(sameName(client))) {
        owners.set(sameName(client), owner);
        newClients.push({ id: owner, workshopId, name: client, contact: '', notes: '' });
      }
      const id = randomUUID();
      ids.set(key, id);
      const frameId = frameIds.get(sameName(racket)) ?? null;
      newRackets.push({
        id,
        workshopId,
        clientId: owner,
        frameId,
        label: frameId ? '' : racket,
        mark,
        notes: '',
      });
    }
    for (const piece of inPieces(newClients)) await addMany(db, clients, piece);
    for (const piece of inPieces(newRackets)) await addMany(db, rackets, piece);
    return ids;
  }

  const libraryFrames = async (): Promise<Map<string, string>> =>
    new Map(
      (
        await db
          .select({ id: frames.id, name: frames.name })
          .from(frames)
          .where(and(eq(frames.workshopId, workshopId), isNull(frames.removedAt)))
      ).map(({ id, name }) => [sameName(name), id]),
    );

  const idOf = (ids: ReadonlyMap<string, string>, key: string): string => {
    const id = ids.get(key);
    if (id === undefined) throw new Error('A racket that was made is not there.');
    return id;
  };

  return {
    /** What tells the jobs of before apart that are here. */
    knownEarlier: (): Promise<Pick<EarlierJob, 'client' | 'racket' | 'mark' | 'day' | 'mains'>[]> =>
      db
        .select({
          client: clients.name,
          racket: ofRackets,
          mark: rackets.mark,
          day: earlierJobs.day,
          mains: earlierJobs.mains,
        })
        .from(earlierJobs)
        .innerJoin(rackets, eq(rackets.id, earlierJobs.racketId))
        .innerJoin(clients, eq(clients.id, rackets.clientId))
        .leftJoin(frames, eq(frames.id, rackets.frameId))
        .where(eq(earlierJobs.workshopId, workshopId)),

    async countEarlier(): Promise<number> {
      const [row] = await db
        .select({ count: count() })
        .from(earlierJobs)
        .where(eq(earlierJobs.workshopId, workshopId));
      return row?.count ?? 0;
    },

    /** What was done on a racket before this record began, the latest first. */
    earlierOf: (racketId: string, limit = 100): Promise<BroughtJob[]> =>
      db
        .select()
        .from(earlierJobs)
        .where(and(eq(earlierJobs.workshopId, workshopId), eq(earlierJobs.racketId, racketId)))
        .orderBy(desc(earlierJobs.day), desc(earlierJobs.id))
        .limit(limit),

    /** Whose racket a job of before was done on. */
    async racketOfEarlier(id: string): Promise<string | undefined> {
      const [row] = await db
        .select({ racketId: earlierJobs.racketId })
        .from(earlierJobs)
        .where(and(eq(earlierJobs.workshopId, workshopId), eq(earlierJobs.id, id)));
      return row?.racketId;
    },

    /** Adds jobs of before, with the clients and rackets that are not here yet. Call it inside a transaction. */
    async bringEarlier(rows: readonly EarlierJob[], goOn: GoOn): Promise<void> {
      const { currency } = await holdWorkshop(db, workshopId);
      const ids = await racketsFor(rows, await libraryFrames());
      let done = 0;
      for (const piece of inPieces(rows)) {
        await addMany(
          db,
          earlierJobs,
          piece.map(({ client, racket, mark, tension, ...job }) => ({
            ...job,
            id: randomUUID(),
            workshopId,
            currency,
            racketId: idOf(ids, keyOf(client, racket, mark)),
            mainN: tension?.mainN ?? null,
            crossN: tension?.crossN ?? null,
            tensionUnit: tension?.unit ?? null,
          })),
        );
        done += piece.length;
        await goOn(done);
      }
    },

    /** The records of jobs of these numbers that are here. */
    async recordsAt(numbers: readonly number[]): Promise<ReadonlyMap<number, JobRecord | null>> {
      const found = new Map<number, JobRecord | null>();
      for (const piece of inPieces(numbers)) {
        const rows = await db
          .select({ number: tickets.number, record: tickets.record })
          .from(tickets)
          .where(and(eq(tickets.workshopId, workshopId), inArray(tickets.number, [...piece])));
        for (const { number, record } of rows) found.set(number, record);
      }
      return found;
    },

    /**
     * Adds closed jobs with their records, and the clients, rackets and frames that are not here yet. What they cost and
     * what was paid comes with them where it was taken out too, in a currency that can be told; else nothing is owed for
     * them. Call it inside a transaction.
     */
    async bringRecords(rows: readonly BroughtRecord[], goOn: GoOn): Promise<void> {
      const { timeZone, currency } = await holdWorkshop(db, workshopId);
      const frameIds = await libraryFrames();
      const newFrames = new Map<string, typeof frames.$inferInsert>();
      for (const { record } of rows) {
        const name = sameName(record.racket.frameName);
        if (frameIds.has(name)) continue;
        const id = randomUUID();
        frameIds.set(name, id);
        newFrames.set(name, {
          id,
          workshopId,
          name: record.racket.frameName,
          sport: record.frame.sport,
          spec: record.frame,
        });
      }
      for (const piece of inPieces([...newFrames.values()]))
        await db.insert(frames).values([...piece]);
      const ids = await racketsFor(
        rows.map(({ record: { client, racket } }) => ({
          client,
          racket: racket.frameName,
          mark: racket.mark,
        })),
        frameIds,
      );
      let done = 0;
      for (const piece of inPieces(rows)) {
        const paid: (typeof payments.$inferInsert)[] = [];
        await db.insert(tickets).values(
          piece.map(({ number, closedAt, record, books }) => {
            const { setup, plan, racket, client } = record;
            const id = randomUUID();
            const told =
              books?.currency === (record.price?.currency ?? currency) ? books : undefined;
            // What is paid is shared out over the lines of a price: without one nothing was to be paid.
            const priced = record.price ? told : undefined;
            for (const payment of priced?.payments ?? [])
              paid.push({ ...payment, id: randomUUID(), workshopId, ticketId: id });
            return {
              id,
              ...(told && {
                labourMinor: told.labourMinor,
                stringMinor: told.stringMinor,
                toPayMinor: priced?.toPayMinor ?? null,
                paidMinor: paidMinor(priced?.payments ?? []),
              }),
              workshopId,
              number,
              requestKey: randomUUID(),
              racketId: idOf(ids, keyOf(client, racket.frameName, racket.mark)),
              takenIn: closedAt,
              promised: wallTime(closedAt, timeZone),
              wish: '',
              condition: '',
              mainGaugeMm: setup.mains.gaugeMm,
              crossGaugeMm: setup.crosses.gaugeMm,
              mainN: setup.mainN,
              crossN: setup.crossN,
              tensionUnit: setup.unit,
              method: plan.method,
              shortSide: plan.shortSide,
              crossStart: plan.crossStart,
              cutFrom: plan.cutFrom,
              remnantsMm: [...plan.remnantsMm],
              closedAt,
              collectedAt: books ? instantOf(books.collected) : closedAt,
              record,
            };
          }),
        );
        await addMany(db, payments, paid);
        done += piece.length;
        await goOn(done);
      }
      await db
        .update(workshops)
        .set({
          nextTicket: sql`greatest(${workshops.nextTicket}, ${Math.max(...rows.map(({ number }) => number)) + 1})`,
        })
        .where(eq(workshops.id, workshopId));
    },

    /** Closed jobs as they are taken out together, by number, from the one after `after` on. */
    async recordsAfter(after: number, limit: number): Promise<BroughtRecord[]> {
      const rows = await db
        .select({
          id: tickets.id,
          number: tickets.number,
          closedAt: tickets.closedAt,
          record: tickets.record,
          currency: jobCurrency(workshopId),
          labourMinor: tickets.labourMinor,
          stringMinor: tickets.stringMinor,
          toPayMinor: tickets.toPayMinor,
          collectedAt: tickets.collectedAt,
        })
        .from(tickets)
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            isNull(tickets.removedAt),
            sql`${tickets.closedAt} is not null and ${tickets.number} > ${after}`,
          ),
        )
        .orderBy(tickets.number)
        .limit(limit);
      const paid = await db
        .select({
          ticketId: payments.ticketId,
          day: payments.day,
          way: payments.way,
          kind: payments.kind,
          amountMinor: payments.amountMinor,
          note: payments.note,
        })
        .from(payments)
        .where(
          and(
            eq(payments.workshopId, workshopId),
            inArray(
              payments.ticketId,
              rows.map(({ id }) => id),
            ),
          ),
        )
        .orderBy(asc(payments.day), asc(payments.at), asc(payments.id));
      return rows.flatMap(({ id, number, closedAt, record, collectedAt, ...books }) =>
        closedAt && record
          ? [
              {
                number,
                closedAt,
                record,
                books: {
                  ...books,
                  collected: collectedAt && collectedAt.toISOString(),
                  payments: paid.flatMap(({ ticketId, ...payment }) =>
                    ticketId === id ? [payment] : [],
                  ),
                },
              },
            ]
          : [],
      );
    },
  };
}
