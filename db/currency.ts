import { and, eq, isNotNull, isNull, sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { coinFactor } from '@/core/measure/money';
import type { Connection } from './connection';
import { events } from './event-schema';
import { priceItems } from './papers-schema';
import { strings } from './racket-schema';
import { stockLengths } from './shelf-schema';
import { tickets } from './ticket-schema';

/**
 * What a workshop asks and has paid for its string stays as it is read when its currency changes: 11.50 is 11.50, or 12
 * where there is no smaller coin. What was billed keeps the currency that it was billed in. Call it inside a transaction.
 */
export async function carryPrices(
  db: Connection,
  workshopId: string,
  from: string,
  to: string,
): Promise<void> {
  const factor = coinFactor(from, to);
  if (factor === 1) return;
  const carried = (column: PgColumn): SQL => sql`round(${column} * ${factor}::numeric)`;
  await db
    .update(strings)
    .set({
      setPriceMinor: carried(strings.setPriceMinor),
      reelPriceMinor: carried(strings.reelPriceMinor),
    })
    .where(eq(strings.workshopId, workshopId));
  await db
    .update(priceItems)
    .set({ unitMinor: carried(priceItems.unitMinor) })
    .where(eq(priceItems.workshopId, workshopId));
  await db
    .update(events)
    .set({
      labourMinor: carried(events.labourMinor),
      ownStringMinor: carried(events.ownStringMinor),
      rushMinor: carried(events.rushMinor),
    })
    .where(eq(events.workshopId, workshopId));
  await db
    .update(stockLengths)
    .set({ priceMinor: carried(stockLengths.priceMinor) })
    .where(eq(stockLengths.workshopId, workshopId));
  const open = await db
    .select({ id: tickets.id, extra: tickets.extra })
    .from(tickets)
    .where(
      and(eq(tickets.workshopId, workshopId), isNull(tickets.closedAt), isNotNull(tickets.extra)),
    )
    .for('update');
  for (const { id, extra } of open)
    if (extra)
      await db
        .update(tickets)
        .set({
          extra: {
            ...extra,
            lines: extra.lines.map((line) => ({
              ...line,
              unitMinor: Math.round(line.unitMinor * factor),
            })),
          },
        })
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, id)));
}
