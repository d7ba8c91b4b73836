import { and, asc, eq, isNotNull, lt, sql } from 'drizzle-orm';
import type { JobPrice } from '@/core/counter/price';
import type { DayPayment, PayWay } from '@/core/papers/payment';
import { jobPriceSchema } from '@/core/counter/price';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { payments } from './papers-schema';
import { jobCurrency } from './jobs';
import { clients, rackets, tickets } from './schema';

export interface KeptPayment {
  readonly id: string;
  readonly day: string;
  readonly way: PayWay;
  readonly amountMinor: number;
  readonly note: string;
  readonly who: string | null;
}

export interface NewPayment {
  readonly id: string;
  readonly ticketId: string;
  readonly day: string;
  readonly way: PayWay;
  readonly amountMinor: number;
  readonly note: string;
}

/** A payment of a day with its job, for the close and for the books. */
export interface BookedPayment extends DayPayment {
  readonly id: string;
  readonly day: string;
  readonly job: number;
  readonly clientName: string;
  readonly note: string;
}

/** What was paid for the jobs of one workshop: added to, and never changed. */
export function paymentsOf(db: Connection, workshopId: string) {
  const mine = eq(payments.workshopId, workshopId);
  return {
    ofTicket: (ticketId: string): Promise<KeptPayment[]> =>
      db
        .select({
          id: payments.id,
          day: payments.day,
          way: payments.way,
          amountMinor: payments.amountMinor,
          note: payments.note,
          who: people.name,
        })
        .from(payments)
        .leftJoin(people, eq(people.id, payments.personId))
        .where(and(mine, eq(payments.ticketId, ticketId)))
        .orderBy(asc(payments.at), asc(payments.id)),

    /**
     * Keeps a payment under an id made by its form, and what its job is paid by now. Call it inside a transaction:
     * the row of the job is held meanwhile, so that two at once add up.
     */
    async add(personId: string, payment: NewPayment): Promise<'kept' | 'known'> {
      await db
        .select({ id: tickets.id })
        .from(tickets)
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, payment.ticketId)))
        .for('update');
      const { rowCount } = await db
        .insert(payments)
        .values({ ...payment, workshopId, personId })
        .onConflictDoNothing();
      if (!rowCount) return 'known';
      await db
        .update(tickets)
        .set({ paidMinor: sql`${tickets.paidMinor} + ${payment.amountMinor}` })
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, payment.ticketId)));
      return 'kept';
    },

    /** Payments between two days of the workshop's clock, in the order in which they came. */
    async between(from: string, to: string): Promise<BookedPayment[]> {
      const rows = await db
        .select({
          id: payments.id,
          day: payments.day,
          way: payments.way,
          amountMinor: payments.amountMinor,
          note: payments.note,
          job: tickets.number,
          clientName: clients.name,
          price: sql<JobPrice>`${tickets.record} -> 'price'`.mapWith((stored: unknown) =>
            jobPriceSchema.parse(stored),
          ),
        })
        .from(payments)
        .innerJoin(tickets, eq(tickets.id, payments.ticketId))
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .innerJoin(clients, eq(clients.id, rackets.clientId))
        .where(and(mine, sql`${payments.day} between ${from}::date and ${to}::date`))
        .orderBy(asc(payments.day), asc(payments.at), asc(payments.id));
      return rows;
    },

    /** What a client has still to pay, job by job. */
    owedBy: (
      clientId: string,
    ): Promise<
      readonly {
        readonly number: number;
        readonly toPayMinor: number;
        readonly paidMinor: number;
        readonly currency: string;
      }[]
    > =>
      db
        .select({
          number: tickets.number,
          toPayMinor: sql<number>`${tickets.toPayMinor}`,
          paidMinor: tickets.paidMinor,
          currency: jobCurrency(workshopId),
        })
        .from(tickets)
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            eq(rackets.clientId, clientId),
            isNotNull(tickets.closedAt),
            // As the index has it.
            lt(tickets.paidMinor, tickets.toPayMinor),
          ),
        )
        .orderBy(asc(tickets.number)),

    /** What is owed by client and currency, the most first. */
    async owed(limit: number): Promise<
      readonly {
        readonly clientId: string;
        readonly clientName: string;
        readonly jobs: number;
        readonly owedMinor: number;
        readonly currency: string;
      }[]
    > {
      // What is open is little beside all that was ever done: each is looked up, nothing is joined as a whole.
      const open = db
        .select({
          clientId:
            sql<string>`(select client_id from rackets where rackets.workshop_id = tickets.workshop_id and rackets.id = tickets.racket_id)`.as(
              'client_id',
            ),
          openMinor: sql<number>`${tickets.toPayMinor} - ${tickets.paidMinor}`.as('open_minor'),
          currency: sql<string>`${jobCurrency(workshopId)}`.as('currency'),
        })
        .from(tickets)
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            isNotNull(tickets.closedAt),
            lt(tickets.paidMinor, tickets.toPayMinor),
          ),
        )
        .as('open');
      const name = sql<string>`(select name from clients where clients.id = open.client_id)`;
      return db
        .select({
          clientId: open.clientId,
          clientName: name.as('client_name'),
          jobs: sql<number>`count(*)::int`,
          owedMinor: sql<number>`sum(${open.openMinor})`.mapWith(Number),
          currency: open.currency,
        })
        .from(open)
        .groupBy(open.clientId, open.currency)
        .orderBy(sql`4 desc`, sql`2`)
        .limit(limit);
    },
  };
}
