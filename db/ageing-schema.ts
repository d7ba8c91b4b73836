/** What was measured of a bed after it was strung. */
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
  uuid,
} from 'drizzle-orm/pg-core';
import type { ComeBack } from '@/core/ageing/comes-back';
import type { Again, CourtPlace } from '@/core/ageing/court';
import type { ReadingKind } from '@/core/ageing/readings';
import { ofWorkshop, people } from './doors-schema';
import type { Fault } from '@/core/advice/talk';
import { rackets } from './racket-schema';
import { tickets } from './ticket-schema';
import { workshops } from './workshop-schema';

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

/**
 * The beds that are out, one a racket, and when each is due. Triggers put them in and take them out, and forget the day when
 * something changes that it hangs on; the application works it out again (`app/due-days`).
 */
export const bedsOut = pgTable(
  'beds_out',
  {
    racketId: uuid().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    /** The job that strung the bed. */
    ticketId: uuid().notNull(),
    /** On the workshop’s clock; null until it is worked out. */
    dueDay: date(),
    dueBy: text().$type<ComeBack['by']>(),
    /** Of the rules that it was worked out by (`AGEING_EDITION`). */
    edition: integer().notNull().default(0),
    /** Moves when the day is forgotten, so that one that was worked out from before is not kept. */
    since: timestamp({ withTimezone: true })
      .notNull()
      .default(sql`clock_timestamp()`),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.racketId],
      foreignColumns: [rackets.workshopId, rackets.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    index().on(t.workshopId, t.dueDay),
    index().on(t.workshopId, t.edition),
    ofWorkshop(t.workshopId),
  ],
);

/** How a bed played, as its client says it; what they say later stands. */
export const courtWords = pgTable(
  'court_words',
  {
    /** The job that strung the bed. */
    ticketId: uuid().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    faults: text().array().$type<Fault[]>().notNull(),
    again: text().$type<Again>(),
    /** Hours of play after which it broke, and where; null where it did not, or nobody said. */
    brokeHours: doublePrecision(),
    brokeAt: text().$type<CourtPlace>(),
    note: text().notNull().default(''),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Who wrote it down; null where the client did, on their own page. */
    personId: uuid().references(() => people.id),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    index().on(t.workshopId),
    ofWorkshop(t.workshopId),
  ],
);
