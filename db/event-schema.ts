/** Tournaments: their days and prices, who plays, and the rackets that come in by the bag. */
import {
  boolean,
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  unique,
  uuid,
  doublePrecision,
} from 'drizzle-orm/pg-core';
import type { Sport } from '@/core/terms/sport';
import { benches } from './day-schema';
import { document } from './document';
import { ofWorkshop } from './doors-schema';
import { money } from './money-column';
import { clients, strings } from './racket-schema';
import { tickets } from './ticket-schema';
import { ownedRow } from './workshop-schema';
import { EVENT_DAYS, STANDING_ORDERS } from './shapes';

export const events = pgTable(
  'events',
  {
    ...ownedRow(),
    name: text().notNull(),
    sport: text().$type<Sport>().notNull(),
    /** Its days with the hours of its benches. */
    days: document(EVENT_DAYS).notNull(),
    /** The benches that stand there. */
    benchIds: uuid().array().notNull(),
    /** So long before a match its rackets are ready. */
    leadMin: integer().notNull(),
    labourMinor: money().notNull(),
    /** Where the player brings the string. */
    ownStringMinor: money().notNull(),
    /** On top, where it is wanted within `rushMin`; 0 for nothing. */
    rushMinor: money().notNull(),
    rushMin: integer().notNull(),
    /** All rackets of a player at one bench. */
    oneBench: boolean().notNull(),
    boardNames: boolean().notNull(),
  },
  (t) => [unique().on(t.workshopId, t.id), ofWorkshop(t.workshopId)],
);

export const eventPlayers = pgTable(
  'event_players',
  {
    ...ownedRow(),
    eventId: uuid().notNull(),
    clientId: uuid().notNull(),
    orders: document(STANDING_ORDERS).notNull(),
    mainStringId: uuid(),
    mainGaugeMm: doublePrecision(),
    crossStringId: uuid(),
    crossGaugeMm: doublePrecision(),
    supplied: boolean().notNull(),
    /** Where they want it strung. */
    benchId: uuid(),
    /** Where it was given to while they want no bench by name; it is given anew when their match moves. */
    givenBenchId: uuid(),
    /** When they play next, on the workshop’s clock; null while nobody knows. */
    onCourt: text(),
    court: text().notNull().default(''),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    unique().on(t.eventId, t.clientId),
    foreignKey({
      columns: [t.workshopId, t.eventId],
      foreignColumns: [events.workshopId, events.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.clientId],
      foreignColumns: [clients.workshopId, clients.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.benchId],
      foreignColumns: [benches.workshopId, benches.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.givenBenchId],
      foreignColumns: [benches.workshopId, benches.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.mainStringId],
      foreignColumns: [strings.workshopId, strings.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.crossStringId],
      foreignColumns: [strings.workshopId, strings.id],
    }),
    ofWorkshop(t.workshopId),
  ],
);

/** A ticket that came in at an event, with the number on its tag. */
export const eventRackets = pgTable(
  'event_rackets',
  {
    ticketId: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    eventId: uuid().notNull(),
    playerId: uuid().notNull(),
    tag: integer().notNull(),
  },
  (t) => [
    unique().on(t.eventId, t.tag),
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.eventId],
      foreignColumns: [events.workshopId, events.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.playerId],
      foreignColumns: [eventPlayers.workshopId, eventPlayers.id],
    }),
    index().on(t.workshopId, t.playerId),
    ofWorkshop(t.workshopId),
  ],
);
