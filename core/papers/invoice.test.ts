import { describe, expect, it } from 'vitest';
import type { JobPrice } from '../counter/price';
import { areBilledAlike, creditFor, invoiceFor, invoiceTotals, rateWords } from './invoice';

const price: JobPrice = {
  currency: 'EUR',
  taxIncluded: true,
  lines: [
    { what: 'labour', text: 'Stringing', quantity: 1, unitMinor: 2000, taxBp: 2000 },
    { what: 'string', text: 'Plain', quantity: 1, unitMinor: 1000, taxBp: 2000 },
  ],
};
const head = {
  number: 7,
  day: '2026-02-03',
  locale: 'en-GB',
  from: { name: 'The bench', address: 'Quay 1', country: 'IE', taxNumber: 'X1' },
  to: { name: 'A client', address: '' },
};

describe('an invoice', () => {
  it('stands over several jobs, each line with its job', () => {
    const invoice = invoiceFor(head, [
      { number: 11, racket: 'A', price },
      { number: 12, racket: 'B', price },
    ]);
    expect(invoice.lines.map(({ job }) => job)).toEqual([11, 11, 12, 12]);
    expect(invoiceTotals(invoice)).toMatchObject({
      grossMinor: 6000,
      netMinor: 5000,
      taxMinor: 1000,
    });
  });

  it('is taken back by a credit note of the same lines under a number of its own', () => {
    const invoice = invoiceFor(head, [{ number: 11, racket: 'A', price }]);
    const credit = creditFor(invoice, { number: 8, day: '2026-02-05', why: 'the wrong client' });
    expect(credit).toMatchObject({ kind: 'credit note', number: 8, reverses: 7 });
    expect(invoiceTotals(credit)).toEqual(invoiceTotals(invoice));
    expect(invoice.kind).toBe('invoice');
  });

  it('does not mix currencies, nor prices with and without their tax', () => {
    const job = { number: 11, racket: 'A', price };
    expect(areBilledAlike([job, job])).toBe(true);
    expect(areBilledAlike([job, { ...job, price: { ...price, currency: 'JPY' } }])).toBe(false);
    expect(areBilledAlike([job, { ...job, price: { ...price, taxIncluded: false } }])).toBe(false);
  });

  it('writes rates as they are read', () => {
    expect([0, 550, 2000].map(rateWords)).toEqual(['0 %', '5.5 %', '20 %']);
  });
});
