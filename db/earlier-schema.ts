/** Jobs that were done before this record began, as a table of elsewhere has them. */
import { sql } from 'drizzle-orm';
import {
  check,
  date,
  doublePrecision,
  foreignKey,
  index,
  pgTable,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import type { TensionUnit } from '@/core/measure/units';
import { ofWorkshop } from './doors-schema';
import { money } from './money-column';
import { rackets } from './racket-schema';

export const earlierJobs = pgTable(
  'earlier_jobs',
  {
    id: uuid().primaryKey().defaultRandom(),
    workshopId: uuid().notNull(),
    racketId: uuid().notNull(),
    day: date({ mode: 'string' }).notNull(),
    mainN: doublePrecision(),
    crossN: doublePrecision(),
    tensionUnit: text().$type<TensionUnit>(),
    mains: text().notNull(),
    crosses: text().notNull(),
    priceMinor: money(),
    /** What its price was in; the workshop's may change. */
    currency: text().notNull(),
    notes: text().notNull(),
    broughtAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.racketId],
      foreignColumns: [rackets.workshopId, rackets.id],
    }),
    index().on(t.workshopId, t.racketId, t.day.desc()),
    check(
      'a tension is whole or not known',
      sql`num_nulls(${t.mainN}, ${t.crossN}, ${t.tensionUnit}) in (0, 3)`,
    ),
    ofWorkshop(t.workshopId),
  ],
);
