/** What a database holds, table by table, as figures that two databases can be compared by. */
import type { Client } from 'pg';
import { z } from 'zod';

export const tableDigestSchema = z.object({
  /** With its schema, `public.tickets`. */
  table: z.string(),
  rows: z.number().int().min(0),
  /** SHA-256 over the sorted MD5 of each row as text, hexadecimal. */
  hash: z.string(),
});
export type TableDigest = z.infer<typeof tableDigestSchema>;

/**
 * Digests every table that is not PostgreSQL's own, in the order of the names; but not by what a house signs its places,
 * which each house has of its own.
 */
export async function digestTables(client: Client): Promise<readonly TableDigest[]> {
  // Rows are compared as text, so what turns them into text must be alike everywhere.
  await client.query(
    `set local timezone = 'UTC'; set local datestyle = 'ISO, YMD'; set local intervalstyle = 'postgres'; set local extra_float_digits = 1; set local bytea_output = 'hex'`,
  );
  const { rows: tables } = await client.query<{ table: string; quoted: string }>(
    `select schemaname || '.' || tablename as table, format('%I.%I', schemaname, tablename) as quoted
       from pg_tables where schemaname not in ('pg_catalog', 'information_schema') and tablename <> 'wall_keys' order by 1`,
  );
  const digests: TableDigest[] = [];
  for (const { table, quoted } of tables) {
    const { rows } = await client.query<{ rows: string; hash: string }>(
      `select count(*) as rows,
              encode(sha256(convert_to(coalesce(string_agg(h, '' order by h), ''), 'UTF8')), 'hex') as hash
         from (select md5(t::text) as h from ${quoted} as t) as hashed`,
    );
    digests.push({ table, rows: Number(rows[0]?.rows), hash: rows[0]?.hash ?? '' });
  }
  return digests;
}

/** The first table in which two databases differ, in words; nothing where they are equal. */
export function differenceOf(
  expected: readonly TableDigest[],
  found: readonly TableDigest[],
): string | undefined {
  const names = new Set([...expected, ...found].map(({ table }) => table));
  for (const name of names) {
    const [one, other] = [expected, found].map((all) => all.find(({ table }) => table === name));
    if (!one || !other) return `${name} is only in one of the two`;
    if (one.rows !== other.rows)
      return `${name} has ${other.rows} rows and should have ${one.rows}`;
    if (one.hash !== other.hash) return `${name} has rows that differ`;
  }
  return undefined;
}
