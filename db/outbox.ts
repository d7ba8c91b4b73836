import { aliasedTable, and, asc, desc, eq, gt, isNull, lt, or, sql } from 'drizzle-orm';
import type { MessageKind, Standing } from '@/core/papers/messages';
import type { Connection } from './connection';
import { outbox } from './papers-schema';
import { holdWorkshop } from './saving';
import { clients, rackets } from './racket-schema';
import { clientNow } from './ticket-client';
import { tickets } from './ticket-schema';

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
const MONTH_MS = 30 * 24 * 60 * 60 * 1000;

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

    /**
     * A reminder, at most one a month to each client, whatever they own. Hold on: two servers that would write at once
     * wait for each other here. Call it inside a transaction.
     */
    async addReminder(
      personId: string | null,
      letter: Omit<NewLetter, 'kind' | 'about'>,
      now: Date,
    ): Promise<'kept' | 'known'> {
      await holdWorkshop(db, workshopId);
      const known = await db.$count(
        outbox,
        and(
          mine,
          eq(outbox.clientId, letter.clientId),
          eq(outbox.kind, 'due'),
          gt(outbox.at, new Date(now.getTime() - MONTH_MS)),
        ),
      );
      return known > 0
        ? 'known'
        : this.add(personId, { ...letter, kind: 'due', about: now.toISOString().slice(0, 10) });
    },

    /** When each client was last reminded, of those who were within a month. */
    async remindedAt(now = new Date()): Promise<ReadonlyMap<string, Date>> {
      const rows = await db
        .select({ clientId: outbox.clientId, at: sql<Date>`max(${outbox.at})`.mapWith(outbox.at) })
        .from(outbox)
        .where(and(mine, eq(outbox.kind, 'due'), gt(outbox.at, new Date(now.getTime() - MONTH_MS))))
        .groupBy(outbox.clientId);
      return new Map(rows.map(({ clientId, at }) => [clientId, at]));
    },

    /** Whether the racket of a message came in after the job that it is about. */
    async isOvertaken({ ticketId }: Pick<Letter, 'ticketId'>): Promise<boolean> {
      const later = aliasedTable(tickets, 'later');
      const [row] = await db
        .select({ id: later.id })
        .from(tickets)
        .innerJoin(
          later,
          and(
            eq(later.workshopId, tickets.workshopId),
            eq(later.racketId, tickets.racketId),
            gt(later.number, tickets.number),
            isNull(later.withdrawnAt),
            isNull(later.removedAt),
          ),
        )
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId)))
        .limit(1);
      return row !== undefined;
    },

    /** What reminders of the last year brought: how many went out, and how many rackets came within a month of one. */
    async broughtByReminders(): Promise<{ readonly sent: number; readonly came: number }> {
      const [row] = await db
        .select({
          sent: sql<number>`count(*)::int`,
          came: sql<number>`(count(*) filter (where exists (select 1 from ${tickets} later join ${tickets} about on about.id = ${outbox.ticketId} where later.workshop_id = about.workshop_id and later.racket_id = about.racket_id and later.removed_at is null and later.taken_in > ${outbox.sentAt} and later.taken_in < ${outbox.sentAt} + interval '30 days')))::int`,
        })
        .from(outbox)
        .where(
          and(mine, eq(outbox.kind, 'due'), sql`${outbox.sentAt} > now() - interval '1 year'`),
        );
      return row ?? { sent: 0, came: 0 };
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

    /** Who a message is to by now, and whether they have their racket: both may have changed while it waited. */
    async standing({
      clientId,
      ticketId,
    }: Pick<Letter, 'clientId' | 'ticketId'>): Promise<Standing> {
      const [row] = await db
        .select({
          name: clients.name,
          contact: clients.contact,
          mayWrite: clients.mayWrite,
          isCollected: sql<boolean>`${tickets.collectedAt} is not null`,
          hasIt: sql<boolean>`${rackets.clientId} = ${clients.id}`,
        })
        .from(clients)
        .innerJoin(tickets, and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId)))
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .where(and(eq(clients.workshopId, workshopId), eq(clients.id, clientNow(clientId))));
      if (!row) throw new Error('A message is to nobody.');
      return { ...row, cameAgain: await this.isOvertaken({ ticketId }) };
    },

    async sent(id: string, toAddress: string): Promise<void> {
      await db
        .update(outbox)
        .set({
          sentAt: new Date(),
          toAddress,
          failure: '',
          heldUntil: null,
          tries: sql`${outbox.tries} + 1`,
        })
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
    async drop(id: string, why = 'Taken out of the outbox.'): Promise<void> {
      await db
        .update(outbox)
        .set({ given: true, failure: why, heldUntil: null })
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

    /** The latest first. */
    latest: (
      limit: number,
      offset = 0,
    ): Promise<
      readonly { readonly letter: Letter; readonly clientName: string; readonly number: number }[]
    > =>
      db
        .select({ letter: outbox, clientName: clients.name, number: tickets.number })
        .from(outbox)
        .innerJoin(clients, eq(clients.id, outbox.clientId))
        .innerJoin(tickets, eq(tickets.id, outbox.ticketId))
        .where(mine)
        .orderBy(desc(outbox.at), desc(outbox.id))
        .limit(limit)
        .offset(offset),
  };
}
