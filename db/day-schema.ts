/** Where and when a workshop strings: its benches with their hours, and what somebody arranged for a ticket. */
import { sql } from 'drizzle-orm';
import {
  check,
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Hand } from '@/core/bench/times';
import { document } from './document';
import { ofWorkshop, people } from './doors-schema';
import { machines } from './racket-schema';
import { tickets } from './ticket-schema';
import { ownedRow } from './workshop-schema';
import { BENCH_HOURS } from './shapes';

/** A place at which one racket after the other is strung. */
export const benches = pgTable(
  'benches',
  {
    ...ownedRow(),
    name: text().notNull(),
    /** The machine that stands there; null where any does. */
    machineId: uuid(),
    /** Who works there, as far as it bears on how long a racket takes. */
    hand: text().$type<Hand>().notNull().default('practised'),
    hours: document(BENCH_HOURS).notNull(),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    foreignKey({
      columns: [t.workshopId, t.machineId],
      foreignColumns: [machines.workshopId, machines.id],
    }),
    ofWorkshop(t.workshopId),
  ],
);

/** What somebody said of an open ticket's place in the day; the plan sees to the rest. */
export const arrangements = pgTable(
  'arrangements',
  {
    ticketId: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    /** Both or neither: it comes at this turn on this bench. */
    benchId: uuid(),
    turn: integer(),
    /** Before it, the racket or its string is not here; on the workshop’s clock. */
    hereFrom: text(),
    /** Who took it to string it, when, and where they stand; all null where nobody has. */
    takenBy: uuid().references(() => people.id),
    takenAt: timestamp({ withTimezone: true }),
    takenBenchId: uuid(),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.benchId],
      foreignColumns: [benches.workshopId, benches.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.takenBenchId],
      foreignColumns: [benches.workshopId, benches.id],
    }),
    check('a turn is at a bench', sql`(${t.benchId} is null) = (${t.turn} is null)`),
    index().on(t.workshopId),
    ofWorkshop(t.workshopId),
  ],
);
