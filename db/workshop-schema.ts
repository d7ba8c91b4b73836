/** A workshop, who works in it, and the trail of what they change. */
import { sql } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Hand } from '@/core/bench/times';
import type { MethodPreference } from '@/core/cut/methods';
import type { LengthSystem, TensionUnit } from '@/core/measure/units';
import type { Role } from '@/core/house/role-rights';
import { document } from './document';
import { ofWorkshop, people, PERSON, wall, WORKSHOP } from './doors-schema';
import { money } from './money-column';
import { CUT_ASSUMPTIONS, HOUSE_RULES, TEMPLATES } from './shapes';

/**
 * Every row belongs to a workshop. Keys between tables carry the workshop too, so the database
 * itself refuses a racket of one workshop on a ticket of another.
 */
export const workshops = pgTable(
  'workshops',
  {
    id: uuid().primaryKey().defaultRandom(),
    name: text().notNull(),
    tensionUnit: text().$type<TensionUnit>().notNull(),
    lengthSystem: text().$type<LengthSystem>().notNull(),
    currency: text().notNull(),
    timeZone: text().notNull(),
    labourMinor: money().notNull(),
    cutAssumptions: document(CUT_ASSUMPTIONS).notNull(),
    methodPreference: text().$type<MethodPreference>().notNull().default('fewest losses at knots'),
    /** Who strings: it says how long a job takes. */
    hand: text().$type<Hand>().notNull().default('practised'),
    /** Null goes by what is usual. */
    houseRules: document(HOUSE_RULES),
    /** How figures and days stand on its papers, BCP 47. */
    locale: text().notNull().default('en-GB'),
    /** As it stands on its papers, line by line. */
    address: text().notNull().default(''),
    /** Two letters of ISO 3166. */
    country: text().notNull().default(''),
    taxNumber: text().notNull().default(''),
    /** Whether its prices hold their tax already. */
    taxIncluded: boolean().notNull().default(true),
    /** Hundredths of a percent. */
    labourTaxBp: integer().notNull().default(0),
    stringTaxBp: integer().notNull().default(0),
    /** Its own words to clients; null goes by what is usual. */
    templates: document(TEMPLATES),
    /** Whether its owners come in by a password alone no more. */
    ownersSecondStep: boolean().notNull().default(false),
    nextTicket: integer().notNull().default(1),
    nextInvoice: integer().notNull().default(1),
    version: integer().notNull().default(1),
  },
  (t) => [
    // Whoever is signed in sees the workshops that they belong to, to choose from.
    wall(
      sql`${t.id} = ${WORKSHOP} or exists (select 1 from members where members.workshop_id = ${t.id} and members.person_id = ${PERSON} and members.left_at is null)`,
      sql`${t.id} = ${WORKSHOP}`,
    ),
  ],
);

export const ownedRow = () => ({
  id: uuid().primaryKey().defaultRandom(),
  workshopId: uuid()
    .notNull()
    .references(() => workshops.id),
  /** Grows with each change; a form that was opened on an older one is told so. */
  version: integer().notNull().default(1),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  removedAt: timestamp({ withTimezone: true }),
});

/** Who works in a workshop, and as what. */
export const members = pgTable(
  'members',
  {
    id: uuid().primaryKey().defaultRandom(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    personId: uuid()
      .notNull()
      .references(() => people.id),
    role: text().$type<Role>().notNull(),
    /** Of the short code for a trusted device, by scrypt; null without one. */
    codeHash: text(),
    version: integer().notNull().default(1),
    since: timestamp({ withTimezone: true }).notNull().defaultNow(),
    leftAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    unique().on(t.workshopId, t.personId),
    index().on(t.personId),
    wall(
      sql`${t.workshopId} = ${WORKSHOP} or ${t.personId} = ${PERSON}`,
      sql`${t.workshopId} = ${WORKSHOP}`,
    ),
  ],
);

/** Somebody who is asked to work here, until they take it, or it is withdrawn or too old. */
export const invitations = pgTable(
  'invitations',
  {
    id: uuid().primaryKey().defaultRandom(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    /** Of what stands in the address that opens it, by SHA-256. */
    tokenHash: text().notNull().unique(),
    name: text().notNull(),
    address: text().notNull(),
    role: text().$type<Role>().notNull(),
    invitedBy: uuid()
      .notNull()
      .references(() => people.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    takenAt: timestamp({ withTimezone: true }),
    withdrawnAt: timestamp({ withTimezone: true }),
  },
  (t) => [index().on(t.workshopId), ofWorkshop(t.workshopId)],
);

/** A device of the workshop that was trusted once: on it, hands change with a short code. */
export const devices = pgTable(
  'devices',
  {
    id: uuid().primaryKey().defaultRandom(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    name: text().notNull(),
    /** SHA-256 of what its cookie holds. */
    tokenHash: text().notNull().unique(),
    trustedBy: uuid()
      .notNull()
      .references(() => people.id),
    trustedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** After too many wrong codes it takes none, until somebody signs in on it by password. */
    closedAt: timestamp({ withTimezone: true }),
    removedAt: timestamp({ withTimezone: true }),
  },
  (t) => [index().on(t.workshopId), ofWorkshop(t.workshopId)],
);

/**
 * Every change of a row, with who and when. Triggers write it (`0007_trail.sql`), and nobody may change or
 * take away what stands in it.
 */
export const trail = pgTable(
  'trail',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    workshopId: uuid().notNull(),
    /** Null for a command of the machine itself. */
    personId: uuid(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** The table, and the row of it. */
    about: text().notNull(),
    rowId: uuid().notNull(),
    /** What people call it. */
    name: text().notNull(),
    deed: text().$type<'added' | 'changed' | 'removed' | 'put back'>().notNull(),
    /** What was changed: before and after by column; documents by name only. */
    changes: jsonb()
      .$type<Readonly<Record<string, readonly [unknown, unknown] | null>>>()
      .notNull(),
  },
  (t) => [
    index().on(t.workshopId, t.about, t.rowId),
    index().on(t.workshopId, t.at),
    ofWorkshop(t.workshopId),
  ],
);
