'use server';

import { z } from 'zod';
import { action, entryOf, rowId, ticketNumber } from '@/app/action';
import { misread, refused, Undone, wholly } from '@/app/answers';
import { dayAt } from '@/core/measure/promised-time';
import { areBilledAlike, invoiceFor, type BilledJob } from '@/core/papers/invoice';
import type { JobPrice } from '@/core/counter/price';
import type { ListedTicket } from '@/db/tickets';
import type { NotIssued } from '@/db/invoices';
import type { FormAnswer } from '@/ui/form/result';
import { creditSchema, type CreditEntry } from './invoice-entry';

const NOT_ISSUED: Readonly<Record<NotIssued['why'], (not: NotIssued) => string>> = {
  'on an invoice': (not) =>
    not.why === 'on an invoice'
      ? `Job ${not.job} stands on invoice ${not.invoice} already. Nothing was issued.`
      : '',
  'another by this press': (not) =>
    not.why === 'another by this press'
      ? `The press before issued number ${not.invoice}, over something else. Look at that one, reload, and press again if this is wanted too. Nothing was issued.`
      : '',
  'taken back': () => 'This invoice was taken back already. Nothing was issued.',
  'more than is left': () =>
    'That is more than what of this invoice was not taken back yet. Nothing was issued.',
  'no invoice': () => 'There is no such invoice. Nothing was issued.',
};

/** Issues an invoice over closed jobs of one client. The numbers have no gaps, also with two counters at once. */
export const issueInvoice = action(
  'issue invoices',
  refused,
  [rowId, z.array(ticketNumber).min(1).max(50)],
  async ({ together, workshop, person }, id, numbers): Promise<FormAnswer> =>
    wholly(() =>
      together(async ({ tickets, clients, invoices }) => {
        const closed: { ticket: ListedTicket; price: JobPrice }[] = [];
        // One after the other: a transaction has one connection.
        for (const number of numbers) {
          const ticket = await tickets.get(number);
          if (ticket?.record?.price) closed.push({ ticket, price: ticket.record.price });
        }
        const [first, ...others] = closed;
        if (!first || closed.length < numbers.length)
          return refused(
            'One of these jobs has no price line by line: it was closed before they were kept, or it is not closed. Nothing was issued.',
          );
        const { clientId } = first.ticket;
        if (others.some(({ ticket }) => ticket.clientId !== clientId))
          return refused('These jobs are of more than one client. Nothing was issued.');
        const billed = ({ ticket, price }: typeof first): BilledJob => ({
          number: ticket.number,
          racket: ticket.record?.racket.frameName ?? '',
          price,
        });
        const jobs: readonly [BilledJob, ...BilledJob[]] = [billed(first), ...others.map(billed)];
        if (!areBilledAlike(jobs))
          return refused(
            'These jobs are priced in different currencies or ways: put them on an invoice each. Nothing was issued.',
          );
        const client = await clients.get(clientId);
        const day = dayAt(new Date(), workshop.timeZone);
        const issued = await invoices.issue(
          id,
          person.id,
          clientId,
          closed.map(({ ticket }) => ticket.id),
          (number) =>
            invoiceFor(
              {
                number,
                day,
                locale: workshop.locale,
                from: {
                  name: workshop.name,
                  address: workshop.address,
                  country: workshop.country,
                  taxNumber: workshop.taxNumber,
                },
                to: {
                  name: client?.name ?? first.ticket.clientName,
                  address: client?.address ?? '',
                },
              },
              jobs,
            ),
        );
        if ('why' in issued) throw new Undone(refused(NOT_ISSUED[issued.why](issued)));
        return { ok: true, go: `/invoices/${issued.number}` };
      }),
    ),
);

/** Takes an invoice back by a credit note of its own number. */
export const creditInvoice = action(
  'give money back',
  refused,
  [rowId, ticketNumber, entryOf<CreditEntry>()],
  async ({ together, invoices: issuedOnes, workshop, person }, id, number, typed) => {
    const of = await issuedOnes.byNumber(number);
    const read = creditSchema(of?.paper.currency ?? workshop.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const day = dayAt(new Date(), workshop.timeZone);
    return wholly(() =>
      together(async ({ invoices }) => {
        const { why, amount } = read.data;
        const issued = await invoices.credit(id, person.id, number, day, why, amount ?? undefined);
        if ('why' in issued) throw new Undone(refused(NOT_ISSUED[issued.why](issued)));
        return { ok: true, go: `/invoices/${issued.number}` };
      }),
    );
  },
);
