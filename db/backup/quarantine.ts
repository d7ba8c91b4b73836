/**
 * A dump is a program: what it says is run by whoever restores it. It is read in a database of its own, by a role that may
 * nothing elsewhere, and that database and that role go again.
 */
import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { MAY_MAKE_ROLES } from '../rights';
import { EVERYTHING, undump } from './programs';

/** By this beginning the databases and roles are known that a killed proof left. */
const PREFIX = 'orthotens_proof_';

/** Opens a database for something that is about all workshops. */
export async function onDatabase<T>(
  address: string,
  work: (client: Client) => Promise<T>,
): Promise<T> {
  const client = new Client({
    connectionString: address,
    connectionTimeoutMillis: 10_000,
    options: EVERYTHING,
  });
  client.on('error', () => undefined);
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

async function mayMakeRoles(client: Client): Promise<boolean> {
  const { rows } = await client.query<{ may: boolean }>(MAY_MAKE_ROLES);
  return rows[0]?.may ?? false;
}

/** Whether nobody is at a proof: who is holds the lock of its name, before there is a role or a database. */
const isLeft = (name: string): string =>
  `not exists (select 1 from pg_locks where locktype = 'advisory' and objid = hashtext(${name})::oid)`;

/** Takes away what proofs left that nobody is at any more. */
async function clearLeft(client: Client): Promise<void> {
  const { rows: databases } = await client.query<{ name: string }>(
    `select datname as name from pg_database where starts_with(datname, $1)
       and not exists (select 1 from pg_stat_activity a where a.datname = pg_database.datname)
       and ${isLeft('datname')}`,
    [PREFIX],
  );
  for (const { name } of databases)
    await client.query(`drop database if exists ${client.escapeIdentifier(name)} with (force)`);
  const { rows: roles } = await client.query<{ name: string }>(
    `select rolname as name from pg_roles where starts_with(rolname, $1)
       and not exists (select 1 from pg_database where datname = rolname)
       and ${isLeft('rolname')}`,
    [PREFIX],
  );
  for (const { name } of roles)
    await client.query(`drop role if exists ${client.escapeIdentifier(name)}`);
}

/** Brings a dump into a database of its own on a server, and works there as the one who owns it and nothing else. */
export const quarantined = <T>(
  programs: string | undefined,
  server: string,
  records: string,
  work: (address: string) => Promise<T>,
): Promise<T> =>
  onDatabase(server, async (client) => {
    const name = `${PREFIX}${randomBytes(6).toString('hex')}`;
    const quoted = client.escapeIdentifier(name);
    const address = new URL(server);
    address.pathname = `/${name}`;
    // Whoever clears up after a killed proof sees that somebody is at this one.
    await client.query('select pg_advisory_lock(hashtext($1))', [name]);
    await clearLeft(client);
    const apart = await mayMakeRoles(client);
    if (apart) {
      const password = randomBytes(24).toString('hex');
      await client.query(
        `create role ${quoted} login nocreatedb nocreaterole connection limit 8 password '${password}'`,
      );
      await client.query(`grant ${quoted} to current_user`);
      address.username = name;
      address.password = password;
    }
    await client.query(`create database ${quoted}${apart ? ` owner ${quoted}` : ''}`);
    try {
      await undump(programs, address.toString(), records);
      return await work(address.toString());
    } finally {
      await client.query(`drop database if exists ${quoted} with (force)`);
      if (apart) await client.query(`drop role if exists ${quoted}`);
    }
  });
