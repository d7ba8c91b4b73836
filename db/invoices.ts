import { aliasedTable, and, asc, desc, eq, gte, inArray, isNull, lte, ne, sql } from 'drizzle-orm';
import { jobPriceSchema, totalsOf } from '@/core/counter/price';
import { afterCrediting } from '@/core/papers/payment';
import {
  creditFor,
  invoiceTotals,
  partCreditFor,
  partsOfJobs,
  withoutBilled,
  type BilledLines,
  type Invoice,
} from '@/core/papers/invoice';
import type { Connection } from './connection';
import { invoiceJobs, invoices } from './papers-schema';
import { clients } from './racket-schema';
import { ticketsOfClient } from './ticket-client';
import { tickets } from './ticket-schema';
import { workshops } from './workshop-schema';

export type IssuedInvoice = typeof invoices.$inferSelect & {
  /** The credit note that took back what was left of it; null while any of it stands. */
  readonly takenBackBy: number | null;
  /** What credit notes have taken back of it. */
  readonly creditedMinor: number;
};

/** Why nothing was issued. */
export type NotIssued =
  | { readonly why: 'on an invoice'; readonly job: number; readonly invoice: number }
  | { readonly why: 'taken back' }
  | { readonly why: 'another by this press'; readonly invoice: number }
  | { readonly why: 'more than is left'; readonly leftMinor: number }
  | { readonly why: 'no invoice' };

export type Issued = { readonly number: number } | NotIssued;

