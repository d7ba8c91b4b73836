import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { StockKind } from '@/core/shelf/cutting';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { holdWorkshop } from './saving';
import { strings, tickets } from './schema';
import { stockLengths, stockMoves, type MoveKind } from './shelf-schema';

/** A length that is there, with what is left of it. */
export interface LengthThere {
  readonly id: string;
  readonly stringId: string;
  readonly string: string;
  readonly gaugeMm: number;
  readonly kind: StockKind;
  readonly mm: number;
  readonly leftMm: number;
  readonly priceMinor: number;
  readonly supplier: string;
  readonly place: string;
  readonly day: string;
}

export interface Bought {
  readonly stringId: string;
  readonly gaugeMm: number;
  readonly kind: StockKind;
  readonly mm: number;
  readonly priceMinor: number;
  readonly supplier: string;
  readonly place: string;
  readonly day: string;
}

export interface ShownMove {
  readonly id: string;
  readonly at: Date;
  readonly kind: MoveKind;
  readonly mm: number;
  readonly string: string;
  readonly gaugeMm: number;
  readonly number: number | null;
  readonly who: string | null;
  readonly note: string;
  readonly undone: boolean;
}

/** Less than this is nothing. */
const NOTHING_MM = 1;

/** The shelf of one workshop. */
export function shelfOf(db: Connection, workshopId: string) {
  const mine = eq(stockLengths.workshopId, workshopId);
  // In full names: within a question about one table they would be cut to those of the inner one.
  const left = sql<number>`stock_lengths.mm + coalesce((select sum(stock_moves.mm) from stock_moves where stock_moves.workshop_id = stock_lengths.workshop_id and stock_moves.length_id = stock_lengths.id), 0)`;
  const undoing = alias(stockMoves, 'undoing');

  const leftOf = async (id: string): Promise<number | undefined> => {
    const [row] = await db
      .select({ left })
      .from(stockLengths)
      .where(and(mine, eq(stockLengths.id, id)));
    return row?.left;
  };
  const move = (
    personId: string,
    facts: Pick<typeof stockMoves.$inferInsert, 'id' | 'lengthId' | 'kind' | 'mm'> &
      Partial<Pick<typeof stockMoves.$inferInsert, 'ticketId' | 'undoes' | 'note'>>,
  ) =>
    db
      .insert(stockMoves)
      .values({ ...facts, workshopId, personId })
      .onConflictDoNothing();

  return {
    /** Every length of which something is left, by string and gauge, what is opened first. */
    there: async (): Promise<LengthThere[]> =>
      (
        await db
          .select({
            id: stockLengths.id,
            stringId: stockLengths.stringId,
            string: strings.name,
            gaugeMm: stockLengths.gaugeMm,
            kind: stockLengths.kind,
            mm: stockLengths.mm,
            leftMm: left,
            priceMinor: stockLengths.priceMinor,
            supplier: stockLengths.supplier,
            place: stockLengths.place,
            day: stockLengths.day,
          })
          .from(stockLengths)
          .innerJoin(strings, eq(strings.id, stockLengths.stringId))
          .where(and(mine, sql`${left} >= ${NOTHING_MM}`))
          .orderBy(asc(strings.name), asc(stockLengths.gaugeMm), asc(left), asc(stockLengths.day))
      ).map((row) => ({ ...row, leftMm: Number(row.leftMm) })),

    /** The same for who cuts from it: a second one waits here. Call it inside a transaction. */
    async thereToCut(): Promise<LengthThere[]> {
      await holdWorkshop(db, workshopId);
      return this.there();
    },

    /** Puts some on the shelf that are alike; the same form sent twice puts them there once. */
    async buy(personId: string, ids: readonly string[], facts: Bought): Promise<void> {
      await db
        .insert(stockLengths)
        .values(ids.map((id) => ({ ...facts, id, workshopId, personId })))
        .onConflictDoNothing();
    },

    /** Takes pieces of a ticket off lengths. Call it inside a transaction. */
    async cut(
      personId: string,
      ticketId: string,
      cuts: readonly { readonly lengthId: string; readonly mm: number; readonly note: string }[],
    ): Promise<void> {
      for (const { lengthId, mm, note } of cuts)
        await move(personId, { id: randomUUID(), lengthId, kind: 'cut', mm: -mm, ticketId, note });
    },

    /** So much of it is there, whatever was thought. Call it inside a transaction. */
    async count(personId: string, id: string, lengthId: string, leftMm: number): Promise<boolean> {
      await holdWorkshop(db, workshopId);
      const before = await leftOf(lengthId);
      if (before === undefined) return false;
      await move(personId, { id, lengthId, kind: 'counted', mm: leftMm - Number(before) });
      return true;
    },

    /** It is not there any more. Call it inside a transaction. */
    async throwAway(personId: string, id: string, lengthId: string): Promise<boolean> {
      await holdWorkshop(db, workshopId);
      const before = await leftOf(lengthId);
      if (before === undefined || Number(before) < NOTHING_MM) return false;
      await move(personId, { id, lengthId, kind: 'thrown away', mm: -Number(before) });
      return true;
    },

    /** Takes a movement back by another; false where that was done, or would leave less than nothing. */
    async undo(personId: string, moveId: string): Promise<boolean> {
      await holdWorkshop(db, workshopId);
      const [row] = await db
        .select({ lengthId: stockMoves.lengthId, mm: stockMoves.mm, kind: stockMoves.kind })
        .from(stockMoves)
        .where(and(eq(stockMoves.workshopId, workshopId), eq(stockMoves.id, moveId)));
      if (!row || row.kind === 'undone') return false;
      const rest = Number((await leftOf(row.lengthId)) ?? 0) - row.mm;
      if (rest < -NOTHING_MM) return false;
      const { rowCount } = await move(personId, {
        id: randomUUID(),
        lengthId: row.lengthId,
        kind: 'undone',
        mm: -row.mm,
        undoes: moveId,
      });
      return rowCount === 1;
    },

    /** The latest movements. */
    moves: (limit: number): Promise<ShownMove[]> =>
      db
        .select({
          id: stockMoves.id,
          at: stockMoves.at,
          kind: stockMoves.kind,
          mm: stockMoves.mm,
          string: strings.name,
          gaugeMm: stockLengths.gaugeMm,
          number: tickets.number,
          who: people.name,
          note: stockMoves.note,
          undone: sql<boolean>`${undoing.id} is not null`,
        })
        .from(stockMoves)
        .innerJoin(stockLengths, eq(stockLengths.id, stockMoves.lengthId))
        .innerJoin(strings, eq(strings.id, stockLengths.stringId))
        .leftJoin(tickets, eq(tickets.id, stockMoves.ticketId))
        .leftJoin(people, eq(people.id, stockMoves.personId))
        .leftJoin(undoing, eq(undoing.undoes, stockMoves.id))
        .where(eq(stockMoves.workshopId, workshopId))
        .orderBy(desc(stockMoves.at), desc(stockMoves.id))
        .limit(limit),

    /** What was paid on average for a millimetre of each string and gauge that ever lay here. */
    async pricePerMm(): Promise<ReadonlyMap<string, number>> {
      const rows = await db
        .select({
          stringId: stockLengths.stringId,
          gaugeMm: stockLengths.gaugeMm,
          price: sql<number>`sum(${stockLengths.priceMinor})::float8 / sum(${stockLengths.mm})`,
        })
        .from(stockLengths)
        .where(eq(stockLengths.workshopId, workshopId))
        .groupBy(stockLengths.stringId, stockLengths.gaugeMm);
      return new Map(
        rows.map(({ stringId, gaugeMm, price }) => [stockKey(stringId, gaugeMm), price]),
      );
    },

    /** What was cut of each string and gauge in each of the last weeks, mm, the latest last. */
    async usedByWeek(weeks: number): Promise<ReadonlyMap<string, readonly number[]>> {
      const ago = sql<number>`floor(extract(epoch from now() - ${stockMoves.at}) / 604800)`;
      const rows = await db
        .select({
          stringId: stockLengths.stringId,
          gaugeMm: stockLengths.gaugeMm,
          ago: sql<number>`${ago}::int`,
          mm: sql<number>`-sum(${stockMoves.mm})`,
        })
        .from(stockMoves)
        .innerJoin(stockLengths, eq(stockLengths.id, stockMoves.lengthId))
        .leftJoin(undoing, eq(undoing.undoes, stockMoves.id))
        .where(
          and(
            eq(stockMoves.workshopId, workshopId),
            eq(stockMoves.kind, 'cut'),
            sql`${undoing.id} is null and ${ago} < ${weeks}`,
          ),
        )
        .groupBy(stockLengths.stringId, stockLengths.gaugeMm, sql`3`);
      const used = new Map<string, number[]>();
      for (const { stringId, gaugeMm, ago: week, mm } of rows) {
        const key = stockKey(stringId, gaugeMm);
        const known = used.get(key) ?? Array.from({ length: weeks }, () => 0);
        known[weeks - 1 - Number(week)] = Number(mm);
        used.set(key, known);
      }
      return used;
    },
  };
}

/** One string in one gauge. */
export const stockKey = (stringId: string, gaugeMm: number): string =>
  `${stringId} ${gaugeMm.toFixed(2)}`;
