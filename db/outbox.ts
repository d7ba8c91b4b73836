import { and, asc, desc, eq, isNull, lt, or, sql } from 'drizzle-orm';
import type { MessageKind } from '@/core/papers/messages';
import type { Connection } from './connection';
import { outbox } from './papers-schema';
import { clients, tickets } from './schema';

export type Letter = typeof outbox.$inferSelect;

export interface NewLetter {
  readonly id: string;
  readonly clientId: string;
  readonly ticketId: string;
  readonly kind: MessageKind;
  readonly about: string;
  readonly toAddress: string;
  readonly subject: string;
  readonly text: string;
}

/** After so many tries nobody is written to by itself any more. */
const MOST_TRIES = 5;
const HELD_MS = 60_000;

/** The messages of one workshop to its clients, each once. */
export function outboxOf(db: Connection, workshopId: string) {
  const mine = eq(outbox.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(outbox.id, id));
  return {
    /** Puts a message in; the second of the same kind about the same is not taken. */
    async add(personId: string | null, letter: NewLetter): Promise<'kept' | 'known'> {
      const { rowCount } = await db
        .insert(outbox)
        .values({ ...letter, workshopId, personId })
        .onConflictDoNothing();
      return rowCount ? 'kept' : 'known';
    },

    /** The next message that waits, held for a minute for whoever sends it; undefined when none does. */
    async hold(now: Date): Promise<Letter | undefined> {
      const [row] = await db
        .select()
        .from(outbox)
        .where(
          and(
            mine,
            isNull(outbox.sentAt),
            eq(outbox.given, false),
            or(isNull(outbox.heldUntil), lt(outbox.heldUntil, now)),
          ),
        )
        .orderBy(asc(outbox.at))
        .limit(1)
        .for('update', { skipLocked: true });
      if (!row) return undefined;
      await db
        .update(outbox)
        .set({ heldUntil: new Date(now.getTime() + HELD_MS) })
        .where(one(row.id));
      return row;
    },

    async sent(id: string): Promise<void> {
      await db
        .update(outbox)
        .set({ sentAt: new Date(), failure: '', heldUntil: null, tries: sql`${outbox.tries} + 1` })
        .where(one(id));
    },

    /** It did not go out; it waits a little longer each time, and after five tries for a press. */
    async failed(id: string, failure: string, now: Date): Promise<void> {
      await db
        .update(outbox)
        .set({
          failure,
          tries: sql`${outbox.tries} + 1`,
          heldUntil: sql`${now.toISOString()}::timestamptz + interval '1 minute' * power(4, ${outbox.tries})`,
          given: sql`${outbox.tries} + 1 >= ${MOST_TRIES}`,
        })
        .where(one(id));
    },

    /** Tries again at once. */
    async retry(id: string): Promise<void> {
      await db
        .update(outbox)
        .set({ heldUntil: null, given: false, tries: 0 })
        .where(and(one(id), isNull(outbox.sentAt)));
    },

    /** Not to be sent after all. */
    async drop(id: string): Promise<void> {
      await db
        .update(outbox)
        .set({ given: true, failure: 'Taken out of the outbox.', heldUntil: null })
        .where(and(one(id), isNull(outbox.sentAt)));
    },

    /** The same for all of a client who does not want any. */
    async dropAll(clientId: string): Promise<void> {
      await db
        .update(outbox)
        .set({ given: true, failure: 'They do not want messages.', heldUntil: null })
        .where(and(mine, eq(outbox.clientId, clientId), isNull(outbox.sentAt)));
    },

    ofTicket: (ticketId: string): Promise<Letter[]> =>
      db
        .select()
        .from(outbox)
        .where(and(mine, eq(outbox.ticketId, ticketId)))
        .orderBy(asc(outbox.at)),

    latest: (
      limit: number,
    ): Promise<
      readonly { readonly letter: Letter; readonly clientName: string; readonly number: number }[]
    > =>
      db
        .select({ letter: outbox, clientName: clients.name, number: tickets.number })
        .from(outbox)
        .innerJoin(clients, eq(clients.id, outbox.clientId))
        .innerJoin(tickets, eq(tickets.id, outbox.ticketId))
        .where(mine)
        .orderBy(desc(outbox.at))
        .limit(limit),
  };
}
