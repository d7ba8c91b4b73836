import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { routeNumber } from '@/app/route-id';
import { formatMoney } from '@/core/measure/money';
import { formatDayIn } from '@/core/measure/promised-time';
import { paidMinor, payWords, type PaymentKind } from '@/core/papers/payment';

/** An invoice of an address, with the jobs on it and what is paid of them. */
export async function invoiceAt(params: Promise<{ readonly number: string }>) {
  const open = await openFor('issue invoices');
  const { invoices, payments } = open;
  const issued = await invoices.byNumber(routeNumber((await params).number));
  if (!issued) notFound();
  const jobs = await invoices.jobsOn(issued.id);
  const paid = (await Promise.all(jobs.map(({ ticketId }) => payments.ofTicket(ticketId)))).flat();
  const paidSoFar = paidMinor(paid);
  const { currency, locale } = issued.paper;
  const money = (minor: number) => formatMoney(minor, currency, locale);
  const listed = (of: PaymentKind) =>
    paid
      .filter(({ kind }) => kind === of)
      .map(
        ({ amountMinor, way, day }) =>
          `${money(Math.abs(amountMinor))} by ${way} on ${formatDayIn(day, locale)}`,
      )
      .join(', ');
  const list = listed('paid');
  const givenBack = listed('given back');
  const state = payWords(issued.totalMinor - issued.creditedMinor, paidSoFar, currency, locale);
  const words =
    issued.kind === 'credit note'
      ? // What was credited is not given back by that alone.
        givenBack && `Given back: ${givenBack}.`
      : issued.takenBackBy !== null
        ? `Taken back by credit note ${issued.takenBackBy}.`
        : `${state.charAt(0).toUpperCase()}${state.slice(1)}${list ? `: ${list}` : ''}.`;
  return { open, issued, jobs, paidMinor: paidSoFar, words };
}
