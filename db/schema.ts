import { sql } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { AdviceRecord } from '@/core/advice/record';
import type { NotFor } from '@/core/advice/shelf';
import type { Family, Shape } from '@/core/family';
import type { FrameSpec } from '@/core/frame';
import type { HouseRules } from '@/core/house-rules';
import type { CutAssumptions } from '@/core/lengths';
import type { Method } from '@/core/method';
import type { MethodPreference } from '@/core/methods';
import type { CutSourceKind, JobRecord } from '@/core/record';
import type { Side } from '@/core/outline';
import type { Sport } from '@/core/sport';
import type { Talk } from '@/core/talk';
import type { LengthSystem, TensionUnit } from '@/core/units';

/**
 * Every row belongs to a workshop. Keys between tables carry the workshop too, so the database
 * itself refuses a racket of one workshop on a ticket of another.
 */
export const workshops = pgTable('workshops', {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull(),
  tensionUnit: text().$type<TensionUnit>().notNull(),
  lengthSystem: text().$type<LengthSystem>().notNull(),
  currency: text().notNull(),
  timeZone: text().notNull(),
  labourMinor: integer().notNull(),
  cutAssumptions: jsonb().$type<CutAssumptions>().notNull(),
  methodPreference: text().$type<MethodPreference>().notNull().default('fewest losses at knots'),
  /** Null goes by what is usual. */
  houseRules: jsonb().$type<HouseRules>(),
  nextTicket: integer().notNull().default(1),
  version: integer().notNull().default(1),
});

const ownedRow = () => ({
  id: uuid().primaryKey().defaultRandom(),
  workshopId: uuid()
    .notNull()
    .references(() => workshops.id),
  /** Grows with each change; a form that was opened on an older one is told so. */
  version: integer().notNull().default(1),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  removedAt: timestamp({ withTimezone: true }),
});

export const clients = pgTable(
  'clients',
  {
    ...ownedRow(),
    name: text().notNull(),
    contact: text().notNull(),
    /** The client's own habit on their papers; null follows the workshop. */
    tensionUnit: text().$type<TensionUnit>(),
    notes: text().notNull(),
    /** What they said of themselves; null until somebody has asked. */
    talk: jsonb().$type<Talk>(),
  },
  (t) => [unique().on(t.workshopId, t.id), index().on(t.workshopId, t.name)],
);

export const frames = pgTable(
  'frames',
  {
    ...ownedRow(),
    name: text().notNull(),
    sport: text().$type<Sport>().notNull(),
    spec: jsonb().$type<FrameSpec>().notNull(),
  },
  (t) => [unique().on(t.workshopId, t.id), index().on(t.workshopId, t.name)],
);

export const strings = pgTable(
  'strings',
  {
    ...ownedRow(),
    name: text().notNull(),
    sport: text().$type<Sport>().notNull(),
    family: text().$type<Family>().notNull(),
    subKind: text().notNull().default(''),
    shape: text().$type<Shape>().notNull().default('round'),
    colour: text().notNull().default(''),
    gaugesMm: doublePrecision().array().notNull(),
    setMm: doublePrecision().notNull(),
    setPriceMinor: integer().notNull(),
    reelMm: doublePrecision(),
    reelPriceMinor: integer(),
    /** Of a metre, g. */
    massGPerM: doublePrecision(),
    /** Fraction by which it is longer under pull; null goes by its family. */
    stretch: doublePrecision(),
    /** Hours of play until it is dead or worn; null goes by its family. */
    lifeHours: doublePrecision(),
    /** Share of its tension kept after ten hours. */
    holding: doublePrecision(),
    notFor: text().array().$type<NotFor[]>().notNull().default([]),
    notes: text().notNull(),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    index().on(t.workshopId, t.name),
    check(
      'a reel has a length and a price',
      sql`(${t.reelMm} is null) = (${t.reelPriceMinor} is null)`,
    ),
  ],
);

