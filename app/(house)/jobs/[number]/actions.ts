'use server';

import { z } from 'zod';
import { action, entryOf, rowId, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused, said, Undone, wholly } from '@/app/answers';
import { refusalFor } from '@/app/workshop-stamp';
import { totalsOf } from '@/core/counter/price';
import type { KeptPayment, NotKept } from '@/db/payments';
import { idFrom } from '@/app/id-from';
import { putInOutbox, sendSoon } from '@/app/outbox';
import { correctionSchema } from '@/app/(house)/tickets/[number]/life/life-entry';
import { formatMoney } from '@/core/measure/money';
import { dayAt, formatDayIn } from '@/core/measure/promised-time';
import { MESSAGE_KINDS } from '@/core/papers/messages';
import type { FormAnswer } from '@/ui/form/result';
import { lineSchema, voidSchema, type LineEntry, type VoidEntry } from './amend-entry';
import { paymentSchema, type PaymentEntry } from './payment-entry';

const NOT_CLOSED = 'There is no closed job of this number.';

/** Adds to a closed record, beside what stands there. */
export const correctRecord = action(
  'correct a record',
  refused,
  [ticketNumber, rowId, z.object({ text: z.string() })],
  async ({ tickets, person }, number, id, typed): Promise<FormAnswer> => {
    const read = correctionSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    const ticket = await tickets.get(number);
    if (!ticket?.closedAt) return refused(NOT_CLOSED);
    await tickets.correct(ticket.id, id, person.id, read.data.text);
    return { ok: true };
  },
);

