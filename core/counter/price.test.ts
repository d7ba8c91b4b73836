import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobPrice, toPayMinor, totalsOf, type PriceLine } from './price';

const line = (unitMinor: number, taxBp: number, quantity = 1): PriceLine => ({
  what: 'labour',
  text: 'work',
  quantity,
  unitMinor,
  taxBp,
});
const house = { currency: 'EUR', taxIncluded: true, labourTaxBp: 2000, stringTaxBp: 2000 };
const wound = {
  name: 'Wound',
  gaugeMm: 1.3,
  family: 'multifilament' as const,
  suppliedByClient: false,
};
const job = {
  house,
  method: 'two-piece' as const,
  labourMinor: 2000,
  stringMinor: 1500,
  mains: { ...wound, setPriceMinor: 1500 },
  crosses: { ...wound, setPriceMinor: 1500 },
  extra: null,
};

describe('the totals of lines', () => {
  it('takes tax out of prices that hold it', () => {
    // 120.00 with 20 % in it are 100.00 and 20.00: the arithmetic of every tax office.
    expect(totalsOf([line(12_000, 2000)], true)).toMatchObject({
      netMinor: 10_000,
      taxMinor: 2000,
      grossMinor: 12_000,
    });
  });

  it('puts tax on prices that do not', () => {
    expect(totalsOf([line(10_000, 750)], false)).toMatchObject({
      netMinor: 10_000,
      taxMinor: 750,
      grossMinor: 10_750,
    });
  });

  it('works tax out by rate and not by line', () => {
    // EN 16931 BR-CO-17: the amount of a rate is the sum of its lines times the rate, rounded once.
    // Three lines of 0.33 at 10 %: by line 3 × 0.03, by rate 0.10.
    const { byRate } = totalsOf([line(33, 1000), line(33, 1000), line(33, 1000)], false);
    expect(byRate).toEqual([{ taxBp: 1000, netMinor: 99, taxMinor: 10, grossMinor: 109 }]);
  });

  it('lists the rates from the lowest', () => {
    const { byRate } = totalsOf([line(100, 2000), line(100, 0), line(100, 500)], true);
    expect(byRate.map(({ taxBp }) => taxBp)).toEqual([0, 500, 2000]);
  });

  it('adds up for any lines, whichever way prices are stated', () => {
    const lines = fc.array(
      fc.record({
        unitMinor: fc.integer({ min: 0, max: 99_999 }),
        taxBp: fc.constantFrom(0, 550, 1000, 1900, 2000),
        quantity: fc.integer({ min: 1, max: 9 }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(lines, fc.boolean(), (typed, taxIncluded) => {
        const totals = totalsOf(typed, taxIncluded);
        const add = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0);
        const stated = add(typed.map(({ quantity, unitMinor }) => quantity * unitMinor));
        expect(add(totals.lineNets)).toBe(totals.netMinor);
        expect(totals.netMinor + totals.taxMinor).toBe(totals.grossMinor);
        expect(taxIncluded ? totals.grossMinor : totals.netMinor).toBe(stated);
      }),
    );
  });
});

describe('the price of a job', () => {
  it('has a line for labour and one for a string that serves both ways', () => {
    const price = jobPrice(job);
    expect(price.lines.map(({ text, unitMinor }) => [text, unitMinor])).toEqual([
      ['Stringing, two pieces', 2000],
      ['Wound 1.30 mm (16)', 1500],
    ]);
    expect(toPayMinor(price)).toBe(3500);
  });

  it('has a line for each string of a hybrid, by what their sets cost', () => {
    const price = jobPrice({
      ...job,
      stringMinor: 2000,
      crosses: { ...job.crosses, name: 'Plain', setPriceMinor: 500 },
    });
    expect(price.lines.slice(1).map(({ unitMinor }) => unitMinor)).toEqual([1500, 500]);
  });

  it('asks nothing for what the client brought', () => {
    const brought = { ...job.mains, suppliedByClient: true };
    const both = jobPrice({ ...job, stringMinor: 0, mains: brought, crosses: brought });
    expect(both.lines[1]).toMatchObject({
      text: 'Wound 1.30 mm (16), brought by the client',
      unitMinor: 0,
    });
    const one = jobPrice({ ...job, stringMinor: 750, mains: brought });
    expect(one.lines.slice(1).map(({ unitMinor }) => unitMinor)).toEqual([0, 750]);
  });

  it('adds the extra work with its own rates', () => {
    const grip = { kind: 'grip' as const, name: 'Grip', quantity: 2, unitMinor: 600, taxBp: 1000 };
    const price = jobPrice({ ...job, extra: { lines: [grip], agreed: null } });
    expect(toPayMinor(price)).toBe(4700);
    expect(totalsOf(price.lines, true).byRate.map(({ taxBp }) => taxBp)).toEqual([1000, 2000]);
  });
});
