/** Payments and invoices as tables for the books (RFC 4180); the columns of docs/formats/books.md. */
import { moneyFigure } from '@/core/measure/money';
import { invoiceTotals, type Invoice } from '@/core/papers/invoice';
import { closeOfDay, type DayPayment } from '@/core/papers/payment';
import { tableRows } from './table-cells';

export interface TablePayment extends DayPayment {
  readonly day: string;
  readonly job: number;
  readonly clientName: string;
  readonly note: string;
}

const figure = (minor: number, currency: string): number => Number(moneyFigure(minor, currency));

/** A row for each payment and each rate of tax in it. */
export function paymentTable(payments: readonly TablePayment[]): string {
  const rows = payments.flatMap((payment) => {
    const { currency } = payment;
    const { byRate } = closeOfDay([payment]);
    // What is for no job holds no tax that a job has.
    const parts =
      byRate.length > 0
        ? byRate
        : [
            {
              taxBp: null,
              netMinor: payment.amountMinor,
              taxMinor: 0,
              grossMinor: payment.amountMinor,
            },
          ];
    return parts.map(({ taxBp, netMinor, taxMinor, grossMinor }) => [
      payment.day,
      payment.job,
      payment.clientName,
      payment.way,
      payment.kind,
      figure(grossMinor, currency),
      taxBp === null ? null : taxBp / 100,
      figure(netMinor, currency),
      figure(taxMinor, currency),
      currency,
      payment.note,
    ]);
  });
  return tableRows([
    [
      'day',
      'job',
      'client',
      'way',
      'kind',
      'amount',
      'tax_percent',
      'net',
      'tax',
      'currency',
      'note',
    ],
    ...rows,
  ]);
}

/** A row for each invoice or credit note and each rate of tax on it; what a credit note gives back is below zero. */
export function invoiceTable(
  invoices: readonly { readonly paper: Invoice; readonly takenBackBy: number | null }[],
): string {
  const rows = invoices.flatMap(({ paper, takenBackBy }) => {
    const sign = paper.kind === 'invoice' ? 1 : -1;
    return invoiceTotals(paper).byRate.map(({ taxBp, netMinor, taxMinor, grossMinor }) => [
      paper.number,
      paper.kind,
      paper.day,
      paper.to.name,
      taxBp / 100,
      figure(sign * netMinor, paper.currency),
      figure(sign * taxMinor, paper.currency),
      figure(sign * grossMinor, paper.currency),
      paper.currency,
      paper.reverses,
      takenBackBy,
    ]);
  });
  return tableRows([
    [
      'number',
      'kind',
      'day',
      'client',
      'tax_percent',
      'net',
      'tax',
      'gross',
      'currency',
      'takes_back',
      'taken_back_by',
    ],
    ...rows,
  ]);
}
