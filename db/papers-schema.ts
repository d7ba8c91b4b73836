/** What goes with a ticket beside its figures: photographs, prices, invoices, payments, links and messages. */
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  customType,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { ExtraKind } from '@/core/counter/extra-work';
import type { MessageKind } from '@/core/papers/messages';
import type { PaymentKind, PayWay } from '@/core/papers/payment';
import type { TensionUnit } from '@/core/measure/units';
import { document } from './document';
import { ofWorkshop, people } from './doors-schema';
import { money } from './money-column';
import { clients, rackets } from './racket-schema';
import { tickets } from './ticket-schema';
import { workshops } from './workshop-schema';
import { INVOICE } from './shapes';

const bytes = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'bytea' });

/** Made by a form; sent twice, it is kept once. */
const made = () => ({
  id: uuid().primaryKey(),
  workshopId: uuid()
    .notNull()
    .references(() => workshops.id),
  at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  personId: uuid().references(() => people.id),
});

/** What was photographed at the counter, made anew and small by the server, with nothing of the camera in it. */
export const photos = pgTable(
  'photos',
  {
    ...made(),
    ticketId: uuid().notNull(),
    caption: text().notNull().default(''),
    width: integer().notNull(),
    height: integer().notNull(),
    image: bytes().notNull(),
    thumb: bytes().notNull(),
    removedAt: timestamp({ withTimezone: true }),
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

/** Work beside the stringing, with its price. */
export const priceItems = pgTable(
  'price_items',
  {
    id: uuid().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    version: integer().notNull().default(1),
    name: text().notNull(),
    kind: text().$type<ExtraKind>().notNull(),
    unitMinor: money().notNull(),
    taxBp: integer().notNull(),
    removedAt: timestamp({ withTimezone: true }),
  },
  (t) => [index().on(t.workshopId, t.name), ofWorkshop(t.workshopId)],
);

/** Issued once and never changed; a credit note takes one back. */
export const invoices = pgTable(
  'invoices',
  {
    ...made(),
    number: integer().notNull(),
    clientId: uuid().notNull(),
    /** On the workshop's clock. */
    day: date({ mode: 'string' }).notNull(),
    kind: text().$type<'invoice' | 'credit note'>().notNull(),
    totalMinor: money().notNull(),
    reversesId: uuid(),
    paper: document(INVOICE).notNull(),
  },
  (t) => [
    unique().on(t.workshopId, t.id),
    unique().on(t.workshopId, t.number),
    foreignKey({
      columns: [t.workshopId, t.clientId],
      foreignColumns: [clients.workshopId, clients.id],
    }),
    foreignKey({ columns: [t.workshopId, t.reversesId], foreignColumns: [t.workshopId, t.id] }),
    check(
      'a credit note takes an invoice back',
      sql`(${t.kind} = 'credit note') = (${t.reversesId} is not null)`,
    ),
    index().on(t.workshopId, t.day),
    index().on(t.clientId),
    index().on(t.reversesId),
    ofWorkshop(t.workshopId),
  ],
);

/** The jobs that stand on an invoice. */
export const invoiceJobs = pgTable(
  'invoice_jobs',
  {
    workshopId: uuid().notNull(),
    invoiceId: uuid().notNull(),
    ticketId: uuid().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.invoiceId, t.ticketId] }),
    foreignKey({
      columns: [t.workshopId, t.invoiceId],
      foreignColumns: [invoices.workshopId, invoices.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    index().on(t.ticketId),
    ofWorkshop(t.workshopId),
  ],
);

/** What was paid for a job, or given back; one that was wrong is answered by another. */
export const payments = pgTable(
  'payments',
  {
    ...made(),
    ticketId: uuid().notNull(),
    /** On the workshop's clock. */
    day: date({ mode: 'string' }).notNull(),
    way: text().$type<PayWay>().notNull(),
    kind: text().$type<PaymentKind>().notNull().default('paid'),
    /** Below zero where it was given back. */
    amountMinor: money().notNull(),
    note: text().notNull().default(''),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    check('a payment is of something', sql`${t.amountMinor} <> 0`),
    index().on(t.ticketId),
    index().on(t.workshopId, t.day),
    ofWorkshop(t.workshopId),
  ],
);

/** Addresses under which clients see their own racket, without signing in. */
export const clientLinks = pgTable(
  'client_links',
  {
    /** What makes it unguessable: 128 bits by chance. It is printed on papers, so it is kept as it is. */
    token: text().primaryKey(),
    workshopId: uuid().notNull(),
    racketId: uuid().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    withdrawnAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.racketId],
      foreignColumns: [rackets.workshopId, rackets.id],
    }),
    index().on(t.racketId),
    ofWorkshop(t.workshopId),
  ],
);

