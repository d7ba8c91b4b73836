/** Tickets and what was done at the bench; a ticket that is closed is the record of its job. */
import { sql, type SQL } from 'drizzle-orm';
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
import type { Method } from '@/core/terms/method';
import type { CutSourceKind } from '@/core/cut/plan';
import type { Side } from '@/core/terms/ends';
import type { TensionUnit } from '@/core/measure/units';
import { document } from './document';
import { ofWorkshop, people } from './doors-schema';
import { money } from './money-column';
import { clients, machines, rackets, strings } from './racket-schema';
import {
  ADVICE,
  DEED,
  DRAWN,
  EXTRA_WORK,
  INSPECTION,
  JOB_RECORD,
  KEPT_PLAN,
  LAST_LOOK,
} from './shapes';
import { ownedRow } from './workshop-schema';

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
    /** Who had it strung, once its racket went to somebody else; null goes by the racket. */
    strungFor: uuid(),
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
    /** When a job was closed that was voided since: it is withdrawn, and keeps its record. */
    wasClosedAt: timestamp({ withTimezone: true }),
    labourMinor: money(),
    stringMinor: money(),
    /** What the client pays, tax and all, as the record has it. */
    toPayMinor: money(),
    /** What they have paid, as the payments add up. */
    paidMinor: money().notNull().default(0),
    /** Whether something is owed. The planner knows how many those are; of two columns side by side it would guess a third. */
    jobOwing: boolean().generatedAlwaysAs(sql`coalesce(paid_minor < to_pay_minor, false)`),
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
    /** Its tension in words, where it was changed in the middle of the job. */
    jobStrung: ofRecord('strung,words'),
    benchMinutes: doublePrecision().generatedAlwaysAs((): SQL =>
      sql.raw(`(record #>> '{bench,minutes}')::double precision`),
    ),
    /** Its pieces without the parts they add up from: what the next cut learns from, and what the shelf gave. */
    jobPieces: jsonb().generatedAlwaysAs(sql`pieces_in_short(record)`),
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
      columns: [t.workshopId, t.strungFor],
      foreignColumns: [clients.workshopId, clients.id],
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
    // Few: of rackets that changed hands.
    index('tickets_of_who_had_it')
      .on(t.workshopId)
      .where(sql`strung_for is not null`),
    index('tickets_open')
      .on(t.workshopId, t.promised)
      .where(sql`closed_at is null and withdrawn_at is null`),
    // What a list passes over on the way to a page far down is read from here alone.
    index('tickets_on_record')
      .on(t.workshopId, t.closedAt.desc(), t.number.desc(), t.id)
      .where(sql`closed_at is not null and removed_at is null`),
    index('tickets_uncollected')
      .on(t.workshopId, t.closedAt.desc(), t.number.desc())
      .where(sql`closed_at is not null and collected_at is null`),
    index('tickets_unpaid')
      .on(t.workshopId, t.closedAt.desc(), t.number.desc())
      .where(sql`closed_at is not null and job_owing`),
    index('tickets_taught_lengths')
      .on(t.workshopId, t.jobSport, t.closedAt.desc())
      .where(sql`taught_lengths`),
    index('tickets_taught_times')
      .on(t.workshopId, t.jobSport, t.closedAt.desc())
      .where(sql`taught_times`),
    index('tickets_looked_at')
      .on(t.workshopId, t.closedAt.desc())
      .where(sql`last_look is not null`),
    index('tickets_withdrawn')
      .on(t.workshopId, t.withdrawnAt)
      .where(sql`withdrawn_at is not null`),
    index('tickets_taken_in').on(t.workshopId, t.takenIn.desc()),
    index('tickets_with_string').on(t.workshopId, t.mainStringId, t.closedAt.desc()),
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
    check(
      'a closed ticket has its record',
      sql`(coalesce(${t.closedAt}, ${t.wasClosedAt}) is null) = (${t.record} is null)`,
    ),
    check(
      'a voided job is withdrawn',
      sql`${t.wasClosedAt} is null or ${t.withdrawnAt} is not null`,
    ),
    check(
      'a withdrawn ticket is not closed',
      sql`${t.withdrawnAt} is null or ${t.closedAt} is null`,
    ),
    ofWorkshop(t.workshopId),
  ],
);

/** What was done at the bench, event by event (`core/bench/log`). */
export const benchDeeds = pgTable(
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

/** The plans that the steps of a ticket were counted in, so that each string keeps the figure it was pulled at. */
export const benchPlans = pgTable(
  'bench_plans',
  {
    id: uuid().primaryKey().defaultRandom(),
    workshopId: uuid().notNull(),
    ticketId: uuid().notNull(),
    /** `planKey` of its steps. */
    plan: text().notNull(),
    kept: document(KEPT_PLAN).notNull(),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    unique().on(t.ticketId, t.plan),
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
