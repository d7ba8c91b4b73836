'use server';

import { z } from 'zod';
import { action, entryOf, rowId, ticketNumber } from '@/app/action';
import { misread, refused, said } from '@/app/answers';
import { putInOutbox, sendSoon } from '@/app/outbox';
import { correctionSchema } from '@/app/(house)/tickets/[number]/life/life-entry';
import { formatMoney } from '@/core/measure/money';
import { dayAt, formatDayIn } from '@/core/measure/promised-time';
import { MESSAGE_KINDS } from '@/core/papers/messages';
import type { FormAnswer } from '@/ui/form/result';
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
    if (!ticket?.closedAt) return refused(NOT_CLOSED);
    const currency = ticket.record?.price?.currency ?? workshop.currency;
    const read = paymentSchema(currency).safeParse(typed);
    if (!read.success) return misread(read.error);
    const { amount, way, day, back, note } = read.data;
    if (day > dayAt(new Date(), workshop.timeZone))
      return { ok: false, problems: { day: 'That day is still to come.' } };
    if (ticket.toPayMinor === null)
      return refused('Payment was not kept yet when this job was closed. Nothing was saved.');
    const amountMinor = back ? -amount : amount;
    const kept = await together(({ payments }) =>
      payments.add(person.id, { id, ticketId: ticket.id, day, way, amountMinor, note }),
    );
    if (kept === 'kept' && !back) {
      const { locale } = workshop;
      await putInOutbox(open, number, 'receipt', {
        about: id,
        values: {
          paid: formatMoney(amount, currency, locale),
          way,
          day: formatDayIn(day, locale),
        },
      });
      sendSoon(open);
    }
    return { ok: true };
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