/** Addresses under which a calendar reads what is promised and due, without signing in. */
export const calendarFeeds = pgTable(
  'calendar_feeds',
  {
    token: text().primaryKey(),
    workshopId: uuid()
      .notNull()
      .references(() => workshops.id),
    /** Who asked for it, and takes it with them when they go. */
    personId: uuid()
      .notNull()
      .references(() => people.id),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    withdrawnAt: timestamp({ withTimezone: true }),
  },
  (t) => [index().on(t.workshopId, t.personId), ofWorkshop(t.workshopId)],
);

/** “Bring it again”, pressed by a client on their page. */
export const wishes = pgTable(
  'wishes',
  {
    id: uuid().primaryKey().defaultRandom(),
    workshopId: uuid().notNull(),
    racketId: uuid().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    text: text().notNull().default(''),
    answeredAt: timestamp({ withTimezone: true }),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.racketId],
      foreignColumns: [rackets.workshopId, rackets.id],
    }),
    index().on(t.workshopId, t.answeredAt),
    // One is open a racket, however many ask at once.
    uniqueIndex()
      .on(t.workshopId, t.racketId)
      .where(sql`answered_at is null`),
    ofWorkshop(t.workshopId),
  ],
);

/** Messages to clients, kept until they are sent, and after. */
export const outbox = pgTable(
  'outbox',
  {
    ...made(),
    clientId: uuid().notNull(),
    ticketId: uuid().notNull(),
    kind: text().$type<MessageKind>().notNull(),
    /** Tells a second receipt of a job from the first. */
    about: text().notNull().default(''),
    toAddress: text().notNull(),
    subject: text().notNull(),
    text: text().notNull(),
    tries: integer().notNull().default(0),
    sentAt: timestamp({ withTimezone: true }),
    /** Somebody is sending it now. */
    heldUntil: timestamp({ withTimezone: true }),
    failure: text().notNull().default(''),
    /** Not to be tried any more. */
    given: boolean().notNull().default(false),
  },
  (t) => [
    foreignKey({
      columns: [t.workshopId, t.clientId],
      foreignColumns: [clients.workshopId, clients.id],
    }),
    foreignKey({
      columns: [t.workshopId, t.ticketId],
      foreignColumns: [tickets.workshopId, tickets.id],
    }),
    // Each once.
    unique().on(t.ticketId, t.kind, t.about),
    index('outbox_waiting')
      .on(t.workshopId, t.at)
      .where(sql`sent_at is null and not given`),
    ofWorkshop(t.workshopId),
  ],
);

/**
 * What is found by words, from any table: written by triggers (`0010_found.sql`), asked by `find_in_records` and `rows_in_records`
 * (`0031_long_lists.sql`), which alone may use its indexes.
 */
export const finds = pgTable(
  'finds',
  {
    workshopId: uuid().notNull(),
    kind: text().$type<FoundKind>().notNull(),
    rowId: uuid().notNull(),
    /** Of a ticket. */
    number: integer(),
    title: text().notNull(),
    detail: text().notNull(),
    /** Small letters without accents, word by word. */
    words: text().notNull(),
    /** Of a ticket that is set up, N. */
    mainN: doublePrecision(),
    crossN: doublePrecision(),
    unit: text().$type<TensionUnit>(),
    at: timestamp({ withTimezone: true }),
  },
  (t) => [
    primaryKey({ columns: [t.kind, t.rowId] }),
    // Apart, because a word that a seventh of all jobs have may stand in few names.
    index('finds_words_of_jobs')
      .using('gin', sql`words gin_trgm_ops`)
      .where(sql`kind in ('ticket', 'job')`),
    index('finds_words_of_names')
      .using('gin', sql`words gin_trgm_ops`)
      .where(sql`kind in ('client', 'racket', 'frame', 'string', 'machine')`),
    index().on(t.workshopId, t.kind, t.at.desc()),
    index().on(t.workshopId, t.number),
    index().on(t.workshopId, t.mainN),
    ofWorkshop(t.workshopId),
  ],
);

export type FoundKind = 'ticket' | 'job' | 'client' | 'racket' | 'frame' | 'string' | 'machine';

/** Every word that stands anywhere in `finds`, to know which one a slip of the pen meant. */
export const foundWords = pgTable(
  'found_words',
  {
    workshopId: uuid().notNull(),
    word: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.workshopId, t.word] }),
    index('found_words_near').using('gin', sql`word gin_trgm_ops`),
    ofWorkshop(t.workshopId),
  ],
);
