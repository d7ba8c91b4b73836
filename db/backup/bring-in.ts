/** Records of one database into another whose tables this program made: data alone, by COPY. */
import { pipeline } from 'node:stream/promises';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import type { Client } from 'pg';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';
import { MIGRATIONS } from '../migrate';

/** As drizzle's migrator makes it. */
const JOURNAL = `create schema drizzle;
  create table drizzle.__drizzle_migrations (id serial primary key, hash text not null, created_at bigint)`;

/** The empty tables of a house that has been through so many migrations, in the place of what is there. */
async function makeTables(client: Client, migrations: number): Promise<void> {
  await client.query(
    'drop schema if exists drizzle cascade; drop schema public cascade; create schema public authorization pg_database_owner; grant usage on schema public to public',
  );
  for (const { sql } of readMigrationFiles({ migrationsFolder: MIGRATIONS }).slice(0, migrations))
    for (const statement of sql) await client.query(statement);
  await client.query(JOURNAL);
}

interface Table {
  readonly name: string;
  readonly columns: readonly string[];
  /** Those whose rows its own name. */
  readonly names: readonly string[];
  /** Where it counts by itself: the column and its sequence. */
  readonly counted: readonly (readonly [column: string, sequence: string])[];
}

async function tablesOf(client: Client): Promise<readonly Table[]> {
  const { rows } = await client.query<Table>(`
    select format('%I.%I', n.nspname, c.relname) as name,
      array(select quote_ident(attname) from pg_attribute
        where attrelid = c.oid and attnum > 0 and not attisdropped and attgenerated = '' order by attnum) as columns,
      array(select distinct format('%I.%I', fn.nspname, f.relname) from pg_constraint
        join pg_class f on f.oid = confrelid join pg_namespace fn on fn.oid = f.relnamespace
        where conrelid = c.oid and contype = 'f' and confrelid <> c.oid) as names,
      (select coalesce(json_agg(json_build_array(quote_ident(attname), counted)), '[]') from pg_attribute,
        pg_get_serial_sequence(format('%I.%I', n.nspname, c.relname), attname) as counted
        where attrelid = c.oid and attnum > 0 and not attisdropped and counted is not null) as counted
    from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where c.relkind = 'r' and n.nspname in ('public', 'drizzle') and c.relname <> 'wall_keys' order by 1`);
  return rows;
}

/** Each after those that it names. */
function inOrder(tables: readonly Table[]): readonly Table[] {
  const sorted = new Map<string, Table>();
  while (sorted.size < tables.length) {
    const ready = tables.filter(
      ({ name, names }) => !sorted.has(name) && names.every((each) => sorted.has(each)),
    );
    if (ready.length === 0) throw new Error('Tables name each other in a circle.');
    for (const table of ready) sorted.set(table.name, table);
  }
  return [...sorted.values()];
}

/** Brings what a database holds into an empty house, all of it or nothing. */
export async function bringIn(from: Client, to: Client, migrations: number): Promise<void> {
  await to.query('begin');
  try {
    await makeTables(to, migrations);
    for (const { name, columns, counted } of inOrder(await tablesOf(to))) {
      const list = columns.join(', ');
      // What was worked out from the rows is among them; nothing is worked out twice.
      await to.query(`alter table ${name} disable trigger user`);
      await pipeline(
        from.query(copyTo(`copy (select ${list} from ${name}) to stdout`)),
        to.query(copyFrom(`copy ${name} (${list}) from stdin`)),
      );
      await to.query(`alter table ${name} enable trigger user`);
      for (const [column, sequence] of counted)
        await to.query(`select setval($1, max(${column})) from ${name}`, [sequence]);
    }
    await to.query('commit');
  } catch (error) {
    await to.query('rollback');
    throw error;
  }
}
