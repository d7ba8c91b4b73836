/**
 * What the application may do in its database. It comes in by two roles that own nothing, make nothing and cannot go
 * around row security: one for the records, one for the doors (who somebody is, before it is known where they work). The
 * tables belong to a third, which nobody comes in by, so that what runs as their owner is no master of the server.
 */
import { createHash, createHmac } from 'node:crypto';
import { ne, sql } from 'drizzle-orm';
import type { Connection, Database } from './connection';
import { wallKeys } from './doors-schema';

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
  bench_plans: 'select, insert',
  corrections: 'select, insert',
  photos: 'select, insert, update (caption, removed_at)',
  price_items: 'select, insert, update',
  invoices: 'select, insert',
  invoice_jobs: 'select, insert',
  payments: 'select, insert',
  stock_lengths: 'select, insert, update (price_minor)',
  stock_moves: 'select, insert',
  stock_uses: 'select',
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
  invitations: 'select, insert, update (taken_at, withdrawn_at)',
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
  second_steps: 'select, insert, update, delete',
  rate_limits: 'select, insert, update, delete',
  attempts: 'select, insert, update, delete',
};

/** Whom the walls ask, for either of them. */
const WALLS_ASK = ['at_workshop()', 'at_person()'];
/** What the records are asked by, beside plain questions. */
const RECORDS_ASK = [
  ...WALLS_ASK,
  'client_now(uuid)',
  'pieces_in_short(jsonb)',
  'find_in_records(text[], date, date, double precision, double precision, integer)',
  'rows_in_records(text, text[], date, date, double precision, double precision, integer)',
  'client_link(text)',
  'calendar_feed(text)',
  'invitation(text)',
];
const DOORS_ASK = [...WALLS_ASK, 'ownerless_workshops()'];

/** Whether whoever asks makes roles on this server; in one column, `may`. */
export const MAY_MAKE_ROLES =
  'select rolsuper or rolcreaterole as may from pg_roles where rolname = current_user';

/** The addresses that the application is served by. */
export interface Entrances {
  readonly records: string;
  readonly doors: string;
  /** Whether they are roles of their own, or the owner's with row security forced on it. */
  readonly apart: boolean;
  /** By what the application signs where it works (`walls.ts`), hexadecimal. */
  readonly wallKey: string;
}

type Entrance = 'records' | 'doors';

const nameOf = (database: string, role: Entrance | 'owner'): string => {
  const name = `${database}_${role}`;
  // The server cuts longer names off, and two databases would then share a role.
  return Buffer.byteLength(name) <= 63
    ? name
    : `orthotens_${createHash('sha256').update(database).digest('hex').slice(0, 16)}_${role}`;
};

const databaseIn = (address: URL): string => decodeURIComponent(address.pathname.slice(1));

/** As well kept as the password of the owner, and the same for every house that knows it. */
const derived = (owner: URL, secret: string, what: string): string =>
  createHmac('sha256', decodeURIComponent(owner.password) || secret)
    .update(what)
    .digest('hex');

function addressOf(owner: URL, secret: string, entrance: Entrance): URL {
  const url = new URL(owner);
  const name = nameOf(databaseIn(url), entrance);
  url.username = encodeURIComponent(name);
  url.password = derived(owner, secret, name);
  return url;
}

/**
 * Makes the roles where they are missing and gives them their rights; run it after every migration. `secret` is the
 * house's own, for an owner who comes in without a password.
 */
