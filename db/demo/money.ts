/** The demo's prices, its papers and what was paid. */
import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { toPayMinor, type HousePrices, type JobPrice } from '@/core/counter/price';
import type { ExtraKind } from '@/core/counter/extra-work';
import { chanceFrom } from '@/core/maths/chance';
import { PAY_WAYS } from '@/core/papers/payment';
import type { Connection } from '../connection';
import { payments, priceItems } from '../papers-schema';
import { type clients } from '../racket-schema';
import { tickets } from '../ticket-schema';

/** Prices of an invented country that taxes work less than goods. */
export const DEMO_PRICES: HousePrices = {
  currency: 'EUR',
  taxIncluded: true,
  labourTaxBp: 600,
  stringTaxBp: 2300,
};

export const DEMO_LETTERHEAD = {
  address: 'Slipway 4\nSkerrowmouth SK4 7',
  country: 'PT',
  taxNumber: 'SK 4471-09',
  taxIncluded: DEMO_PRICES.taxIncluded,
  labourTaxBp: DEMO_PRICES.labourTaxBp,
  stringTaxBp: DEMO_PRICES.stringTaxBp,
};

const ITEMS: readonly (readonly [name: string, kind: ExtraKind, unitMinor: number])[] = [
  ['Grommet set', 'grommet set', 1450],
  ['One grommet, from a set of bits', 'other', 150],
  ['Bumper strip', 'bumper', 900],
  ['Base grip, fitted', 'grip', 1100],
  ['Over-grip, fitted', 'grip', 350],
  ['Heat-shrink sleeve', 'sleeve', 700],
  ['Lead, a gram', 'lead', 60],
];

/** Payment is kept since then, days. */
const PAID_SINCE = 60;
const DAY = 24 * 60 * 60 * 1000;

/** Whether a demo job has a price line by line, and is paid or not. */
export const isPriced = (day: Date, today: Date): boolean =>
  today.getTime() - day.getTime() < PAID_SINCE * DAY;

export interface PricedTicket {
  readonly requestKey: string;
  readonly closedAt: Date;
  readonly price: JobPrice;
}

/** A price list, and a payment for most of the latest jobs; a few are open, and two wait to be collected. */
export async function fillMoney(
  db: Connection,
  workshopId: string,
  jobs: readonly PricedTicket[],
  dayOf: (at: Date) => string,
): Promise<void> {
  const chance = chanceFrom(31);
  await db.insert(priceItems).values(
    ITEMS.map(([name, kind, unitMinor]) => ({
      id: randomUUID(),
      workshopId,
      name,
      kind,
      unitMinor,
      taxBp: DEMO_PRICES.stringTaxBp,
    })),
  );
  const waiting = new Set(jobs.slice(-2).map(({ requestKey }) => requestKey));
  for (const [i, { requestKey, closedAt, price }] of jobs.entries()) {
    const [ticket] = await db
      .update(tickets)
      .set({ collectedAt: waiting.has(requestKey) ? null : closedAt })
      .where(eq(tickets.requestKey, requestKey))
      .returning({ id: tickets.id });
    if (!ticket || waiting.has(requestKey) || i % 9 === 4) continue;
    const toPay = toPayMinor(price);
    const amountMinor = i % 7 === 3 ? Math.round(toPay / 2) : toPay;
    await db.insert(payments).values({
      id: randomUUID(),
      workshopId,
      ticketId: ticket.id,
      day: dayOf(closedAt),
      way: chance.one(PAY_WAYS.slice(0, 3)),
      amountMinor,
    });
    await db
      .update(tickets)
      .set({ paidMinor: sql`${tickets.paidMinor} + ${amountMinor}` })
      .where(eq(tickets.id, ticket.id));
  }
}

/** Most clients of the demo may be written to. */
export const demoConsent = (
  i: number,
): Pick<typeof clients.$inferInsert, 'mayWrite' | 'mayWriteSince'> =>
  i % 4 === 3
    ? { mayWrite: 'unasked', mayWriteSince: null }
    : { mayWrite: i % 9 === 8 ? 'no' : 'yes', mayWriteSince: new Date('2026-01-12T10:00:00Z') };