/** Keeps a payment of a job; what was paid is only ever added to. */
export const takePayment = action(
  'take payments',
  refused,
  [ticketNumber, rowId, entryOf<PaymentEntry>()],
  async (open, number, id, typed): Promise<FormAnswer> => {
    const { tickets, together, person, workshop } = open;
    const ticket = await tickets.get(number);
    if (!ticket?.record) return refused(NOT_CLOSED);
    const currency = ticket.record.price?.currency ?? workshop.currency;
    const read = paymentSchema(currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const { amount, way, day, kind, over, note } = read.data;
    const notNow = kind === 'paid' ? undefined : refusalFor(open, 'give money back');
    if (notNow) return refused(notNow);
    if (day > dayAt(new Date(), workshop.timeZone))
      return { ok: false, problems: { day: 'That day is still to come.' } };
    if (ticket.toPayMinor === null)
      return refused('Payment was not kept yet when this job was closed. Nothing was saved.');
    const money = (minor: number) => formatMoney(minor, currency, workshop.locale);
    /** A press belongs to what it was pressed on: the same one again is answered so, another is told what the first kept. */
    const answerToBefore = (payments: readonly KeptPayment[]): FormAnswer | undefined => {
      const sent = payments.filter((each) => [id, idFrom(id, 1)].includes(each.id));
      const before = sent[0];
      if (!before) return undefined;
      const minor = Math.abs(sent.reduce((sum, { amountMinor }) => sum + amountMinor, 0));
      const isSame =
        before.kind === kind &&
        before.way === way &&
        before.day === day &&
        (minor === amount || before.note.startsWith(`of ${money(amount)}, `));
      return isSame
        ? { ok: true }
        : refused(
            `The press before kept ${money(minor)} by ${before.way}, ${before.kind}. ${money(amount)} by ${way}, ${kind}, is not kept: reload, look at the payments, and press again if it is another one.`,
          );
    };
    const before = answerToBefore(await open.payments.ofTicket(ticket.id));
    if (before) return before;
    const owedMinor = Math.max(0, ticket.toPayMinor - ticket.paidMinor);
    const overMinor = kind === 'paid' ? Math.max(0, amount - owedMinor) : 0;
    if (overMinor > 0 && over === '')
      return {
        ok: false,
        problems: {
          over: `${money(amount)} is ${money(overMinor)} more than is owed. Say what becomes of it, or write what was paid.`,
        },
      };
    if (overMinor > 0 && over !== 'change' && way === 'credit')
      return { ok: false, problems: { over: 'What was left here before can only be paid with.' } };
    const change = overMinor > 0 && over === 'change';
    const withChange = change ? `of ${money(amount)}, ${money(overMinor)} change` : '';
    const payment = { ticketId: ticket.id, day, way };
    const forJob = kind === 'paid' ? amount - overMinor : -amount;
    let isSecond = false;
    const kept = await wholly(() =>
      together(async ({ payments }): Promise<FormAnswer> => {
        if (forJob !== 0) {
          const said = [withChange, note].filter(Boolean).join('; ');
          const one = { ...payment, id, kind, amountMinor: forJob, note: said };
          const answer = await payments.add(person.id, one);
          if (typeof answer === 'object') throw new Undone(notKept(answer, money));
          if (answer === 'known') {
            // Another press with this key was quicker by a moment.
            isSecond = true;
            return answerToBefore(await payments.ofTicket(ticket.id)) ?? { ok: true };
          }
        }
        if (overMinor > 0 && over !== '' && over !== 'change')
          await payments.add(person.id, {
            ...payment,
            id: forJob === 0 ? id : idFrom(id, 1),
            kind: over,
            amountMinor: overMinor,
            note,
          });
        return { ok: true };
      }),
    );
    if (kept.ok && forJob > 0 && !isSecond) {
      await putInOutbox(open, number, 'receipt', {
        about: id,
        values: { paid: money(forJob), way, day: formatDayIn(day, workshop.locale) },
      });
      sendSoon(open);
    }
    return kept;
  },
);

function notKept(answer: NotKept, money: (minor: number) => string): FormAnswer {
  switch (answer.why) {
    case 'more than was paid':
      return {
        ok: false,
        problems: {
          amount: `Only ${money(answer.paidMinor)} was paid for this job: no more can be given back.`,
        },
      };
    case 'more than is owed':
      return {
        ok: false,
        problems: {
          over: `By now ${money(answer.owedMinor)} is owed: somebody took a payment meanwhile. Look again.`,
        },
      };
    case 'more credit than there is':
      return {
        ok: false,
        problems: { amount: `They have ${money(answer.creditMinor)} left here: write no more.` },
      };
  }
}

/** Voids a job that was closed wrongly: it owes nothing and counts nowhere, and stays to be read. */
export const voidJob = action(
  'void jobs',
  refused,
  [ticketNumber, rowVersion, entryOf<VoidEntry>()],
  async ({ together, person }, number, version, typed): Promise<FormAnswer> => {
    const read = voidSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return wholly(() =>
      together(async ({ tickets, invoices, shelf }): Promise<FormAnswer> => {
        const ticket = await tickets.get(number);
        if (!ticket?.closedAt) throw new Undone(refused(NOT_CLOSED));
        const standing = (await invoices.ofTicket(ticket.id)).find(
          ({ kind, takenBackBy }) => kind === 'invoice' && takenBackBy === null,
        );
        if (standing)
          throw new Undone(
            refused(
              `It stands on invoice ${standing.number}: take that back by a credit note first. Nothing was voided.`,
            ),
          );
        const saved = await tickets.voidJob(number, version, read.data.why);
        if (saved !== 'saved') throw new Undone(answerTo(saved, 'ticket'));
        if (read.data.string === 'back') await shelf.undoCutsFor(person.id, ticket.id);
        return { ok: true };
      }),
    );
  },
);

/** A line that was forgotten when a job was closed; it is invoiced by itself where the others are already. */
export const addLine = action(
  'correct a record',
  refused,
  [ticketNumber, rowVersion, entryOf<LineEntry>()],
  async (open, number, version, typed): Promise<FormAnswer> => {
    const { tickets } = open;
    const ticket = await tickets.get(number);
    const price = ticket?.record?.price;
    if (!ticket?.closedAt || ticket.toPayMinor === null || !price)
      return refused('This job has no price line by line, so none can be added.');
    const read = lineSchema(price.currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const { text, amount, tax } = read.data;
    const line = {
      what: 'extra' as const,
      text,
      quantity: 1,
      unitMinor: amount,
      taxBp: tax,
    };
    // What was given back or credited meanwhile stays so.
    const lowered = totalsOf(price.lines, price.taxIncluded).grossMinor - ticket.toPayMinor;
    const toPay = totalsOf([...price.lines, line], price.taxIncluded).grossMinor - lowered;
    return answerTo(await tickets.addLine(number, version, line, toPay), 'ticket');
  },
);

/** Its owner has taken it home. */
export const collect = action('hand over', said, [ticketNumber], async ({ tickets }, number) => {
  await tickets.collected(number);
});

/** Writes to the client of a job, once for each kind. */
export const writeToClient = action(
  'write to clients',
  (sentence) => sentence,
  [ticketNumber, z.enum(MESSAGE_KINDS).exclude(['receipt'])],
  async (open, number, kind): Promise<string> => {
    const { words } = await putInOutbox(open, number, kind, { about: '', values: {} });
    sendSoon(open);
    return words;
  },
);

/** The address on the papers of this racket opens nothing from here on; the next paper carries another. */
export const withdrawLink = action(
  'give out links',
  said,
  [ticketNumber],
  async ({ tickets, clientLinks }, number) => {
    const ticket = await tickets.get(number);
    if (ticket) await clientLinks.withdraw(ticket.racketId);
  },
);
