import { and, asc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import type { JobPrice } from '@/core/counter/price';
import { jobPriceSchema } from '@/core/counter/price';
import { invoiceSchema, type Invoice } from '@/core/papers/invoice';
import {
  afterGivingBack,
  rateShares,
  type DayPayment,
  type PaymentKind,
  type PayWay,
} from '@/core/papers/payment';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { invoiceJobs, invoices, payments } from './papers-schema';
import { jobCurrency } from './jobs';
import { clients, rackets } from './racket-schema';
import { clientOfTicket, nameOfTicketsClient, ticketsOfClient } from './ticket-client';
import { tickets } from './ticket-schema';

export interface KeptPayment {
  readonly id: string;
  readonly day: string;
  readonly way: PayWay;
  readonly kind: PaymentKind;
  readonly amountMinor: number;
  readonly note: string;
  readonly who: string | null;
}

export interface NewPayment {
  readonly id: string;
  readonly ticketId: string;
  readonly day: string;
  readonly way: PayWay;
  readonly kind: PaymentKind;
  readonly amountMinor: number;
  readonly note: string;
}

/** Why a payment was not kept. */
export type NotKept =
  | { readonly why: 'more than was paid'; readonly paidMinor: number }
  | { readonly why: 'more than is owed'; readonly owedMinor: number }
  | { readonly why: 'more credit than there is'; readonly creditMinor: number };

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
          kind: payments.kind,
          amountMinor: payments.amountMinor,
          note: payments.note,
          who: people.name,
        })
        .from(payments)
        .leftJoin(people, eq(people.id, payments.personId))
        .where(and(mine, eq(payments.ticketId, ticketId)))
        .orderBy(asc(payments.at), asc(payments.id)),

    /**
     * Keeps a payment under an id made by its form, and what its job is paid by and to be paid now. Call it inside a
     * transaction: the row of the job is held meanwhile, so that two at once add up. More than was paid is not given back,
     * more than is owed not taken, and no more credit used than there is: it answers with what there was.
     */
    async add(personId: string, payment: NewPayment): Promise<'kept' | 'known' | NotKept> {
      const { kind, way, amountMinor, ticketId } = payment;
      const ofTicket = and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId));
      const [job] = await db
        .select({
          paidMinor: tickets.paidMinor,
          toPayMinor: tickets.toPayMinor,
          racketId: tickets.racketId,
        })
        .from(tickets)
        .where(ofTicket)
        .for('update');
      const [known] = await db
        .select({ id: payments.id })
        .from(payments)
        .where(and(mine, eq(payments.id, payment.id)));
      if (known) return 'known';
      const balance = { paidMinor: job?.paidMinor ?? 0, toPayMinor: job?.toPayMinor ?? 0 };
      const owedMinor = Math.max(0, balance.toPayMinor - balance.paidMinor);
      if (amountMinor < 0 && balance.paidMinor + amountMinor < 0)
        return { why: 'more than was paid', paidMinor: balance.paidMinor };
      if (kind === 'paid' && amountMinor > owedMinor)
        return { why: 'more than is owed', owedMinor };
      if (kind === 'paid' && way === 'credit') {
        const creditMinor = await this.creditOf(ticketId);
        if (amountMinor > creditMinor) return { why: 'more credit than there is', creditMinor };
      }
      const { rowCount } = await db
        .insert(payments)
        .values({ ...payment, workshopId, personId })
        .onConflictDoNothing();
      if (!rowCount) return 'known';
      if (kind === 'tip' || kind === 'credit') return 'kept';
      const after =
        kind === 'given back'
          ? afterGivingBack(balance, -amountMinor)
          : { ...balance, paidMinor: balance.paidMinor + amountMinor };
      await db
        .update(tickets)
        .set({
          paidMinor: after.paidMinor,
          ...(job?.toPayMinor !== null &&
            job?.toPayMinor !== undefined && { toPayMinor: after.toPayMinor }),
        })
        .where(ofTicket);
      return 'kept';
    },

    /** What the client of a ticket has left with the house for a next job, and has not used. */
    async creditOf(ticketId: string): Promise<number> {
      const [client] = await db
        .select({ id: clientOfTicket })
        .from(tickets)
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId)));
      if (!client) return 0;
      const [row] = await db
        .select({
          minor:
            sql<number>`coalesce(sum(case when ${payments.kind} = 'credit' then ${payments.amountMinor} else 0 end)
            - sum(case when ${payments.way} = 'credit' and ${payments.kind} <> 'credit' then ${payments.amountMinor} else 0 end), 0)`.mapWith(
              Number,
            ),
        })
        .from(payments)
        .where(and(mine, sql`${payments.ticketId} in ${ticketsOfClient(workshopId, client.id)}`));
      return row?.minor ?? 0;
    },

    /** Payments between two days of the workshop's clock, in the order in which they came. */
    async between(from: string, to: string): Promise<BookedPayment[]> {
      const rows = await db
        .select({
          id: payments.id,
          day: payments.day,
          way: payments.way,
          kind: payments.kind,
          amountMinor: payments.amountMinor,
          note: payments.note,
          job: tickets.number,
          clientName: nameOfTicketsClient,
          currency: jobCurrency(workshopId),
          toPayMinor: sql<number>`coalesce(${tickets.toPayMinor}, 0)`.mapWith(Number),
          price: sql<JobPrice | null>`${tickets.record} -> 'price'`.mapWith((stored: unknown) =>
            jobPriceSchema.nullable().parse(stored),
          ),
          beforeMinor:
            sql<number>`(select coalesce(sum(earlier.amount_minor), 0) from ${payments} earlier
            where earlier.ticket_id = ${payments.ticketId} and earlier.kind not in ('tip', 'credit')
            and (earlier.at, earlier.id) < (${payments.at}, ${payments.id}))`.mapWith(Number),
          invoice:
            sql<Invoice | null>`(select standing.paper from ${invoices} standing join ${invoiceJobs} on ${invoiceJobs.invoiceId} = standing.id
            where ${invoiceJobs.ticketId} = ${payments.ticketId} and standing.kind = 'invoice'
            and (select coalesce(sum(taken.total_minor), 0) from ${invoices} taken where taken.reverses_id = standing.id) < standing.total_minor
            order by standing.number limit 1)`.mapWith((stored: unknown) =>
              invoiceSchema.nullable().parse(stored),
            ),
        })
        .from(payments)
        .innerJoin(tickets, eq(tickets.id, payments.ticketId))
        .innerJoin(rackets, eq(rackets.id, tickets.racketId))
        .innerJoin(clients, eq(clients.id, rackets.clientId))
        .where(and(mine, sql`${payments.day} between ${from}::date and ${to}::date`))
        .orderBy(asc(payments.day), asc(payments.at), asc(payments.id));
      return rows.map(({ price, invoice, toPayMinor, ...payment }) => ({
        ...payment,
        shares: rateShares(price ?? undefined, payment.job, toPayMinor, invoice ?? undefined),
      }));
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
          toPayMinor: sql<number>`${tickets.toPayMinor}`.mapWith(Number),
          paidMinor: tickets.paidMinor,
          currency: jobCurrency(workshopId),
        })
        .from(tickets)
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            sql`${tickets.id} in ${ticketsOfClient(workshopId, clientId)}`,
            isNotNull(tickets.closedAt),
            // As the index has it.
            sql`${tickets.jobOwing}`,
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
            sql<string>`coalesce(client_now(tickets.strung_for), (select client_id from rackets where rackets.workshop_id = tickets.workshop_id and rackets.id = tickets.racket_id))`.as(
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
            sql`${tickets.jobOwing}`,
          ),
        )
        .as('open');
      const sums = await db
        .select({
          clientId: open.clientId,
          jobs: sql<number>`count(*)::int`,
          owedMinor: sql<number>`sum(${open.openMinor})`.mapWith(Number),
          currency: open.currency,
        })
        .from(open)
        .groupBy(open.clientId, open.currency)
        .orderBy(sql`3 desc`)
        .limit(limit);
      // By themselves: joined to what a function makes of a row, all clients would be read.
      const names = await db
        .select({ id: clients.id, name: clients.name })
        .from(clients)
        .where(
          and(
            eq(clients.workshopId, workshopId),
            inArray(
              clients.id,
              sums.map(({ clientId }) => clientId),
            ),
          ),
        );
      const nameOf = new Map(names.map(({ id, name }) => [id, name]));
      return sums
        .map((sum) => ({ ...sum, clientName: nameOf.get(sum.clientId) ?? '' }))
        .toSorted(
          (one, two) =>
            two.owedMinor - one.owedMinor || one.clientName.localeCompare(two.clientName),
        );
    },
  };
}
