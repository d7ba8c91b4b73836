/** What was paid, how, and what is still owed. Nothing counts as paid that nobody marked. */
import { z } from 'zod';
import { totalsOf, type JobPrice } from '../counter/price';
import { formatMoney, linesMinor } from '../measure/money';
import { shareOut } from '../measure/price-rounding';

/** *Credit* is what was left with the house before; nothing comes in by it. */
export const PAY_WAYS = ['cash', 'card', 'transfer', 'voucher', 'credit'] as const;
export type PayWay = (typeof PAY_WAYS)[number];

/**
 * What a payment is: paid for the job; given back of it, which nobody owes again; a slip of whoever marked it, which takes
 * one off the books as if it had never been there; and what was paid above the price, for the hands or for the next job.
 */
const PAYMENT_KINDS = ['paid', 'given back', 'slip', 'tip', 'credit'] as const;
export type PaymentKind = (typeof PAYMENT_KINDS)[number];

/** What becomes of what was paid above the price. */
export const OVERPAID = ['change', 'credit', 'tip'] as const;
export type Overpaid = (typeof OVERPAID)[number];

export interface Payment {
  readonly way: PayWay;
  readonly kind: PaymentKind;
  /** Below zero where it was given back or is taken off the books. */
  readonly amountMinor: number;
}

/** Whether it counts for the price of its job. */
const isOfJob = ({ kind }: Pick<Payment, 'kind'>): boolean => kind !== 'tip' && kind !== 'credit';

/** What a job is priced at and paid by. */
export interface JobBalance {
  readonly toPayMinor: number;
  readonly paidMinor: number;
}

/**
 * What a job is to be paid and is paid after money was given back: both go down, so that nothing is owed that was not owed
 * before; of what was paid too much only the payment does.
 *
 * @example
 * afterGivingBack({ toPayMinor: 3300, paidMinor: 3300 }, 1000) // { toPayMinor: 2300, paidMinor: 2300 }
 * afterGivingBack({ toPayMinor: 3300, paidMinor: 5000 }, 1700) // { toPayMinor: 3300, paidMinor: 3300 }
 */
export function afterGivingBack(
  { toPayMinor, paidMinor: paid }: JobBalance,
  minor: number,
): JobBalance {
  const overpaid = Math.max(0, paid - toPayMinor);
  return {
    toPayMinor: toPayMinor - Math.max(0, minor - overpaid),
    paidMinor: paid - minor,
  };
}

/**
 * What a job is to be paid after a part of its invoice was taken back. What was given back of it before that, and lowered it
 * then, is the same money: the two together never lower it twice.
 *
 * @param pricedMinor all of its lines
 * @param creditedMinor what was taken back of it, this part and those before
 *
 * @example
 * afterCrediting({ toPayMinor: 3300, pricedMinor: 3300, creditedMinor: 1000 }) // 2300
 * afterCrediting({ toPayMinor: 2300, pricedMinor: 3300, creditedMinor: 1000 }) // 2300
 */
export const afterCrediting = ({
  toPayMinor,
  pricedMinor,
  creditedMinor,
}: {
  readonly toPayMinor: number;
  readonly pricedMinor: number;
  readonly creditedMinor: number;
}): number => Math.max(0, Math.min(toPayMinor, pricedMinor - creditedMinor));

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
        kind: z.enum(PAYMENT_KINDS).default('paid'),
      }),
    )
    .max(200),
});
export type JobBooks = z.infer<typeof jobBooksSchema>;

const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);

/**
 * What was paid in all for jobs.
 *
 * @example
 * paidMinor([{ way: 'cash', kind: 'paid', amountMinor: 2000 }, { way: 'cash', kind: 'given back', amountMinor: -500 }]) // 1500
 */
export const paidMinor = (payments: readonly Pick<Payment, 'kind' | 'amountMinor'>[]): number =>
  sum(payments.filter(isOfJob).map(({ amountMinor }) => amountMinor));

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

/** What of a job's price stands at one rate of tax. */
export interface RateShare {
  /** Hundredths of a percent; null where the job has no lines and nobody knows. */
  readonly taxBp: number | null;
  readonly grossMinor: number;
  readonly taxMinor: number;
}

/**
 * The shares of a job by rate: those of its own lines or, of a job on an invoice with others, its part of that invoice, so
 * that the jobs add up to it to the cent; a job without lines is one share of which nobody knows the tax.
 *
 * @param invoice the lines of the invoice that the job stands on, with the numbers of their jobs
 *
 * @example
 * rateShares(undefined, 7, 3300) // [{ taxBp: null, grossMinor: 3300, taxMinor: 0 }]
 */
