/**
 * What the application may do in its database. It comes in by two roles that own nothing and cannot go around
 * row security: one for the records, one for the doors (who somebody is, before it is known where they work).
 */
import { createHash, createHmac } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Database } from './connection';

/** By table, what the role of the records may do. The trail is written by triggers. */
const RECORDS: Readonly<Record<string, string>> = {
  workshops: 'select, insert, update',
  clients: 'select, insert, update',
  frames: 'select, insert, update',
  strings: 'select, insert, update',
  machines: 'select, insert, update',
  machine_checks: 'select, insert, update',
  rackets: 'select, insert, update',
  tickets: 'select, insert, update',
  bench_events: 'select, insert',
  corrections: 'select, insert',
  photos: 'select, insert, update (caption, removed_at)',
  price_items: 'select, insert, update',
  invoices: 'select, insert',
  invoice_jobs: 'select, insert',
  payments: 'select, insert',
  stock_lengths: 'select, insert',
  stock_moves: 'select, insert',
  benches: 'select, insert, update',
  arrangements: 'select, insert, update',
  court_words: 'select, insert, update',
  bed_readings: 'select, insert, update (removed_at)',
  beds_read: 'select, insert, update (removed_at)',
  beds_out: 'select, update (due_day, due_by, edition)',
  events: 'select, insert, update',
  event_players: 'select, insert, update',
  event_rackets: 'select, insert',
  earlier_jobs: 'select, insert',
  calendar_feeds: 'select, insert, update (withdrawn_at)',
  client_links: 'select, insert, update (withdrawn_at)',
  wishes: 'select, insert, update (answered_at)',
  outbox: 'select, insert, update',
  members: 'select, insert, update',
  devices: 'select, insert, update',
  trail: 'select',
  people: 'select (id, name, username)',
};
/** And that of the doors. */
const DOORS: Readonly<Record<string, string>> = {
  people: 'select, insert, update, delete',
  // The wall around people asks for them; without a workshop it shows the doors none.
  members: 'select (workshop_id, person_id)',
  sessions: 'select, insert, update, delete',
  accounts: 'select, insert, update, delete',
  verifications: 'select, insert, update, delete',
  passkeys: 'select, insert, update, delete',
  rate_limits: 'select, insert, update, delete',
  attempts: 'select, insert, update, delete',
};

/** What the records are asked by, beside plain questions. */
const RECORDS_ASK = [
  'find_in_records(text[], date, date, double precision, double precision, integer)',
  'client_link(text)',
  'calendar_feed(text)',
];

/** The addresses that the application is served by. */
export interface Entrances {
  readonly records: string;
  readonly doors: string;
  /** Whether they are roles of their own, or the owner's with row security forced on it. */
  readonly apart: boolean;
}

type Entrance = 'records' | 'doors';

const nameOf = (database: string, entrance: Entrance): string => {
  const name = `${database}_${entrance}`;
  // The server cuts longer names off, and two databases would then share a role.
  return Buffer.byteLength(name) <= 63
    ? name
    : `orthotens_${createHash('sha256').update(database).digest('hex').slice(0, 16)}_${entrance}`;
};

function addressOf(owner: string, secret: string, entrance: Entrance): URL {
  const url = new URL(owner);
  const database = decodeURIComponent(url.pathname.slice(1));
  const name = nameOf(database, entrance);
  // As well kept as the password of the owner, and the same for every house that knows it.
  const password = createHmac('sha256', decodeURIComponent(url.password) || secret)
    .update(name)
    .digest('hex');
  url.username = encodeURIComponent(name);
  url.password = password;
  return url;
}

/**
 * Makes the two roles where they are missing and gives them their rights; run it after every migration.
 * `secret` is the house's own, for an owner who comes in without a password.
 */
export async function giveRights(db: Database, owner: string, secret: string): Promise<Entrances> {
  const apart = await mayMakeRoles(db);
  await forceOnOwner(db, !apart);
  if (!apart) return { records: owner, doors: owner, apart };
  const [records, doors] = [addressOf(owner, secret, 'records'), addressOf(owner, secret, 'doors')];
  await db.transaction(async (transaction) => {
    // Roles belong to the whole server: two starts at once would trip over each other.
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtext('orthotens roles'))`);
    for (const [url, rights] of [
      [records, RECORDS],
      [doors, DOORS],
    ] as const) {
      const role = decodeURIComponent(url.username);
      const { rows } = await transaction.execute(
        sql`select 1 from pg_roles where rolname = ${role}`,
      );
      const name = sql.identifier(role);
      if (rows.length === 0) await transaction.execute(sql`create role ${name}`);
      await transaction.execute(
        sql`alter role ${name} login nocreatedb nocreaterole password ${sql.raw(`'${url.password}'`)}`,
      );
      await transaction.execute(sql`grant usage on schema public to ${name}`);
      await transaction.execute(sql`revoke all on all tables in schema public from ${name}`);
      for (const [table, right] of Object.entries(rights))
        await transaction.execute(
          sql`grant ${sql.raw(right)} on ${sql.identifier(table)} to ${name}`,
        );
      await transaction.execute(sql`grant usage on all sequences in schema public to ${name}`);
    }
    const toTheRecords = sql.identifier(decodeURIComponent(records.username));
    for (const ask of RECORDS_ASK)
      await transaction.execute(sql`grant execute on function ${sql.raw(ask)} to ${toTheRecords}`);
    const atTheDoors = sql.identifier(decodeURIComponent(doors.username));
    await transaction.execute(
      sql`grant execute on function ownerless_workshops() to ${atTheDoors}`,
    );
  });
  return { records: records.toString(), doors: doors.toString(), apart };
}

async function mayMakeRoles(db: Database): Promise<boolean> {
  const { rows } = await db.execute<{ may: boolean }>(
    sql`select rolsuper or rolcreaterole as may from pg_roles where rolname = current_user`,
  );
  return rows[0]?.may ?? false;
}

/** Where the application has to be its own owner, the walls hold for the owner too. */
async function forceOnOwner(db: Database, force: boolean): Promise<void> {
  const { rows } = await db.execute<{ name: string }>(
    sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relrowsecurity and relforcerowsecurity <> ${force}`,
  );
  for (const { name } of rows)
    await db.execute(
      sql`alter table ${sql.identifier(name)} ${sql.raw(force ? 'force' : 'no force')} row level security`,
    );
}
