/** Invoices and credit notes. One that is issued is never changed: a credit note takes it back. */
import { z } from 'zod';
import { priceLineSchema, totalsOf, type JobPrice, type Totals } from '../counter/price';

/** Who issues it. */
const letterheadSchema = z.object({
  name: z.string(),
  /** Line by line, the town last. */
  address: z.string(),
  /** Two letters of ISO 3166, for the structured twin; empty where nobody wrote it. */
  country: z.string(),
  taxNumber: z.string(),
});

export const invoiceSchema = z.object({
  kind: z.enum(['invoice', 'credit note']),
  number: z.number().int().min(1),
  /** On the workshop's clock. */
  day: z.string(),
  currency: z.string(),
  /** How its figures and days are written, BCP 47. */
  locale: z.string(),
  taxIncluded: z.boolean(),
  from: letterheadSchema,
  to: z.object({ name: z.string(), address: z.string() }),
  lines: z.array(priceLineSchema.extend({ job: z.number().int() })),
  /** The invoice that a credit note takes back, and why. */
  reverses: z.number().int().nullable(),
  why: z.string(),
});

export type Invoice = z.infer<typeof invoiceSchema>;

/** A closed job as an invoice takes it. */
export interface BilledJob {
  readonly number: number;
  /** The racket, as the client knows it. */
  readonly racket: string;
  readonly price: JobPrice;
}

type Head = Pick<Invoice, 'number' | 'day' | 'locale' | 'from' | 'to'>;

/**
 * An invoice over some jobs that state their prices alike.
 *
 * @example
 * invoiceFor({ number: 7, day: '2026-02-03', locale: 'en-GB', from: { name: 'W', address: '', country: '', taxNumber: '' }, to: { name: 'C', address: '' } }, [{ number: 12, racket: 'R', price: { currency: 'EUR', taxIncluded: true, lines: [] } }]).kind // 'invoice'
 */
export function invoiceFor(head: Head, jobs: readonly [BilledJob, ...BilledJob[]]): Invoice {
  const [{ price }] = jobs;
  return {
    ...head,
    kind: 'invoice',
    currency: price.currency,
    taxIncluded: price.taxIncluded,
    lines: jobs.flatMap((job) => job.price.lines.map((line) => ({ ...line, job: job.number }))),
    reverses: null,
    why: '',
  };
}

/**
 * The credit note that takes an invoice back as a whole.
 *
 * @example
 * creditFor({ kind: 'invoice', number: 7, lines: [] }, { number: 8, day: '2026-02-04', why: 'wrong client' }).reverses // 7
 */
export const creditFor = (
  invoice: Invoice,
  head: Pick<Invoice, 'number' | 'day' | 'why'>,
): Invoice => ({ ...invoice, ...head, kind: 'credit note', reverses: invoice.number });

/**
 * @example
 * invoiceTotals({ lines: [], taxIncluded: true }).grossMinor // 0
 */
export const invoiceTotals = ({
  lines,
  taxIncluded,
}: Pick<Invoice, 'lines' | 'taxIncluded'>): Totals => totalsOf(lines, taxIncluded);

/**
 * Whether two jobs can stand on one invoice.
 *
 * @example
 * areBilledAlike([]) // true
 */
export const areBilledAlike = (jobs: readonly BilledJob[]): boolean =>
  jobs.every(
    ({ price }) =>
      price.currency === jobs[0]?.price.currency &&
      price.taxIncluded === jobs[0]?.price.taxIncluded,
  );

/**
 * A rate of tax as it is read: `20 %`, `5.5 %`.
 *
 * @example
 * rateWords(550) // '5.5 %'
 */
export const rateWords = (taxBp: number): string => `${taxBp / 100} %`;
