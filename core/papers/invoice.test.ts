import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { JobPrice } from '../counter/price';
import {
  areBilledAlike,
  creditFor,
  invoiceFor,
  invoiceTotals,
  partCreditFor,
  takenBackWords,
  partsOfJobs,
  rateWords,
  withoutBilled,
} from './invoice';

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

describe('a part of an invoice that is taken back', () => {
  const mixed: JobPrice = {
    currency: 'EUR',
    taxIncluded: true,
    lines: [
      { what: 'labour', text: 'Stringing', quantity: 1, unitMinor: 1800, taxBp: 2000 },
      { what: 'string', text: 'Plain', quantity: 1, unitMinor: 1500, taxBp: 1000 },
      { what: 'extra', text: 'Grip', quantity: 2, unitMinor: 450, taxBp: 0 },
    ],
  };
  const on = { number: 8, day: '2026-02-05', why: 'a scratch' };
  const invoiceOf = (price: JobPrice) => invoiceFor(head, [{ number: 11, racket: 'A', price }]);

  // Source: arithmetic. 10.50 of 42.00 is a quarter of each rate: 4.50, 3.75 and 2.25.
  it('is spread over the rates as they stand on it', () => {
    const credit = partCreditFor(invoiceOf(mixed), on, 1050);
    expect(takenBackWords(credit)).toMatch(/^This takes \S+ of invoice \d+ back: /);
    expect(takenBackWords(creditFor(invoiceOf(mixed), on))).toMatch(/ back as a whole: /);
    expect(takenBackWords(invoiceOf(mixed))).toBe('');
    expect(credit).toMatchObject({ kind: 'credit note', number: 8, reverses: 7, why: 'a scratch' });
    expect(credit.lines.map(({ taxBp, unitMinor }) => [taxBp, unitMinor])).toEqual([
      [0, 225],
      [1000, 375],
      [2000, 450],
    ]);
  });

  // Source: arithmetic; of what is charged without its tax, a cent of tax falls within two steps of the net.
  it('comes to what was given back: to the cent with tax in it, else within a cent a rate', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4200 }), fc.boolean(), (minor, taxIncluded) => {
        const invoice = invoiceOf({ ...mixed, taxIncluded });
        const { grossMinor } = invoiceTotals(partCreditFor(invoice, on, minor));
        if (taxIncluded) expect(grossMinor).toBe(minor);
        else expect(Math.abs(grossMinor - minor)).toBeLessThanOrEqual(2);
      }),
    );
  });

  it('of the whole is the invoice, rate by rate', () => {
    const invoice = invoiceOf(mixed);
    const { byRate } = invoiceTotals(invoice);
    expect(invoiceTotals(partCreditFor(invoice, on, 4200)).byRate).toEqual(byRate);
  });
});

describe('what was billed before', () => {
  const two = { ...price, lines: [...price.lines, ...price.lines] };
  const job = (number: number, of: JobPrice) => ({ number, racket: 'A', price: of });

  it('stands on no second invoice, and a line that was added since does', () => {
    const invoice = invoiceFor(head, [job(11, two), job(12, price)]);
    const left = withoutBilled(invoice, [
      { job: 11, lines: 2 },
      { job: 11, lines: 1 },
      { job: 12, lines: 2 },
    ]);
    expect(left.lines).toEqual([{ ...two.lines[3], job: 11 }]);
    expect(withoutBilled(invoice, []).lines).toEqual(invoice.lines);
  });

  // Source: arithmetic.
  it('falls on its jobs by what each cost, to the cent', () => {
    const invoice = invoiceFor(head, [job(11, two), job(12, price)]);
    expect(partsOfJobs(invoice, 1000)).toEqual([
      { job: 11, minor: 667 },
      { job: 12, minor: 333 },
    ]);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9000 }), (minor) => {
        const parts = partsOfJobs(invoice, minor);
        expect(parts.reduce((sum, part) => sum + part.minor, 0)).toBe(minor);
      }),
    );
  });
});