export async function giveRights(
  db: Database,
  address: string,
  secret: string,
): Promise<Entrances> {
  const owner = new URL(address);
  const apart = await mayMakeRoles(db);
  const wallKey = derived(owner, secret, 'the walls');
  await forceOnOwner(db, !apart);
  await db.transaction(async (transaction) => {
    await transaction.insert(wallKeys).values({ key: wallKey }).onConflictDoNothing();
    await transaction.delete(wallKeys).where(ne(wallKeys.key, wallKey));
  });
  if (!apart) return { records: address, doors: address, apart, wallKey };
  const [records, doors] = [addressOf(owner, secret, 'records'), addressOf(owner, secret, 'doors')];
  await db.transaction(async (transaction) => {
    // Roles belong to the whole server: two starts at once would trip over each other.
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtext('orthotens roles'))`);
    await giveToOwner(transaction, nameOf(databaseIn(owner), 'owner'));
    await leaveNothingToAll(transaction, databaseIn(owner));
    for (const [url, rights, asks] of [
      [records, RECORDS, RECORDS_ASK],
      [doors, DOORS, DOORS_ASK],
    ] as const) {
      const role = decodeURIComponent(url.username);
      const name = sql.identifier(role);
      await ensureRole(transaction, role);
      await transaction.execute(
        sql`alter role ${name} login nocreatedb nocreaterole password ${sql.raw(`'${url.password}'`)}`,
      );
      await transaction.execute(
        sql`grant connect on database ${sql.identifier(databaseIn(owner))} to ${name}`,
      );
      await transaction.execute(sql`grant usage on schema public to ${name}`);
      await transaction.execute(sql`revoke all on all tables in schema public from ${name}`);
      for (const [table, right] of Object.entries(rights))
        await transaction.execute(
          sql`grant ${sql.raw(right)} on ${sql.identifier(table)} to ${name}`,
        );
      await transaction.execute(sql`grant usage on all sequences in schema public to ${name}`);
      for (const ask of asks)
        await transaction.execute(sql`grant execute on function ${sql.raw(ask)} to ${name}`);
    }
  });
  return { records: records.toString(), doors: doors.toString(), apart, wallKey };
}

async function ensureRole(db: Connection, role: string): Promise<void> {
  const { rows } = await db.execute(sql`select 1 from pg_roles where rolname = ${role}`);
  if (rows.length === 0) await db.execute(sql`create role ${sql.identifier(role)} nologin`);
}

/** The functions of this application, and none of an extension's. */
const OWN_FUNCTIONS = sql`
  select p.oid::regprocedure::text as name, pg_get_userbyid(p.proowner) as owner from pg_proc p
    where pronamespace = 'public'::regnamespace
      and not exists (select 1 from pg_depend d where d.classid = 'pg_proc'::regclass and d.objid = p.oid and d.deptype = 'e')`;

/** Tables and functions belong to a role that nobody comes in by: it owns them, and has no power beside. */
async function giveToOwner(db: Connection, role: string): Promise<void> {
  await ensureRole(db, role);
  const name = sql.identifier(role);
  // Who makes roles and is no master of the server must be one of those that they give to.
  await db.execute(sql`grant ${name} to current_user`);
  await db.execute(sql`grant usage, create on schema public to ${name}`);
  const { rows: tables } = await db.execute<{ name: string }>(
    sql`select c.oid::regclass::text as name from pg_class c where relnamespace = 'public'::regnamespace and relkind = 'r' and pg_get_userbyid(relowner) <> ${role}`,
  );
  for (const table of tables)
    await db.execute(sql`alter table ${sql.raw(table.name)} owner to ${name}`);
  const { rows: functions } = await db.execute<{ name: string; owner: string }>(OWN_FUNCTIONS);
  for (const each of functions)
    if (each.owner !== role)
      await db.execute(sql`alter function ${sql.raw(each.name)} owner to ${name}`);
}

/** Takes away what a server gives to everybody: tables for a session, what is made in its schema, functions to call. */
async function leaveNothingToAll(db: Connection, database: string): Promise<void> {
  await db.execute(
    sql`revoke create, temporary, connect on database ${sql.identifier(database)} from public`,
  );
  await db.execute(sql`revoke create on schema public from public`);
  const { rows: functions } = await db.execute<{ name: string }>(OWN_FUNCTIONS);
  for (const { name } of functions)
    await db.execute(sql`revoke all on function ${sql.raw(name)} from public`);
}

async function mayMakeRoles(db: Database): Promise<boolean> {
  const { rows } = await db.execute<{ may: boolean }>(sql.raw(MAY_MAKE_ROLES));
  return rows[0]?.may ?? false;
}

/** By this a command says that it works on all workshops at once, where the owner is bound by the walls too. */
const EVERYTHING = sql`current_setting('orthotens.everything', true) = 'on'`;

/** Where the application has to be its own owner, the walls hold for the owner too; elsewhere nobody goes around them. */
async function forceOnOwner(db: Database, force: boolean): Promise<void> {
  const { rows } = await db.execute<{ name: string; forced: boolean; passes: boolean }>(
    sql`select relname as name, relforcerowsecurity as forced,
               exists (select 1 from pg_policy where polrelid = pg_class.oid and polname = 'command') as passes
          from pg_class where relnamespace = 'public'::regnamespace and relrowsecurity`,
  );
  for (const { name, forced, passes } of rows) {
    const table = sql.identifier(name);
    if (forced !== force)
      await db.execute(
        sql`alter table ${table} ${sql.raw(force ? 'force' : 'no force')} row level security`,
      );
    if (force && !passes)
      await db.execute(
        sql`create policy command on ${table} using (${EVERYTHING}) with check (${EVERYTHING})`,
      );
    if (!force && passes) await db.execute(sql`drop policy command on ${table}`);
  }
}
