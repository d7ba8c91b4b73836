import { randomUUID } from 'node:crypto';
import { aliasedTable, and, asc, desc, eq, exists, inArray, isNull, not, sql } from 'drizzle-orm';
import type { StockKind } from '@/core/shelf/cutting';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { holdWorkshop, says } from './saving';
import { strings } from './racket-schema';
import { tickets } from './ticket-schema';
import {
  NOTHING_MM,
  stockLengths,
  stockMoves,
  stockUses,
  THERE,
  type MoveKind,
} from './shelf-schema';

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

/** A piece that was cut for a ticket. */
export interface CutForTicket {
  /** Its name, with what happened to the one before where it is not the first. */
  readonly piece: string;
  readonly mm: number;
  readonly undone: boolean;
}

const undoing = aliasedTable(stockMoves, 'undoing');

/** The shelf of one workshop. */
export function shelfOf(db: Connection, workshopId: string) {
  const mine = eq(stockLengths.workshopId, workshopId);
  const isCut = and(eq(stockMoves.workshopId, workshopId), eq(stockMoves.kind, 'cut'));
  const isUndone = exists(
    db.select({ id: undoing.id }).from(undoing).where(eq(undoing.undoes, stockMoves.id)),
  ).mapWith(Boolean);
  const leftOf = async (id: string): Promise<number | undefined> => {
    const [row] = await db
      .select({ left: stockLengths.leftMm })
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
    there: (): Promise<LengthThere[]> =>
      db
        .select({
          id: stockLengths.id,
          stringId: stockLengths.stringId,
          string: strings.name,
          gaugeMm: stockLengths.gaugeMm,
          kind: stockLengths.kind,
          mm: stockLengths.mm,
          leftMm: stockLengths.leftMm,
          priceMinor: stockLengths.priceMinor,
          supplier: stockLengths.supplier,
          place: stockLengths.place,
          day: stockLengths.day,
        })
        .from(stockLengths)
        .innerJoin(strings, eq(strings.id, stockLengths.stringId))
        .where(and(mine, THERE))
        .orderBy(
          asc(strings.name),
          asc(stockLengths.gaugeMm),
          asc(stockLengths.leftMm),
          asc(stockLengths.day),
        ),

    /** The same for who cuts from it: a second one waits here. Call it inside a transaction. */
    async thereToCut(): Promise<LengthThere[]> {
      await holdWorkshop(db, workshopId);
      return this.there();
    },

    /**
     * Puts some on the shelf that are alike; the same form sent twice puts them there once. Says whether they are there:
     * where it put others there before, nothing is done. Call it inside a transaction.
     *
     * @param next the id that one more would have had
     */
    async buy(
      personId: string,
      ids: readonly string[],
      facts: Bought,
      next: string = randomUUID(),
    ): Promise<boolean> {
      await holdWorkshop(db, workshopId);
      const before = await db
        .select()
        .from(stockLengths)
        .where(and(mine, inArray(stockLengths.id, [...ids, next])));
      // The day of the press before may have been another one.
      const { day, ...same } = facts;
      if (before.length > 0)
        return before.length === ids.length && before.every((row) => says(row, same));
      await db
        .insert(stockLengths)
        .values(ids.map((id) => ({ ...same, day, id, workshopId, personId })));
      return true;
    },

    /** Takes pieces of a ticket off lengths, each once by its id. Call it inside a transaction. */
    async cut(
      personId: string,
      ticketId: string,
      cuts: readonly {
        readonly id?: string;
        readonly lengthId: string;
        readonly mm: number;
        readonly note: string;
      }[],
    ): Promise<void> {
      for (const { id = randomUUID(), lengthId, mm, note } of cuts)
        await move(personId, { id, lengthId, kind: 'cut', mm: -mm, ticketId, note });
    },

    /** Whether anything ever lay on it: a house that keeps none is not asked about it. */
    isKept: async (): Promise<boolean> =>
      (await db.select({ id: stockLengths.id }).from(stockLengths).where(mine).limit(1)).length > 0,

    /** What was cut for a ticket, with what was taken back. */
    async cutsFor(ticketId: string): Promise<readonly CutForTicket[]> {
      return db
        .select({ piece: stockMoves.note, mm: sql<number>`-${stockMoves.mm}`, undone: isUndone })
        .from(stockMoves)
        .where(and(isCut, eq(stockMoves.ticketId, ticketId)));
    },

    /** Which of the open tickets are cut already. */
    async cutOfOpen(): Promise<ReadonlySet<string>> {
      const rows = await db
        .selectDistinct({ id: tickets.id })
        .from(stockMoves)
        .innerJoin(tickets, eq(tickets.id, stockMoves.ticketId))
        .where(and(isCut, isNull(tickets.closedAt), isNull(tickets.withdrawnAt), not(isUndone)));
      return new Set(rows.map(({ id }) => id));
    },

    /** So much of it is there, whatever was thought. Call it inside a transaction. */
    async count(personId: string, id: string, lengthId: string, leftMm: number): Promise<boolean> {
      await holdWorkshop(db, workshopId);
      const before = await leftOf(lengthId);
      if (before === undefined) return false;
      const { rowCount } = await move(personId, {
        id,
        lengthId,
        kind: 'counted',
        mm: leftMm - before,
      });
      // The same press again; with another figure it is another count.
      return rowCount === 1 || before === leftMm;
    },

    /** It is not there any more. Call it inside a transaction. */
    async throwAway(personId: string, id: string, lengthId: string): Promise<boolean> {
      await holdWorkshop(db, workshopId);
      const before = await leftOf(lengthId);
      if (before === undefined || before < NOTHING_MM) return false;
      await move(personId, { id, lengthId, kind: 'thrown away', mm: -before });
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
      const rest = ((await leftOf(row.lengthId)) ?? 0) - row.mm;
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

    /** Takes back all that was cut for a ticket. Call it inside a transaction. */
    async undoCutsFor(personId: string, ticketId: string): Promise<void> {
      const cuts = await db
        .select({ id: stockMoves.id })
        .from(stockMoves)
        .where(and(isCut, eq(stockMoves.ticketId, ticketId), not(isUndone)));
      for (const { id } of cuts) await this.undo(personId, id);
    },

    /** The latest movements; what hangs on each is asked for it alone, for so many joins take longer to plan than to walk. */
    async moves(limit: number): Promise<ShownMove[]> {
      const latest = db
        .select()
        .from(stockMoves)
        .where(eq(stockMoves.workshopId, workshopId))
        .orderBy(sql`${stockMoves.at} desc nulls last`, desc(stockMoves.id))
        .limit(limit)
        .as('latest');
      return db
        .select({
          id: latest.id,
          at: latest.at,
          kind: latest.kind,
          mm: latest.mm,
          string: strings.name,
          gaugeMm: stockLengths.gaugeMm,
          number: sql<
            number | null
          >`(select ${tickets.number} from ${tickets} where ${tickets.id} = ${latest.ticketId})`,
          who: sql<
            string | null
          >`(select ${people.name} from ${people} where ${people.id} = ${latest.personId})`,
          note: latest.note,
          undone: sql<boolean>`exists (select from ${stockMoves} where ${stockMoves.undoes} = ${latest.id})`,
        })
        .from(latest)
        .innerJoin(stockLengths, eq(stockLengths.id, latest.lengthId))
        .innerJoin(strings, eq(strings.id, stockLengths.stringId))
        .orderBy(desc(latest.at), desc(latest.id));
    },

    /** What was paid on average for a millimetre of each string and gauge, the last times that it was bought. */
    async pricePerMm(times = 10): Promise<ReadonlyMap<string, number>> {
      const { rows } = await db.execute<{ string_id: string; gauge_mm: number; price: number }>(sql`
        select ${strings.id} string_id, thickness gauge_mm, price
        from ${strings}, unnest(${strings.gaugesMm}) thickness, lateral (
          select sum(price_minor)::float8 / sum(mm) price from (
            select price_minor, mm from ${stockLengths}
            where ${stockLengths.workshopId} = ${workshopId} and ${stockLengths.stringId} = ${strings.id} and ${stockLengths.gaugeMm} = thickness
            order by ${stockLengths.day} desc nulls last limit ${times}
          ) bought
        ) paid
        where ${strings.workshopId} = ${workshopId} and price is not null`);
      return new Map(
        rows.map(({ string_id, gauge_mm, price }) => [stockKey(string_id, gauge_mm), price]),
      );
    },

    /** What was cut of each string and gauge in each of the last weeks of seven days, mm, the latest last. */
    async usedByWeek(weeks: number): Promise<ReadonlyMap<string, readonly number[]>> {
      const ago = sql<number>`((now() at time zone 'UTC')::date - ${stockUses.day}) / 7`;
      const byWeek = db
        .select({
          stringId: stockUses.stringId,
          gaugeMm: stockUses.gaugeMm,
          ago: ago.as('ago'),
          mm: sql<number>`sum(${stockUses.mm})`.as('mm'),
        })
        .from(stockUses)
        .where(
          and(
            eq(stockUses.workshopId, workshopId),
            sql`${stockUses.day} > (now() at time zone 'UTC')::date - 7 * ${weeks}::int`,
          ),
        )
        .groupBy(stockUses.stringId, stockUses.gaugeMm, sql`3`)
        .as('by_week');
      // A row for each string: rows are what takes long on the way here.
      const rows = await db
        .select({
          stringId: byWeek.stringId,
          gaugeMm: byWeek.gaugeMm,
          agos: sql<number[]>`array_agg(${byWeek.ago})`,
          mms: sql<number[]>`array_agg(${byWeek.mm})`,
        })
        .from(byWeek)
        .groupBy(byWeek.stringId, byWeek.gaugeMm);
      return new Map(
        rows.map(({ stringId, gaugeMm, agos, mms }) => {
          const used = Array.from({ length: weeks }, () => 0);
          for (const [i, week] of agos.entries()) used[weeks - 1 - week] = mms[i] ?? 0;
          return [stockKey(stringId, gaugeMm), used];
        }),
      );
    },
  };
}

/** One string in one gauge. */
export const stockKey = (stringId: string, gaugeMm: number): string =>
  `${stringId} ${gaugeMm.toFixed(2)}`;
