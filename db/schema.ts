import { sql, type SQL } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  check,
  date,
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
import type { NotFor } from '@/core/strings/not-for';
import type { Heat } from '@/core/ageing/loss';
import type { Hand } from '@/core/bench/times';
import type { Family, Shape } from '@/core/terms/family';
import type { ClampKind, MachineKind } from '@/core/house/machine';
import type { Method } from '@/core/terms/method';
import type { MethodPreference } from '@/core/cut/methods';
import type { CutSourceKind } from '@/core/cut/plan';
import type { Side } from '@/core/terms/ends';
import type { Sport } from '@/core/terms/sport';
import type { LengthSystem, TensionUnit } from '@/core/measure/units';
import type { Role } from '@/core/house/policy';
import { document } from './document';
import { ofWorkshop, people, PERSON, wall, WORKSHOP } from './doors-schema';
import {
  ADVICE,
  BALANCE,
  BUILD,
  CUT_ASSUMPTIONS,
  DEED,
  DRAWN,
  EXTRA_WORK,
  FRAME_SPEC,
  HOUSE_RULES,
  INSPECTION,
  JOB_RECORD,
  LAST_LOOK,
  TALK,
  TEMPLATES,
} from './shapes';

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
    labourMinor: integer().notNull(),
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

/** What a client said to being written to. */
export type Consent = 'unasked' | 'yes' | 'no';

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
    /** Whose it was before two clients were merged. */
    clientBeforeMerge: uuid(),
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

/** A text of the record of a job, kept beside it by the database. */
const ofRecord = (path: string) =>
  text().generatedAlwaysAs((): SQL => sql.raw(`record #>> '{${path}}'`));

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
    /** Those that came over the counter together. */
    visit: uuid(),
    inspection: document(INSPECTION),
    extra: document(EXTRA_WORK),
    /** At the strung bed, while the mounts still held it. */
    lastLook: document(LAST_LOOK),

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
    advice: document(ADVICE),

    method: text().$type<Method>(),
    shortSide: text().$type<Side>(),
    crossStart: text().$type<Side>(),
    cutFrom: text().$type<CutSourceKind>(),
    /** Lengths at hand when it is cut from remnants: one for all, or one a piece. */
    remnantsMm: doublePrecision().array(),
    /** Null goes by the workshop's own assumption of its gripper. */
    machineId: uuid(),

    /** Not wanted any more, and not strung; it can be taken up again. */
    withdrawnAt: timestamp({ withTimezone: true }),
    withdrawnWhy: text().notNull().default(''),

    closedAt: timestamp({ withTimezone: true }),
    labourMinor: integer(),
    stringMinor: integer(),
    /** What the client pays, tax and all, as the record has it. */
    toPayMinor: integer(),
    /** What they have paid, as the payments add up. */
    paidMinor: integer().notNull().default(0),
    /** Null while a strung racket waits for its owner. */
    collectedAt: timestamp({ withTimezone: true }),
    record: document(JOB_RECORD),
    // What lists sort and filter by, out of the record, so that no list has to open one.
    jobClient: ofRecord('client'),
    jobSport: ofRecord('frame,sport'),
    jobFrame: ofRecord('racket,frameName'),
    jobMark: ofRecord('racket,mark'),
    jobMains: ofRecord('setup,mains,name'),
    jobCrosses: ofRecord('setup,crosses,name'),
    jobBy: ofRecord('hands,strungBy,0,name'),
    jobMachine: ofRecord('machine'),
    jobCurrency: ofRecord('price,currency'),
    benchMinutes: doublePrecision().generatedAlwaysAs((): SQL =>
      sql.raw(`(record #>> '{bench,minutes}')::double precision`),
    ),
    /** Whether it teaches the next cut, and the next promise. */
    taughtLengths: boolean().generatedAlwaysAs(
      sql`coalesce(record -> 'plan' @? '$.pieces[*].leftOverMm ? (@ != null)', false)`,
    ),
    taughtTimes: boolean().generatedAlwaysAs(
      sql`coalesce(jsonb_typeof(record -> 'bench') = 'object', false)`,
    ),
    /** What it drew; null for an open ticket, and for one that was closed before it was kept. */
    drawn: document(DRAWN),
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
    index().on(t.workshopId, t.closedAt.desc(), t.number.desc()),
    index().on(t.workshopId, t.racketId, t.number),
    index('tickets_open')
      .on(t.workshopId, t.promised)
      .where(sql`closed_at is null and withdrawn_at is null`),
    index('tickets_uncollected')
      .on(t.workshopId, t.closedAt.desc(), t.number.desc())
      .where(sql`closed_at is not null and collected_at is null`),
    index('tickets_unpaid')
      .on(t.workshopId, t.closedAt.desc(), t.number.desc())
      .where(sql`closed_at is not null and paid_minor < to_pay_minor`),
    index('tickets_taught_lengths')
      .on(t.workshopId, t.jobSport, t.closedAt.desc())
      .where(sql`taught_lengths`),
    index('tickets_taught_times')
      .on(t.workshopId, t.jobSport, t.closedAt.desc())
      .where(sql`taught_times`),
    // Both ways round, as `db/jobs.ts` asks for them.
    ...Object.entries({
      client: t.jobClient,
      racket: t.jobFrame,
      string: t.jobMains,
      price: t.toPayMinor,
    }).map(([name, column]) =>
      index(`tickets_in_order_of_${name}`)
        .on(t.workshopId, column.desc(), t.number.desc())
        .where(sql`closed_at is not null`),
    ),
    ...Object.entries({
      sport: t.jobSport,
      frame: t.jobFrame,
      mains: t.jobMains,
      crosses: t.jobCrosses,
      stringer: t.jobBy,
      machine: t.jobMachine,
    }).map(([name, column]) =>
      index(`tickets_by_${name}`).on(t.workshopId, column, t.closedAt.desc()),
    ),
    check('a closed ticket has its record', sql`(${t.closedAt} is null) = (${t.record} is null)`),
    check(
      'a withdrawn ticket is not closed',
      sql`${t.withdrawnAt} is null or ${t.closedAt} is null`,
    ),
    ofWorkshop(t.workshopId),
  ],
);

