/** What a job costs, line by line, with the tax in it. */
import { z } from 'zod';
import { formatGauge } from '../measure/gauge';
import { linesMinor } from '../measure/money';
import { shareOut, taxIn, taxOn } from '../measure/price-rounding';
import { isHybrid, type JobString } from '../strings/job-string';
import { METHOD_WORDS, type Method } from '../terms/method';
import type { ExtraWork } from './extra-work';

export const priceLineSchema = z.object({
  what: z.enum(['labour', 'string', 'extra']),
  text: z.string(),
  quantity: z.number().int().min(1),
  /** Of one, minor units, as the workshop states its prices: with the tax or without it. */
  unitMinor: z.number().int().min(0),
  /** Hundredths of a percent: 2000 is 20 %. */
  taxBp: z.number().int().min(0).max(10_000),
});

export type PriceLine = z.infer<typeof priceLineSchema>;

export const jobPriceSchema = z.object({
  currency: z.string(),
  /** Whether the amounts of the lines hold their tax already. */
  taxIncluded: z.boolean(),
  lines: z.array(priceLineSchema),
});

export type JobPrice = z.infer<typeof jobPriceSchema>;

interface RateTotal {
  readonly taxBp: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly grossMinor: number;
}

export interface Totals {
  /** The lowest rate first. */
  readonly byRate: readonly RateTotal[];
  /** Of each line without tax; they add up to the net. */
  readonly lineNets: readonly number[];
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly grossMinor: number;
}

const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);

function rateTotal(taxBp: number, minor: number, taxIncluded: boolean): RateTotal {
  const taxMinor = taxIncluded ? taxIn(minor, taxBp) : taxOn(minor, taxBp);
  const netMinor = taxIncluded ? minor - taxMinor : minor;
  return { taxBp, netMinor, taxMinor, grossMinor: netMinor + taxMinor };
}

/**
 * The totals of some lines. Tax is worked out once for each rate, on the sum of its lines, and rounded to the
 * minor unit (EN 16931, BR-CO-17); where prices hold their tax, each line's net is its share of the rate's.
 *
 * @example
 * totalsOf([{ what: 'labour', text: '', quantity: 1, unitMinor: 1200, taxBp: 2000 }], true).taxMinor // 200
 */
export function totalsOf(
  lines: readonly Pick<PriceLine, 'quantity' | 'unitMinor' | 'taxBp'>[],
  taxIncluded: boolean,
): Totals {
  const amounts = lines.map((line) => linesMinor([line]));
  const rates = [...new Set(lines.map(({ taxBp }) => taxBp))].sort((a, b) => a - b);
  const lineNets = lines.map(() => 0);
  const byRate = rates.map((taxBp) => {
    const at = lines.flatMap((line, i) => (line.taxBp === taxBp ? [i] : []));
    const here = at.map((i) => amounts[i] ?? 0);
    const total = rateTotal(taxBp, sum(here), taxIncluded);
    const nets = taxIncluded ? shareOut(total.netMinor, here) : here;
    at.forEach((i, k) => {
      lineNets[i] = nets[k] ?? 0;
    });
    return total;
  });
  return {
    byRate,
    lineNets,
    netMinor: sum(byRate.map(({ netMinor }) => netMinor)),
    taxMinor: sum(byRate.map(({ taxMinor }) => taxMinor)),
    grossMinor: sum(byRate.map(({ grossMinor }) => grossMinor)),
  };
}

/**
 * What the client pays for a job, tax and all, in minor units.
 *
 * @example
 * toPayMinor({ currency: 'EUR', taxIncluded: true, lines: [] }) // 0
 */
export const toPayMinor = ({ lines, taxIncluded }: JobPrice): number =>
  totalsOf(lines, taxIncluded).grossMinor;

/** How a workshop states its prices. */
export interface HousePrices {
  readonly currency: string;
  readonly taxIncluded: boolean;
  readonly labourTaxBp: number;
  readonly stringTaxBp: number;
}

type PricedString = Pick<JobString, 'name' | 'family' | 'gaugeMm' | 'suppliedByClient'> & {
  readonly setPriceMinor: number;
};

interface PricedJob {
  readonly house: HousePrices;
  readonly method: Method;
  readonly labourMinor: number;
  /** For the string of both pieces; what the client brought costs nothing. */
  readonly stringMinor: number;
  readonly mains: PricedString;
  readonly crosses: PricedString;
  readonly extra: ExtraWork | null;
}

/** Two pieces of one string are one line; of two strings, or where only one was brought, a line each. */
function stringLines({ mains, crosses, stringMinor, house }: PricedJob): readonly PriceLine[] {
  const line = (text: string, unitMinor: number): PriceLine => ({
    what: 'string',
    text,
    quantity: 1,
    unitMinor,
    taxBp: house.stringTaxBp,
  });
  const named = ({ name, gaugeMm }: PricedString) => `${name} ${formatGauge(gaugeMm)}`;
  const brought = ({ suppliedByClient }: PricedString) => suppliedByClient;
  if (!isHybrid({ mains, crosses }) && brought(mains) === brought(crosses))
    return [line(`${named(mains)}${brought(mains) ? ', brought by the client' : ''}`, stringMinor)];
  const weights = [mains, crosses].map((string) => (brought(string) ? 0 : string.setPriceMinor));
  const [mainMinor = 0, crossMinor = 0] = shareOut(stringMinor, weights);
  return [
    line(`Mains: ${named(mains)}${brought(mains) ? ', brought by the client' : ''}`, mainMinor),
    line(
      `Crosses: ${named(crosses)}${brought(crosses) ? ', brought by the client' : ''}`,
      crossMinor,
    ),
  ];
}

/**
 * The price of a job as its record keeps it: labour, strings, extra work.
 *
 * Limits: a workshop has one rate for labour and one for string; extra work has its own by line.
 *
 * @example
 * toPayMinor(jobPrice({ house: { currency: 'EUR', taxIncluded: true, labourTaxBp: 0, stringTaxBp: 0 }, method: 'two-piece', labourMinor: 1800, stringMinor: 1500, mains: { ...usual.job.mains, setPriceMinor: 1500 }, crosses: { ...usual.job.crosses, setPriceMinor: 1500 }, extra: null })) // 3300
 */
export function jobPrice(job: PricedJob): JobPrice {
  const { house, method, labourMinor, extra } = job;
  return {
    currency: house.currency,
    taxIncluded: house.taxIncluded,
    lines: [
      {
        what: 'labour',
        text: `Stringing, ${METHOD_WORDS[method]}`,
        quantity: 1,
        unitMinor: labourMinor,
        taxBp: house.labourTaxBp,
      },
      ...stringLines(job),
      ...(extra?.lines ?? []).map(({ name, quantity, unitMinor, taxBp }): PriceLine => ({
        what: 'extra',
        text: name,
        quantity,
        unitMinor,
        taxBp,
      })),
    ],
  };
}
