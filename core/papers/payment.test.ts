import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { totalsOf, type JobPrice } from '../counter/price';
import {
  afterGivingBack,
  closeOfDay,
  payState,
  payWords,
  rateShares,
  type DayPayment,
  type Payment,
} from './payment';

const price = (...rates: readonly (readonly [unitMinor: number, taxBp: number])[]): JobPrice => ({
  currency: 'EUR',
  taxIncluded: true,
  lines: rates.map(([unitMinor, taxBp]) => ({
    what: 'labour',
    text: '',
    quantity: 1,
    unitMinor,
    taxBp,
  })),
});

describe('a payment', () => {
  it('is only what was marked', () => {
    expect(payState(3300, 0)).toBe('to pay');
    expect(payState(3300, 1000)).toBe('part paid');
    expect(payState(3300, 3300)).toBe('paid');
    expect(payState(3300, 3400)).toBe('paid too much');
    // To the coin.
    expect([payState(3300, 3299), payState(3300, 3301)]).toEqual(['part paid', 'paid too much']);
    expect(payState(0, 0)).toBe('nothing to pay');
  });

  it('says what is open', () => {
    expect(payWords(3300, 1000, 'EUR')).toBe('part paid, €23.00 to pay');
    expect(payWords(3300, 0, 'JPY')).toBe('JP¥3,300 to pay');
    expect(payWords(3300, 3500, 'EUR')).toBe('€2.00 paid too much');
    expect(payWords(3300, 3300, 'EUR')).toBe('paid');
  });
});

describe('money given back', () => {
  // Source: arithmetic; what is given back is nobody's debt.
  it('lowers what was paid and never raises what is owed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 1, max: 9999 }),
        fc.integer({ min: 0, max: 9999 }),
        (toPay, paid, back) => {
          fc.pre(back <= paid);
          const after = afterGivingBack({ toPayMinor: toPay, paidMinor: paid }, back);
          expect(after.paidMinor).toBe(paid - back);
          const owed = Math.max(0, toPay - paid);
          expect(Math.max(0, after.toPayMinor - after.paidMinor)).toBe(owed);
          expect(after.toPayMinor).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});

describe('the close of a day', () => {
  const paid = (
    way: Payment['way'],
    amountMinor: number,
    of: JobPrice,
    changes: Partial<DayPayment> = {},
  ): DayPayment => ({
    way,
    kind: amountMinor < 0 ? 'given back' : 'paid',
    amountMinor,
    currency: 'EUR',
    shares: rateShares(of, 1, 0),
    beforeMinor: 0,
    ...changes,
  });

  it('adds by way, and by the tax that is in it', () => {
    const close = closeOfDay([
      paid('cash', 1200, price([1200, 2000])),
      paid('card', 2200, price([1200, 2000], [1000, 0])),
      paid('cash', -200, price([1200, 2000]), { beforeMinor: 1200 }),
    ]);
    expect(close.byWay).toEqual([
      { way: 'cash', count: 2, minor: 1000 },
      { way: 'card', count: 1, minor: 2200 },
    ]);
    // 12.00 and 12.00 less 2.00 at 20 % hold 2.00, 2.00 and −0.33.
    expect(close.byRate).toEqual([
      { taxBp: 0, netMinor: 1000, taxMinor: 0, grossMinor: 1000 },
      { taxBp: 2000, netMinor: 1833, taxMinor: 367, grossMinor: 2200 },
    ]);
    expect(close.minor).toBe(3200);
  });

  it('shares a part payment by the rates of its job', () => {
    const close = closeOfDay([paid('cash', 1000, price([3000, 2000], [1000, 0]))]);
    expect(close.byRate.map(({ grossMinor }) => grossMinor)).toEqual([250, 750]);
  });

  it('keeps tips and credit apart from what was paid for jobs', () => {
    const of = price([3300, 2000]);
    const close = closeOfDay([
      paid('cash', 3300, of),
      paid('cash', 700, of, { kind: 'tip' }),
      paid('card', 1000, of, { kind: 'credit' }),
      paid('credit', 500, of),
    ]);
    expect(close.tipsMinor).toBe(700);
    expect([close.creditMinor, close.fromCreditMinor]).toEqual([1000, 500]);
    // Cash and card; what was left before comes in no second time.
    expect(close.minor).toBe(5000);
    expect(close.byRate.map(({ grossMinor }) => grossMinor)).toEqual([3800]);
  });

  // Source: EN 16931, tax is rounded once for each rate of an invoice.
  it('adds up to the invoices to the cent, in however many parts and with jobs without lines', () => {
    const line = fc.record({
      unitMinor: fc.integer({ min: 1, max: 9999 }),
      taxBp: fc.constantFrom(0, 550, 700, 1900),
      job: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(
        fc.array(line, { minLength: 1, maxLength: 7 }),
        fc.boolean(),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 3 }),
        (drawn, taxIncluded, cuts) => {
          const lines = drawn.map((each) => ({
            ...each,
            what: 'labour' as const,
            text: '',
            quantity: 1,
          }));
          const invoice = { taxIncluded, lines };
          const payments = [...new Set(lines.map(({ job }) => job))].flatMap((job) => {
            const shares = rateShares(undefined, job, 0, invoice);
            const gross = shares.reduce((sum, { grossMinor }) => sum + grossMinor, 0);
            const at = [0, ...cuts.map((cut) => Math.round(cut * gross)), gross].sort(
              (a, b) => a - b,
            );
            return at
              .slice(1)
              .map((to, i) =>
                paid('cash', to - (at[i] ?? 0), price(), { shares, beforeMinor: at[i] ?? 0 }),
              );
          });
          const bare = paid('cash', 1234, price(), { shares: rateShares(undefined, 9, 1234) });
          const close = closeOfDay([...payments, bare]);
          const totals = totalsOf(lines, taxIncluded);
          expect(close.byRate.filter(({ taxBp }) => taxBp !== null)).toEqual(totals.byRate);
          expect(close.byRate.at(-1)).toMatchObject({ taxBp: null, grossMinor: 1234 });
          expect(close.minor).toBe(totals.grossMinor + 1234);
        },
      ),
    );
  });
});