/** What was done at the bench, event by event (`core/bench/log`). */
export const benchEvents = pgTable(
  'bench_events',
  {
    /** Made by the bench; sent twice, it is kept once. */
    id: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    ticketId: uuid().notNull(),
    /** In the order in which they arrived. */
    arrived: bigserial({ mode: 'number' }).notNull(),
    /** The browser window that it was done in. */
    bench: uuid().notNull(),
    /** The plan that its steps are counted in. */
    plan: text().notNull(),
    /** Steps of the sequence that are done after it. */
    done: integer().notNull(),
    deed: document(DEED).notNull(),
    /** On the clock of the bench, which may have been without a connection. */
    at: timestamp({ withTimezone: true }).notNull(),
    /** It arrived when the job was closed already. */
    late: boolean().notNull().default(false),
    /** Who did it; null for what was done before people signed in. */
    personId: uuid().references(() => people.id),
    /** Who watched, where a learner did it. */
    watchedBy: uuid().references(() => people.id),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    index().on(t.ticketId, t.arrived),
    check('steps are counted from none', sql`${t.done} >= 0`),
    ofWorkshop(t.workshopId),
  ],
);

/** What was found wrong in a record after it was closed: added to it, and never written over. */
export const corrections = pgTable(
  'corrections',
  {
    /** Made by the form; sent twice, it is kept once. */
    id: uuid().primaryKey(),
    workshopId: uuid().notNull(),
    ticketId: uuid().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    personId: uuid().references(() => people.id),
    text: text().notNull(),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    index().on(t.ticketId, t.at),
    ofWorkshop(t.workshopId),
  ],
);

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