/** The invoices of one workshop: added to, and never changed. */
export function invoicesOf(db: Connection, workshopId: string) {
  const mine = eq(invoices.workshopId, workshopId);
  const note = aliasedTable(invoices, 'note');
  const creditedMinor =
    sql<number>`(select coalesce(sum(part.total_minor), 0) from invoices part where part.reverses_id = "invoices"."id")`.mapWith(
      Number,
    );
  /** All of it was taken back. */
  const isTaken = sql`${creditedMinor} >= "invoices"."total_minor" and "invoices"."total_minor" > 0 or exists (select from invoices part where part.reverses_id = "invoices"."id" and "invoices"."total_minor" = 0)`;
  const takenBackBy = sql<
    number | null
  >`case when ${isTaken} then (select max(part.number) from invoices part where part.reverses_id = "invoices"."id") end`;
  const issued = () => db.select({ invoice: invoices, takenBackBy, creditedMinor }).from(invoices);
  const flat = (row: Awaited<ReturnType<typeof issued>>[number]): IssuedInvoice => ({
    ...row.invoice,
    takenBackBy: row.takenBackBy,
    creditedMinor: row.creditedMinor,
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

  /** How many lines of each job stand on invoices that nobody has taken back, and on which. */
  async function billed(
    ticketIds: readonly string[],
  ): Promise<readonly (BilledLines & { readonly invoice: number })[]> {
    const rows = await db
      .select({ job: tickets.number, invoice: invoices.number, paper: invoices.paper })
      .from(invoiceJobs)
      .innerJoin(invoices, eq(invoices.id, invoiceJobs.invoiceId))
      .innerJoin(tickets, eq(tickets.id, invoiceJobs.ticketId))
      .where(
        and(
          mine,
          inArray(invoiceJobs.ticketId, [...ticketIds]),
          eq(invoices.kind, 'invoice'),
          sql`not (${isTaken})`,
        ),
      )
      .orderBy(asc(invoices.number));
    return rows.map(({ job, invoice, paper }) => ({
      job,
      invoice,
      lines: paper.lines.filter((line) => line.job === job).length,
    }));
  }

  /** Lowers what a job is to be paid by what was taken back of its invoices, where giving back has not lowered it already. */
  async function lower(ticketId: string): Promise<void> {
    const ofTicket = and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId));
    const [job] = await db
      .select({
        number: tickets.number,
        toPayMinor: tickets.toPayMinor,
        price: sql`${tickets.record} -> 'price'`,
      })
      .from(tickets)
      .where(ofTicket);
    const price = jobPriceSchema.nullable().parse(job?.price ?? null);
    if (!job || job.toPayMinor === null || !price) return;
    const parts = await db
      .select({ paper: invoices.paper, partMinor: note.totalMinor })
      .from(invoices)
      .innerJoin(invoiceJobs, eq(invoiceJobs.invoiceId, invoices.id))
      // One that took its invoice back as a whole lowered nothing: the job can be invoiced again.
      .innerJoin(
        note,
        and(eq(note.reversesId, invoices.id), ne(note.totalMinor, invoices.totalMinor)),
      )
      .where(and(mine, eq(invoiceJobs.ticketId, ticketId)));
    const creditedMinor = parts
      .flatMap(({ paper, partMinor }) => partsOfJobs(paper, partMinor))
      .filter((part) => part.job === job.number)
      .reduce((sum, { minor }) => sum + minor, 0);
    const { toPayMinor } = job;
    const pricedMinor = totalsOf(price.lines, price.taxIncluded).grossMinor;
    await db
      .update(tickets)
      .set({ toPayMinor: afterCrediting({ toPayMinor, pricedMinor, creditedMinor }) })
      .where(ofTicket);
  }

  return {
    byId,

    async byNumber(number: number): Promise<IssuedInvoice | undefined> {
      const [row] = await issued().where(and(mine, eq(invoices.number, number)));
      return row && flat(row);
    },

    /**
     * Issues an invoice over some jobs, with what of each stands on none yet; the same form sent twice issues one. Call it
     * inside a transaction, and undo that one where nothing is issued.
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
        const jobs = (await this.jobsOn(id)).map(({ ticketId }) => ticketId);
        const isSame =
          before.kind === 'invoice' &&
          jobs.length === ticketIds.length &&
          ticketIds.every((each) => jobs.includes(each));
        return isSame
          ? { number: before.number }
          : { why: 'another by this press', invoice: before.number };
      }
      const already = await billed(ticketIds);
      const paper = withoutBilled(paperOf(number), already);
      const other = already.find(({ job }) => !paper.lines.some((line) => line.job === job));
      if (other) return { why: 'on an invoice', job: other.job, invoice: other.invoice };
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

    /**
     * Takes an invoice back, as a whole or a part of it; a part lowers what its jobs are to be paid. Call it like `issue`.
     *
     * @param partMinor what is taken back, tax and all; undefined takes back all that is left
     */
    async credit(
      id: string,
      personId: string,
      of: number,
      day: string,
      why: string,
      partMinor?: number,
    ): Promise<Issued> {
      const number = await nextNumber();
      const before = await byId(id);
      const invoice = await this.byNumber(of);
      if (before) {
        await giveBack();
        const isSame =
          before.reversesId === invoice?.id &&
          (partMinor === undefined || Math.abs(before.totalMinor) === partMinor);
        return isSame
          ? { number: before.number }
          : { why: 'another by this press', invoice: before.number };
      }
      if (invoice?.kind !== 'invoice') return { why: 'no invoice' };
      if (invoice.takenBackBy !== null) return { why: 'taken back' };
      const leftMinor = invoice.totalMinor - invoice.creditedMinor;
      if (partMinor !== undefined && partMinor > leftMinor)
        return { why: 'more than is left', leftMinor };
      const head = { number, day, why };
      const isWhole = invoice.creditedMinor === 0 && (partMinor ?? leftMinor) === leftMinor;
      const paper = isWhole
        ? creditFor(invoice.paper, head)
        : partCreditFor(invoice.paper, head, partMinor ?? leftMinor);
      await db.insert(invoices).values({
        id,
        workshopId,
        personId,
        clientId: invoice.clientId,
        number,
        day,
        kind: 'credit note',
        totalMinor: invoiceTotals(paper).grossMinor,
        reversesId: invoice.id,
        paper,
      });
      if (!isWhole) for (const { ticketId } of await this.jobsOn(invoice.id)) await lower(ticketId);
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

    /** The jobs that stand on an invoice, or on the one that a credit note takes back. */
    async jobsOn(invoiceId: string): Promise<readonly { ticketId: string; number: number }[]> {
      return db
        .select({ ticketId: invoiceJobs.ticketId, number: tickets.number })
        .from(invoiceJobs)
        .innerJoin(tickets, eq(tickets.id, invoiceJobs.ticketId))
        .innerJoin(invoices, eq(invoices.id, invoiceId))
        .where(
          and(
            mine,
            eq(invoiceJobs.workshopId, workshopId),
            eq(invoiceJobs.invoiceId, sql`coalesce(${invoices.reversesId}, ${invoices.id})`),
          ),
        )
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
        .select({ invoice: invoices, takenBackBy, creditedMinor, clientName: clients.name })
        .from(invoices)
        .innerJoin(clients, eq(clients.id, invoices.clientId))
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
          and ${tickets.id} in ${ticketsOfClient(workshopId, clientId)}
          and not exists (
            select 1 from ${invoiceJobs} join ${invoices} on ${invoices.id} = ${invoiceJobs.invoiceId}
            where ${invoiceJobs.ticketId} = ${tickets.id} and ${invoices.kind} = 'invoice' and not (${isTaken})
            having count(*) > 0 and coalesce(sum((select count(*) from jsonb_array_elements(${invoices.paper} -> 'lines') line
              where (line ->> 'job')::int = ${tickets.number})), 0) >= coalesce(jsonb_array_length(${tickets.record} -> 'price' -> 'lines'), 0))
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
