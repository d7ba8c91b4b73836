/** Invoices and credit notes. One that is issued is never changed: a credit note takes it back. */
import { z } from 'zod';
import { priceLineSchema, totalsOf, type JobPrice, type Totals } from '../counter/price';
import { formatMoney, linesMinor } from '../measure/money';
import { shareOut, taxOn } from '../measure/price-rounding';

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

/** How many lines of a job stand on an invoice already. */
export interface BilledLines {
  readonly job: number;
  readonly lines: number;
}

/**
 * An invoice without the lines that stand on another already: lines are only ever added to a job, so the first are billed.
 *
 * @example
 * withoutBilled({ lines: [{ job: 4, text: 'a' }, { job: 4, text: 'b' }] }, [{ job: 4, lines: 1 }]).lines // [{ job: 4, text: 'b' }]
 */
export function withoutBilled(invoice: Invoice, billed: readonly BilledLines[]): Invoice {
  const left = new Map<number, number>();
  for (const { job, lines } of billed) left.set(job, (left.get(job) ?? 0) + lines);
  return {
    ...invoice,
    lines: invoice.lines.filter(({ job }) => {
      const count = left.get(job) ?? 0;
      left.set(job, count - 1);
      return count <= 0;
    }),
  };
}

/** What is charged without tax so that it comes to `grossMinor` with it, as near as a minor unit allows. */
function netOf(grossMinor: number, taxBp: number): number {
  const near = Math.round((grossMinor * 10_000) / (10_000 + taxBp));
  const off = (net: number) => Math.abs(net + taxOn(net, taxBp) - grossMinor);
  return [near, near - 1, near + 1].reduce((best, net) => (off(net) < off(best) ? net : best));
}

const partText = (invoice: number): string => `Part of invoice ${invoice}`;

/**
 * What a credit note takes back, and why; empty for an invoice.
 *
 * @example
 * takenBackWords({ reverses: 7, why: 'wrong client', lines: [], currency: 'EUR', locale: 'en', taxIncluded: true }) // 'This takes invoice 7 back as a whole: wrong client'
 */
export function takenBackWords(note: Invoice): string {
  const { reverses, why, lines, currency, locale } = note;
  if (reverses === null) return '';
  const isPart = lines.length > 0 && lines.every(({ text }) => text === partText(reverses));
  if (!isPart) return `This takes invoice ${reverses} back as a whole: ${why}`;
  const { grossMinor } = invoiceTotals(note);
  return `This takes ${formatMoney(grossMinor, currency, locale)} of invoice ${reverses} back: ${why}`;
}

/**
 * The credit note that takes a part of an invoice back, by its rates of tax.
 *
 * @param grossMinor what is taken back, tax and all
 *
 * @example
 * partCreditFor({ kind: 'invoice', number: 7, currency: 'EUR', taxIncluded: true, lines: [{ what: 'labour', text: '', quantity: 1, unitMinor: 3300, taxBp: 2000, job: 4 }] }, { number: 8, day: '2026-02-04', why: 'scratch' }, 1000).lines[0].unitMinor // 1000
 */
export function partCreditFor(
  invoice: Invoice,
  head: Pick<Invoice, 'number' | 'day' | 'why'>,
  grossMinor: number,
): Invoice {
  const { byRate } = invoiceTotals(invoice);
  const parts = shareOut(
    grossMinor,
    byRate.map((rate) => rate.grossMinor),
  );
  const job = invoice.lines[0]?.job ?? 0;
  return {
    ...invoice,
    ...head,
    kind: 'credit note',
    reverses: invoice.number,
    lines: byRate.flatMap(({ taxBp }, i) => {
      const part = parts[i] ?? 0;
      if (part === 0) return [];
      const unitMinor = invoice.taxIncluded ? part : netOf(part, taxBp);
      const text = partText(invoice.number);
      return [{ what: 'extra' as const, text, quantity: 1, unitMinor, taxBp, job }];
    }),
  };
}

/**
 * What of an amount falls on each job of an invoice.
 *
 * @example
 * partsOfJobs({ taxIncluded: true, lines: [{ what: 'labour', text: '', quantity: 1, unitMinor: 3300, taxBp: 0, job: 4 }] }, 1000) // [{ job: 4, minor: 1000 }]
 */
export function partsOfJobs(
  { lines }: Pick<Invoice, 'lines'>,
  minor: number,
): readonly { readonly job: number; readonly minor: number }[] {
  const jobs = [...new Set(lines.map(({ job }) => job))];
  const weights = jobs.map((job) => linesMinor(lines.filter((line) => line.job === job)));
  const parts = shareOut(minor, weights);
  return jobs.map((job, i) => ({ job, minor: parts[i] ?? 0 }));
}

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
