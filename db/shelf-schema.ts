/** Lengths of string on the shelf, and every movement of them. */
import { sql } from 'drizzle-orm';
import {
  check,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { StockKind } from '@/core/shelf/cutting';
import { ofWorkshop, people } from './doors-schema';
import { strings, tickets, workshops } from './schema';

/** One set, reel or remnant, as it came; what is left of it follows from its movements. */
export const stockLengths = pgTable(
  'stock_lengths',
  {
    id: uuid().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    stringId: uuid().notNull(),
    gaugeMm: doublePrecision().notNull(),
    kind: text().$type<StockKind>().notNull(),
    mm: doublePrecision().notNull(),
    priceMinor: integer().notNull(),
    supplier: text().notNull().default(''),
    /** Where it lies. */
    place: text().notNull().default(''),
    day: date({ mode: 'string' }).notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    personId: uuid().references(() => people.id),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    foreignKey({
      columns: [t.workshopId, t.stringId],
      foreignColumns: [strings.workshopId, strings.id],
    }),
    index().on(t.workshopId, t.stringId, t.gaugeMm),
    check('a length is some length', sql`${t.mm} > 0`),
    ofWorkshop(t.workshopId),
  ],
);

export const MOVES = ['cut', 'counted', 'thrown away', 'undone'] as const;
export type MoveKind = (typeof MOVES)[number];

/** What became of a length; nothing is changed, a movement is undone by another. */
export const stockMoves = pgTable(
  'stock_moves',
  {
    id: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    lengthId: uuid().notNull(),
    kind: text().$type<MoveKind>().notNull(),
    /** Below 0 for what goes. */
    mm: doublePrecision().notNull(),
    ticketId: uuid(),
    /** Once at most. */
    undoes: uuid().unique(),
    note: text().notNull().default(''),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    personId: uuid().references(() => people.id),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    foreignKey({
      columns: [t.workshopId, t.lengthId],
      foreignColumns: [stockLengths.workshopId, stockLengths.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    foreignKey({ columns: [t.workshopId, t.undoes], foreignColumns: [t.workshopId, t.id] }),
    index().on(t.workshopId, t.lengthId),
    index().on(t.workshopId, t.at.desc()),
    ofWorkshop(t.workshopId),
  ],
);
