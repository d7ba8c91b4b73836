/** What was measured of a bed after it was strung. */
import { sql } from 'drizzle-orm';
import {
  check,
  doublePrecision,
  foreignKey,
  index,
  pgTable,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import type { ReadingKind } from '@/core/ageing/readings';
import { ofWorkshop, people } from './doors-schema';
import { tickets, workshops } from './schema';

export const bedReadings = pgTable(
  'bed_readings',
  {
    id: uuid().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    /** The job that strung the bed. */
    ticketId: uuid().notNull(),
    /** On the workshop’s clock. */
    takenOn: text().notNull(),
    kind: text().$type<ReadingKind>().notNull(),
    /** Hz, a tester’s figure, mm under a mass, or N. */
    value: doublePrecision().notNull(),
    massG: doublePrecision(),
    /** Of a tester, as its owner calls it. */
    unit: text().notNull().default(''),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    personId: uuid().references(() => people.id),
    /** Taken back: it was another racket, or a slip. */
    removedAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    check('a reading is something', sql`${t.value} > 0`),
    index().on(t.workshopId, t.ticketId),
    ofWorkshop(t.workshopId),
  ],
);
