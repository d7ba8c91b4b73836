/** Lengths of string on the shelf, and every movement of them. */
import { sql } from 'drizzle-orm';
import {
  check,
  date,
  doublePrecision,
  foreignKey,
  index,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { StockKind } from '@/core/shelf/cutting';
import { ofWorkshop, people } from './doors-schema';
import { money } from './money-column';
import { strings } from './racket-schema';
import { tickets } from './ticket-schema';
import { workshops } from './workshop-schema';

/** Less than this is nothing, mm. */
export const NOTHING_MM = 1;
/** Whether anything is left of a length, as its index has it. */
export const THERE = sql.raw(`left_mm >= ${NOTHING_MM}`);

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
    /** Kept by the database at every movement: a shelf of many years has far more of them than lengths. */
    leftMm: doublePrecision().notNull().default(0),
    priceMinor: money().notNull(),
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
    index('stock_lengths_bought').on(t.workshopId, t.stringId, t.gaugeMm, t.day.desc()),
    index('stock_lengths_there').on(t.workshopId).where(THERE),
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

/** What was cut of each string in a gauge on a day, without what was taken back; kept by the database at every movement. */
export const stockUses = pgTable(
  'stock_uses',
  {
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    /** In UTC. */
    day: date({ mode: 'string' }).notNull(),
    stringId: uuid().notNull(),
    gaugeMm: doublePrecision().notNull(),
    mm: doublePrecision().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.workshopId, t.day, t.stringId, t.gaugeMm] }),
    foreignKey({
      columns: [t.workshopId, t.stringId],
      foreignColumns: [strings.workshopId, strings.id],
    }),
    ofWorkshop(t.workshopId),
  ],
);
