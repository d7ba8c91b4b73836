/**
 * What is needed to let somebody in, before it is known where they work. No workshop owns these rows; only
 * the connection of the doors reads them, and the one of the records reads no more than a name.
 */
import { sql, type AnyColumn, type SQL } from 'drizzle-orm';
import {
  bigint,
  boolean,
  index,
  integer,
  pgPolicy,
  pgTable,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';

// Each is asked for once a question, as a select of its own: asked row by row it made up most of a long walk.

/** The workshop that a transaction works in, as it was signed for (`walls.ts`); null in none. */
export const WORKSHOP = sql`(select at_workshop())`;
/** Who works in a transaction, signed for likewise. */
export const PERSON = sql`(select at_person())`;

/** A wall: rows that do not satisfy this are neither seen nor written. */
export const wall = (seen: SQL, written: SQL = seen) =>
  pgPolicy('wall', {
    for: 'all',
    using: seen,
    withCheck: written,
  });

/** Rows of the workshop that is at work, and no others. */
export const ofWorkshop = (workshopId: AnyColumn) => wall(sql`${workshopId} = ${WORKSHOP}`);

/** At the doors no workshop is known yet. */
const atTheDoors = () => wall(sql`${WORKSHOP} is null`);

const instant = () => timestamp({ withTimezone: true });
const stamped = () => ({
  createdAt: instant().notNull().defaultNow(),
  updatedAt: instant().notNull().defaultNow(),
});

export const people = pgTable(
  'people',
  {
    id: uuid().primaryKey().defaultRandom(),
    /** As papers and the trail write it. */
    name: text().notNull(),
    /** Where messages go. */
    email: text().notNull().unique(),
    emailVerified: boolean().notNull().default(false),
    image: text(),
    /** What they sign in with. */
    username: text().unique(),
    displayUsername: text(),
    /** Whether a password alone does not let them in. */
    twoFactorEnabled: boolean().notNull().default(false),
    ...stamped(),
  },
  (t) => [
    wall(
      sql`${WORKSHOP} is null or exists (select 1 from members where members.person_id = ${t.id} and members.workshop_id = ${WORKSHOP})`,
      sql`${WORKSHOP} is null`,
    ),
  ],
);

const ofPerson = () =>
  uuid()
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' });

export const sessions = pgTable(
  'sessions',
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson(),
    token: text().notNull().unique(),
    expiresAt: instant().notNull(),
    ipAddress: text(),
    userAgent: text(),
    /** Where they work; null until they have chosen. */
    workshopId: uuid(),
    /** The trusted device that it is on. */
    deviceId: uuid(),
    /** Left alone since then: nothing is done until a code is given. */
    lockedAt: instant(),
    /** Who watches what a learner strings. */
    watchedBy: uuid(),
    /** When somebody was last at it, to the minute; of sessions on a trusted device alone. */
    seenAt: instant(),
    /** Made or opened again by a short code: it is for the work of a day, until a password is given. */
    byCode: boolean().notNull().default(false),
    /** Made by a passkey, which is two factors in one. */
    byPasskey: boolean().notNull().default(false),
    /** When the password was given last on a session that a code had made. */
    provenAt: instant(),
    ...stamped(),
  },
  (t) => [index().on(t.userId), atTheDoors()],
);

export const accounts = pgTable(
  'accounts',
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson(),
    accountId: text().notNull(),
    providerId: text().notNull(),
    /** Its hash, by scrypt with a salt of its own. */
    password: text(),
    accessToken: text(),
    refreshToken: text(),
    idToken: text(),
    accessTokenExpiresAt: instant(),
    refreshTokenExpiresAt: instant(),
    scope: text(),
    ...stamped(),
  },
  (t) => [index().on(t.userId), atTheDoors()],
);

/** Links and challenges that are good for one time. */
export const verifications = pgTable(
  'verifications',
  {
    id: uuid().primaryKey().defaultRandom(),
    identifier: text().notNull(),
    value: text().notNull(),
    expiresAt: instant().notNull(),
    ...stamped(),
  },
  (t) => [index().on(t.identifier), atTheDoors()],
);

export const passkeys = pgTable(
  'passkeys',
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson(),
    name: text(),
    publicKey: text().notNull(),
    credentialID: text().notNull(),
    counter: integer().notNull(),
    deviceType: text().notNull(),
    backedUp: boolean().notNull(),
    transports: text(),
    aaguid: text(),
    createdAt: instant().defaultNow(),
  },
  (t) => [index().on(t.userId), index().on(t.credentialID), atTheDoors()],
);

/** What is asked beside a password: the secret of an app's codes (RFC 6238), and spare codes, both encrypted. */
export const secondSteps = pgTable(
  'second_steps',
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson().unique(),
    secret: text().notNull(),
    backupCodes: text().notNull(),
    /** Whether a code of it was given once; until then it is not asked for. */
    verified: boolean().notNull().default(false),
    failedVerificationCount: integer().notNull().default(0),
    lockedUntil: instant(),
  },
  () => [atTheDoors()],
);

/** Requests at the doors, by address. */
export const rateLimits = pgTable(
  'rate_limits',
  {
    id: uuid().primaryKey().defaultRandom(),
    key: text().notNull().unique(),
    count: integer().notNull(),
    lastRequest: bigint({ mode: 'number' }).notNull(),
  },
  () => [atTheDoors()],
);

/** Wrong passwords and codes, by name and by device. */
export const attempts = pgTable(
  'attempts',
  {
    key: text().primaryKey(),
    points: integer().notNull().default(0),
    /** Instant in ms at which they are forgotten. */
    expire: bigint({ mode: 'number' }),
  },
  () => [atTheDoors()],
);

/** What the place of a transaction is signed by (`walls.ts`). Only the owner of the tables reads it. */
export const wallKeys = pgTable('wall_keys', { key: text().primaryKey() }, () => [wall(sql`true`)]);
