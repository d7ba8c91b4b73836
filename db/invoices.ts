import { and, asc, desc, eq, gte, inArray, isNull, lte, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { creditFor, invoiceTotals, type Invoice } from '@/core/papers/invoice';
import type { Connection } from './connection';
import { invoiceJobs, invoices } from './papers-schema';
import { clients, tickets, workshops } from './schema';

export type IssuedInvoice = typeof invoices.$inferSelect & {
  /** The credit note that took it back. */
  readonly takenBackBy: number | null;
};

/** Why nothing was issued. */
export type NotIssued =
  | { readonly why: 'on an invoice'; readonly job: number; readonly invoice: number }
  | { readonly why: 'taken back' }
  | { readonly why: 'no invoice' };

export type Issued = { readonly number: number } | NotIssued;

/** The invoices of one workshop: added to, and never changed. */
export function invoicesOf(db: Connection, workshopId: string) {
  const mine = eq(invoices.workshopId, workshopId);
  const reversal = alias(invoices, 'reversal');
  const issued = () =>
    db
      .select({ invoice: invoices, takenBackBy: reversal.number })
      .from(invoices)
      .leftJoin(reversal, eq(reversal.reversesId, invoices.id));
  const flat = (row: Awaited<ReturnType<typeof issued>>[number]): IssuedInvoice => ({
    ...row.invoice,
    takenBackBy: row.takenBackBy,
  });

  /**
   * The next number. It stands in the row of the workshop, which is held until the transaction ends: a second
   * counter waits here, and one that fails gives its number back, so that none is ever left out.
   */
  async function nextNumber(): Promise<number> {
    const [row] = await db
      .update(workshops)
      .set({ nextInvoice: sql`${workshops.nextInvoice} + 1` })
      .where(eq(workshops.id, workshopId))
      .returning({ next: workshops.nextInvoice });
    return (row?.next ?? 2) - 1;
  }

  async function byId(id: string): Promise<IssuedInvoice | undefined> {
    const [row] = await issued().where(and(mine, eq(invoices.id, id)));
    return row && flat(row);
  }

  /** The invoice that a job stands on and that nobody has taken back. */
  async function standing(ticketIds: readonly string[]) {
    const [row] = await db
      .select({ job: tickets.number, invoice: invoices.number })
      .from(invoiceJobs)
      .innerJoin(invoices, eq(invoices.id, invoiceJobs.invoiceId))
      .innerJoin(tickets, eq(tickets.id, invoiceJobs.ticketId))
      .where(
        and(
          mine,
          inArray(invoiceJobs.ticketId, [...ticketIds]),
          eq(invoices.kind, 'invoice'),
          notExists(
            db
              .select({ one: sql`1` })
              .from(reversal)
              .where(eq(reversal.reversesId, invoices.id)),
          ),
        ),
      );
    return row;
  }

  return {
    byId,

    async byNumber(number: number): Promise<IssuedInvoice | undefined> {
      const [row] = await issued().where(and(mine, eq(invoices.number, number)));
      return row && flat(row);
    },

    /**
     * Issues an invoice over some jobs; the same form sent twice issues one. Call it inside a transaction, and undo
     * that one where nothing is issued.
     */
    async issue(
      id: string,
      personId: string,
      clientId: string,
      ticketIds: readonly string[],
      paperOf: (number: number) => Invoice,
    ): Promise<Issued> {
      const number = await nextNumber();
      // Now that nobody else issues: a form that was sent twice finds the first, and its number goes back.
      const before = await byId(id);
      if (before) {
        await giveBack();
        return { number: before.number };
      }
      const other = await standing(ticketIds);
      if (other) return { why: 'on an invoice', ...other };
      const paper = paperOf(number);
      await db.insert(invoices).values({
        id,
        workshopId,
        personId,
        clientId,
        number,
        day: paper.day,
        kind: 'invoice',
        totalMinor: invoiceTotals(paper).grossMinor,
        paper,
      });
      await db
        .insert(invoiceJobs)
        .values(ticketIds.map((ticketId) => ({ workshopId, invoiceId: id, ticketId })));
      return { number };
    },

    /** Takes an invoice back as a whole. Call it like `issue`. */
    async credit(
      id: string,
      personId: string,
      of: number,
      day: string,
      why: string,
    ): Promise<Issued> {
      const number = await nextNumber();
      const before = await byId(id);
      const invoice = await this.byNumber(of);
      if (before) {
        await giveBack();
        return { number: before.number };
      }
      if (invoice?.kind !== 'invoice') return { why: 'no invoice' };
      if (invoice.takenBackBy !== null) return { why: 'taken back' };
      const paper = creditFor(invoice.paper, { number, day, why });
      await db.insert(invoices).values({
        id,
        workshopId,
        personId,
        clientId: invoice.clientId,
        number,
        day,
        kind: 'credit note',
        totalMinor: invoice.totalMinor,
        reversesId: invoice.id,
        paper,
      });
      return { number };
    },

    /** What was issued over a job, the first one first. */
    async ofTicket(ticketId: string): Promise<IssuedInvoice[]> {
      const rows = await issued()
        .innerJoin(invoiceJobs, eq(invoiceJobs.invoiceId, invoices.id))
        .where(and(mine, eq(invoiceJobs.ticketId, ticketId)))
        .orderBy(asc(invoices.number));
      return rows.map(flat);
    },

    /** The jobs that stand on an invoice. */
    async jobsOn(invoiceId: string): Promise<readonly { ticketId: string; number: number }[]> {
      return db
        .select({ ticketId: invoiceJobs.ticketId, number: tickets.number })
        .from(invoiceJobs)
        .innerJoin(tickets, eq(tickets.id, invoiceJobs.ticketId))
        .where(and(eq(invoiceJobs.workshopId, workshopId), eq(invoiceJobs.invoiceId, invoiceId)))
        .orderBy(asc(tickets.number));
    },

    /** Invoices and credit notes between two days, the latest first. */
    async between(
      from: string,
      to: string,
      limit: number,
    ): Promise<
      readonly (IssuedInvoice & { readonly clientName: string; readonly currency: string })[]
    > {
      const rows = await db
        .select({ invoice: invoices, takenBackBy: reversal.number, clientName: clients.name })
        .from(invoices)
        .innerJoin(clients, eq(clients.id, invoices.clientId))
        .leftJoin(reversal, eq(reversal.reversesId, invoices.id))
        .where(and(mine, gte(invoices.day, from), lte(invoices.day, to)))
        .orderBy(desc(invoices.number))
        .limit(limit);
      return rows.map((row) => ({
        ...flat(row),
        clientName: row.clientName,
        currency: row.invoice.paper.currency,
      }));
    },

    /** Closed jobs of a client that stand on no invoice, the earliest first. */
    async openJobs(clientId: string): Promise<readonly number[]> {
      const rows = await db.execute<{ number: number }>(sql`
        select ${tickets.number} as number from ${tickets}
        where ${tickets.workshopId} = ${workshopId} and ${tickets.closedAt} is not null and ${tickets.toPayMinor} is not null
          and ${isNull(tickets.removedAt)}
          and ${tickets.racketId} in (select id from rackets where workshop_id = ${workshopId} and client_id = ${clientId})
          and not exists (
            select 1 from ${invoiceJobs} join ${invoices} on ${invoices.id} = ${invoiceJobs.invoiceId}
            where ${invoiceJobs.ticketId} = ${tickets.id} and ${invoices.kind} = 'invoice'
              and not exists (select 1 from invoices taken where taken.reverses_id = ${invoices.id}))
        order by ${tickets.number}`);
      return rows.rows.map(({ number }) => number);
    },
  };

  async function giveBack(): Promise<void> {
    await db
      .update(workshops)
      .set({ nextInvoice: sql`${workshops.nextInvoice} - 1` })
      .where(eq(workshops.id, workshopId));
  }
}
