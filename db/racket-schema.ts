/** What a workshop strings for, and with: its clients, their rackets, frames, strings and machines. */
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
import type { Consent } from '@/core/advice/one-client';
import type { NotFor } from '@/core/strings/not-for';
import type { Heat } from '@/core/ageing/loss';
import type { Family, Shape } from '@/core/terms/family';
import type { ClampKind, MachineKind } from '@/core/house/machine';
import type { Sport } from '@/core/terms/sport';
import type { TensionUnit } from '@/core/measure/units';
import { document } from './document';
import { ofWorkshop } from './doors-schema';
import { money } from './money-column';
import { BALANCE, BUILD, FRAME_SPEC, MERGED, TALK } from './shapes';
import { ownedRow } from './workshop-schema';

export const clients = pgTable(
  'clients',
  {
    ...ownedRow(),
    name: text().notNull(),
    contact: text().notNull(),
    /** For an invoice. */
    address: text().notNull().default(''),
    /** Whether they may be written to, and since when they said so. */
    mayWrite: text().$type<Consent>().notNull().default('unasked'),
    mayWriteSince: timestamp({ withTimezone: true }),
    /** The client's own habit on their papers; null follows the workshop. */
    tensionUnit: text().$type<TensionUnit>(),
    notes: text().notNull(),
    /** What they said of themselves; null until somebody has asked. */
    talk: document(TALK),
    /** The client whom this one turned out to be; set when the two were merged, so that it can be undone. */
    mergedInto: uuid(),
    /** What the one who was kept was before, and became by the merge; so that parting gives back both. */
    mergedFrom: document(MERGED),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    index().on(t.workshopId, t.name),
    ofWorkshop(t.workshopId),
  ],
);

export const frames = pgTable(
  'frames',
  {
    ...ownedRow(),
    name: text().notNull(),
    sport: text().$type<Sport>().notNull(),
    spec: document(FRAME_SPEC).notNull(),
    /** How stiff its hoop is beside the usual, by calipers, and how far that was off, mm; null where nobody measured. */
    hoopFactor: doublePrecision(),
    hoopErrorMm: doublePrecision(),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    index().on(t.workshopId, t.name),
    ofWorkshop(t.workshopId),
  ],
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
    setPriceMinor: money().notNull(),
    reelMm: doublePrecision(),
    reelPriceMinor: money(),
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
    ofWorkshop(t.workshopId),
  ],
);

/** A stringing machine, as far as it bears on the cut, on the order of the work and on the pull. */
export const machines = pgTable(
  'machines',
  {
    ...ownedRow(),
    name: text().notNull(),
    gripperMm: doublePrecision().notNull(),
    kind: text().$type<MachineKind>().notNull().default('electronic constant pull'),
    /** Points at which it holds the frame. */
    mounts: integer().notNull().default(6),
    clampKind: text().$type<ClampKind>().notNull().default('fixed swivel'),
    clamps: integer().notNull().default(2),
    startingClamps: integer().notNull().default(1),
    /** What its mounts, with their adaptors, hold. */
    sports: text()
      .array()
      .$type<readonly Sport[]>()
      .notNull()
      .default(sql`'{tennis,badminton,squash}'`),
    /** Where its head answers on a line, `ws://…`; null where it is worked by hand. */
    headAddress: text(),
    /** Days from one check of its pull to the next. */
    checkEveryDays: integer().notNull().default(30),
  },
  (t) => [unique().on(t.workshopId, t.id), ofWorkshop(t.workshopId)],
);

/** A check of a machine's pull against a known weight or a spring scale. */
export const machineChecks = pgTable(
  'machine_checks',
  {
    id: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    machineId: uuid().notNull(),
    /** On the workshop's clock. */
    day: date({ mode: 'string' }).notNull(),
    askedN: doublePrecision().notNull(),
    measuredN: doublePrecision().notNull(),
    removedAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.machineId],
      foreignColumns: [machines.workshopId, machines.id],
    }),
    index().on(t.machineId, t.day),
    ofWorkshop(t.workshopId),
  ],
);

export const rackets = pgTable(
  'rackets',
  {
    ...ownedRow(),
    clientId: uuid().notNull(),
    /** Whose it was before clients were merged, one after the other. */
    clientsBefore: uuid().array().notNull().default([]),
    /** Null until the frame has been entered at the Frame station. */
    frameId: uuid(),
    /** What the client calls the frame, until it is in the library. */
    label: text().notNull(),
    /** Serial or bench mark. */
    mark: text().notNull(),
    notes: text().notNull(),
    /** Weight, grip, lead: what was said of it at Setup. */
    build: document(BUILD),
    balance: document(BALANCE),
    /** Somebody else strung it then: what is in it is not ours. `2026-11-27` */
    elsewhereOn: text(),
    /** Where it lies, as far as it bears on how it ages. */
    heat: text().$type<Heat>().notNull().default('usual'),
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
    ofWorkshop(t.workshopId),
  ],
);