export function rateShares(
  price: JobPrice | undefined,
  job: number,
  toPayMinor: number,
  invoice?: {
    readonly taxIncluded: boolean;
    readonly lines: readonly (JobPrice['lines'][number] & { readonly job: number })[];
  },
): readonly RateShare[] {
  const lines = invoice?.lines.filter((line) => line.job === job) ?? [];
  if (invoice && lines.length > 0) {
    const jobs = [...new Set(invoice.lines.map((line) => line.job))];
    const of = (number: number, taxBp: number): number =>
      linesMinor(invoice.lines.filter((line) => line.job === number && line.taxBp === taxBp));
    return totalsOf(invoice.lines, invoice.taxIncluded).byRate.flatMap(
      ({ taxBp, grossMinor, taxMinor }) => {
        const weights = jobs.map((number) => of(number, taxBp));
        const at = jobs.indexOf(job);
        if ((weights[at] ?? 0) === 0) return [];
        return [
          {
            taxBp,
            grossMinor: shareOut(grossMinor, weights)[at] ?? 0,
            taxMinor: shareOut(taxMinor, weights)[at] ?? 0,
          },
        ];
      },
    );
  }
  if (!price || price.lines.length === 0)
    return [{ taxBp: null, grossMinor: toPayMinor, taxMinor: 0 }];
  return totalsOf(price.lines, price.taxIncluded).byRate;
}

/** A payment of a day, with what its job is priced at by rate, and what was paid of it before. */
export interface DayPayment extends Payment {
  readonly currency: string;
  readonly shares: readonly RateShare[];
  readonly beforeMinor: number;
}

export interface DayClose {
  readonly byWay: readonly {
    readonly way: PayWay;
    readonly count: number;
    readonly minor: number;
  }[];
  /** What was paid for jobs, by the rate of tax that it holds. */
  readonly byRate: readonly {
    readonly taxBp: number | null;
    readonly netMinor: number;
    readonly taxMinor: number;
    readonly grossMinor: number;
  }[];
  readonly tipsMinor: number;
  /** What was left for a next job, and what was paid out of that. */
  readonly creditMinor: number;
  readonly fromCreditMinor: number;
  /** What came in. */
  readonly minor: number;
}

/** What of each rate is paid when so much of a job is; all of it is each rate to the cent. */
function paidOf(shares: readonly RateShare[], minor: number): readonly RateShare[] {
  const parts = shareOut(
    Math.abs(minor),
    shares.map(({ grossMinor }) => grossMinor),
  );
  return shares.map(({ taxBp, grossMinor, taxMinor }, i) => {
    const gross = Math.sign(minor) * (parts[i] ?? 0);
    return {
      taxBp,
      grossMinor: gross,
      taxMinor: grossMinor === 0 ? 0 : Math.round((gross * taxMinor) / grossMinor),
    };
  });
}

/**
 * What a day brought in, by way and by rate of tax. A payment holds each rate of its job in proportion: what is paid after
 * it less what was paid before, so that the payments of a job add up to its invoice to the cent.
 *
 * Limits: tax by what was paid, not by what was invoiced; where a country asks for the other, the table of
 * invoices has it. Source: common practice, no source; adding up, arithmetic.
 *
 * @example
 * closeOfDay([]).minor // 0
 */
export function closeOfDay(payments: readonly DayPayment[]): DayClose {
  const rates = new Map<number | null, { gross: number; tax: number }>();
  for (const payment of payments.filter(isOfJob)) {
    const { shares, beforeMinor, amountMinor } = payment;
    const before = paidOf(shares, beforeMinor);
    paidOf(shares, beforeMinor + amountMinor).forEach(({ taxBp, grossMinor, taxMinor }, i) => {
      const at = rates.get(taxBp) ?? { gross: 0, tax: 0 };
      rates.set(taxBp, {
        gross: at.gross + grossMinor - (before[i]?.grossMinor ?? 0),
        tax: at.tax + taxMinor - (before[i]?.taxMinor ?? 0),
      });
    });
  }
  const all = (some: readonly Payment[]) => sum(some.map(({ amountMinor }) => amountMinor));
  const isIn = ({ way }: Payment) => way !== 'credit';
  return {
    byWay: PAY_WAYS.flatMap((way) => {
      const here = payments.filter((each) => each.way === way);
      return here.length > 0 ? [{ way, count: here.length, minor: all(here) }] : [];
    }),
    byRate: [...rates]
      .sort(([a], [b]) => (a ?? Infinity) - (b ?? Infinity))
      .map(([taxBp, { gross, tax }]) => ({
        taxBp,
        netMinor: gross - tax,
        taxMinor: tax,
        grossMinor: gross,
      })),
    tipsMinor: all(payments.filter(({ kind }) => kind === 'tip')),
    creditMinor: all(payments.filter(({ kind }) => kind === 'credit')),
    fromCreditMinor: all(payments.filter((each) => !isIn(each))),
    minor: all(payments.filter(isIn)),
  };
}