/** A stringing machine; what differs between two of them so far is how far its gripper is away. */
export const machines = pgTable(
  'machines',
  {
    ...ownedRow(),
    name: text().notNull(),
    gripperMm: doublePrecision().notNull(),
  },
  (t) => [unique().on(t.workshopId, t.id)],
);

export const rackets = pgTable(
  'rackets',
  {
    ...ownedRow(),
    clientId: uuid().notNull(),
    /** Null until the frame has been entered at the Frame station. */
    frameId: uuid(),
    /** What the client calls the frame, until it is in the library. */
    label: text().notNull(),
    /** Serial or bench mark. */
    mark: text().notNull(),
    notes: text().notNull(),
    /** Weight, grip, lead: what was said of it at Setup. */
    build: jsonb().$type<Talk['racket']>(),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    foreignKey({
      columns: [t.workshopId, t.clientId],
      foreignColumns: [clients.workshopId, clients.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.frameId],
      foreignColumns: [frames.workshopId, frames.id],
    }),
    index().on(t.workshopId, t.clientId),
  ],
);

export const tickets = pgTable(
  'tickets',
  {
    ...ownedRow(),
    number: integer().notNull(),
    /** Made by the form; a form that is sent twice makes one ticket. */
    requestKey: uuid().notNull(),
    racketId: uuid().notNull(),
    takenIn: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** On the workshop's clock, `2026-11-27T17:00`. */
    promised: text().notNull(),
    wish: text().notNull(),
    condition: text().notNull(),

    mainStringId: uuid(),
    mainGaugeMm: doublePrecision(),
    mainSupplied: boolean().notNull().default(false),
    crossStringId: uuid(),
    crossGaugeMm: doublePrecision(),
    crossSupplied: boolean().notNull().default(false),
    mainN: doublePrecision(),
    crossN: doublePrecision(),
    tensionUnit: text().$type<TensionUnit>(),
    /** What was advised, with the rules of the house as they were then. */
    advice: jsonb().$type<AdviceRecord>(),

    method: text().$type<Method>(),
    shortSide: text().$type<Side>(),
    crossStart: text().$type<Side>(),
    cutFrom: text().$type<CutSourceKind>(),
    /** Lengths at hand when it is cut from remnants: one for all, or one a piece. */
    remnantsMm: doublePrecision().array(),
    /** Null goes by the workshop's own assumption of its gripper. */
    machineId: uuid(),

    closedAt: timestamp({ withTimezone: true }),
    labourMinor: integer(),
    stringMinor: integer(),
    record: jsonb().$type<JobRecord>(),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    unique().on(t.workshopId, t.number),
    unique().on(t.workshopId, t.requestKey),
    foreignKey({
      columns: [t.workshopId, t.racketId],
      foreignColumns: [rackets.workshopId, rackets.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.mainStringId],
      foreignColumns: [strings.workshopId, strings.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.crossStringId],
      foreignColumns: [strings.workshopId, strings.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.machineId],
      foreignColumns: [machines.workshopId, machines.id],
    }),
    check(
      'a cut is planned as a whole or not at all',
      sql`num_nulls(${t.method}, ${t.shortSide}, ${t.crossStart}, ${t.cutFrom}, ${t.remnantsMm}) in (0, 5)`,
    ),
    index().on(t.workshopId, t.closedAt),
    index().on(t.workshopId, t.racketId),
    check('a closed ticket has its record', sql`(${t.closedAt} is null) = (${t.record} is null)`),
  ],
);

/** What was done at the bench: each row says how many steps of the sequence are done after it. */
export const benchEvents = pgTable(
  'bench_events',
  {
    /** Made by the bench; sent twice, it is kept once. */
    id: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    ticketId: uuid().notNull(),
    /** In the order in which they arrived. */
    arrived: bigserial({ mode: 'number' }).notNull(),
    done: integer().notNull(),
    /** On the clock of the bench, which may have been without a connection. */
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    index().on(t.ticketId, t.arrived),
    check('steps are counted from none', sql`${t.done} >= 0`),
  ],
);
