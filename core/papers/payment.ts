/** What was paid, how, and what is still owed. Nothing counts as paid that nobody marked. */
import { z } from 'zod';
import { totalsOf, type JobPrice } from '../counter/price';
import { formatMoney, shareOut } from '../measure/money';

export const PAY_WAYS = ['cash', 'card', 'transfer', 'voucher'] as const;
export type PayWay = (typeof PAY_WAYS)[number];

export interface Payment {
  readonly way: PayWay;
  /** Below zero where it was given back. */
  readonly amountMinor: number;
}

/** What a job was priced at and what was paid of it, as it goes from one house to another. */
export const jobBooksSchema = z.strictObject({
  currency: z.string().regex(/^[A-Z]{3}$/),
  labourMinor: z.number().int().min(0).nullable(),
  stringMinor: z.number().int().min(0).nullable(),
  /** Null for a job of before payments were kept, of which nothing is owed. */
  toPayMinor: z.number().int().min(0).nullable(),
  /** When it was collected, UTC; null while it waits. */
  collected: z.iso.datetime().nullable(),
  payments: z
    .array(
      z.strictObject({
        day: z.iso.date(),
        way: z.enum(PAY_WAYS),
        amountMinor: z.number().int(),
        note: z.string().max(400),
      }),
    )
    .max(200),
});
export type JobBooks = z.infer<typeof jobBooksSchema>;

const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);

/**
 * What was paid in all.
 *
 * @example
 * paidMinor([{ way: 'cash', amountMinor: 2000 }, { way: 'cash', amountMinor: -500 }]) // 1500
 */
export const paidMinor = (payments: readonly Payment[]): number =>
  sum(payments.map(({ amountMinor }) => amountMinor));

export type PayState = 'nothing to pay' | 'to pay' | 'part paid' | 'paid' | 'paid too much';

/**
 * Where the payment of a job stands.
 *
 * @example
 * payState(3300, 1000) // 'part paid'
 */
export function payState(toPayMinor: number, paid: number): PayState {
  if (paid > toPayMinor) return 'paid too much';
  if (toPayMinor === 0) return 'nothing to pay';
  if (paid === toPayMinor) return 'paid';
  return paid > 0 ? 'part paid' : 'to pay';
}

/**
 * The same in words, with the figure that is open.
 *
 * @example
 * payWords(3300, 1000, 'EUR') // 'part paid, €23.00 to pay'
 */
export function payWords(toPay: number, paid: number, currency: string, locale?: string): string {
  const state = payState(toPay, paid);
  const open = formatMoney(Math.abs(toPay - paid), currency, locale);
  if (state === 'to pay') return `${open} to pay`;
  if (state === 'part paid') return `part paid, ${open} to pay`;
  if (state === 'paid too much') return `${open} paid too much`;
  return state;
}

/** A payment of a day, with the price of its job. */
export interface DayPayment extends Payment {
  readonly price: JobPrice;
}

export interface DayClose {
  readonly byWay: readonly {
    readonly way: PayWay;
    readonly count: number;
    readonly minor: number;
  }[];
  /** What came in, by the rate of tax that it holds. */
  readonly byRate: readonly {
    readonly taxBp: number;
    readonly netMinor: number;
    readonly taxMinor: number;
    readonly grossMinor: number;
  }[];
  readonly minor: number;
}

/**
 * What a day brought in, by way and by rate of tax. A part payment holds each rate of its job in proportion.
 *
 * Limits: tax by what was paid, not by what was invoiced; where a country asks for the other, the table of
 * invoices has it. Source: common practice, no source.
 *
 * @example
 * closeOfDay([]).minor // 0
 */
export function closeOfDay(payments: readonly DayPayment[]): DayClose {
  const rates = new Map<number, { netMinor: number; taxMinor: number }>();
  for (const { amountMinor, price } of payments) {
    const { byRate } = totalsOf(price.lines, price.taxIncluded);
    const shares = shareOut(
      Math.abs(amountMinor),
      byRate.map(({ grossMinor }) => grossMinor),
    );
    byRate.forEach(({ taxBp }, i) => {
      const gross = Math.sign(amountMinor) * (shares[i] ?? 0);
      const tax = Math.round((gross * taxBp) / (10_000 + taxBp));
      const at = rates.get(taxBp) ?? { netMinor: 0, taxMinor: 0 };
      rates.set(taxBp, { netMinor: at.netMinor + gross - tax, taxMinor: at.taxMinor + tax });
    });
  }
  return {
    byWay: PAY_WAYS.flatMap((way) => {
      const here = payments.filter((each) => each.way === way);
      return here.length > 0 ? [{ way, count: here.length, minor: paidMinor(here) }] : [];
    }),
    byRate: [...rates]
      .sort(([a], [b]) => a - b)
      .map(([taxBp, { netMinor, taxMinor }]) => ({
        taxBp,
        netMinor,
        taxMinor,
        grossMinor: netMinor + taxMinor,
      })),
    minor: paidMinor(payments),
  };
}
