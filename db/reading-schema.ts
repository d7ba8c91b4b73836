/** Finished beds that were read: what was seen of them. What it tells is worked out, and not kept. */
import { foreignKey, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { document } from './document';
import { ofWorkshop, people } from './doors-schema';
import { rackets } from './racket-schema';
import { workshops } from './workshop-schema';
import { BED_SEEN } from './shapes';

export const bedsRead = pgTable(
  'beds_read',
  {
    id: uuid().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    racketId: uuid().notNull(),
    /** On the workshop’s clock. */
    takenOn: text().notNull(),
    seen: document(BED_SEEN).notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    personId: uuid().references(() => people.id),
    /** Taken back: it was another racket, or a slip. */
    removedAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.racketId],
      foreignColumns: [rackets.workshopId, rackets.id],
    }),
    index().on(t.workshopId, t.racketId),
    ofWorkshop(t.workshopId),
  ],
);
