import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { JobPrice } from '../counter/price';
import { closeOfDay, paidMinor, PAY_WAYS, payState, payWords } from './payment';

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
    expect(payState(0, 0)).toBe('nothing to pay');
  });

  it('says what is open', () => {
    expect(payWords(3300, 1000, 'EUR')).toBe('part paid, €23.00 to pay');
    expect(payWords(3300, 0, 'JPY')).toBe('JP¥3,300 to pay');
    expect(payWords(3300, 3500, 'EUR')).toBe('€2.00 paid too much');
    expect(payWords(3300, 3300, 'EUR')).toBe('paid');
  });
});

describe('the close of a day', () => {
  it('adds by way, and by the tax that is in it', () => {
    const close = closeOfDay([
      { way: 'cash', amountMinor: 1200, price: price([1200, 2000]) },
      { way: 'card', amountMinor: 2200, price: price([1200, 2000], [1000, 0]) },
      { way: 'cash', amountMinor: -200, price: price([1200, 2000]) },
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
    const close = closeOfDay([
      { way: 'cash', amountMinor: 1000, price: price([3000, 2000], [1000, 0]) },
    ]);
    expect(close.byRate.map(({ grossMinor }) => grossMinor)).toEqual([250, 750]);
  });

  it('loses nothing of any payments, whatever they are for', () => {
    const payment = fc.record({
      way: fc.constantFrom(...PAY_WAYS),
      amountMinor: fc.integer({ min: -5000, max: 5000 }),
      price: fc
        .array(fc.tuple(fc.integer({ min: 0, max: 9999 }), fc.constantFrom(0, 700, 1900)), {
          minLength: 1,
          maxLength: 4,
        })
        .map((rates) => price(...rates)),
    });
    fc.assert(
      fc.property(fc.array(payment, { maxLength: 10 }), (payments) => {
        const close = closeOfDay(payments);
        const gross = close.byRate.reduce((sum, each) => sum + each.grossMinor, 0);
        const ways = close.byWay.reduce((sum, each) => sum + each.minor, 0);
        expect(gross).toBe(paidMinor(payments));
        expect(ways).toBe(paidMinor(payments));
      }),
    );
  });
});
