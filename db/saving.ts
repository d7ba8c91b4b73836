import { isDeepStrictEqual } from 'node:util';
import { eq, sql } from 'drizzle-orm';
import { toSnakeCase } from 'drizzle-orm/casing';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Connection } from './connection';
import { workshops } from './workshop-schema';

/** What became of a change: kept, or too late because somebody else changed or removed the row. */
export type Saved = 'saved' | 'changed' | 'gone';

interface VersionedRow {
  readonly removedAt: Date | null;
}

/**
 * Tells a missed update apart. A row that already says what was to be saved is the same form sent
 * twice, its first answer lost on the way; otherwise it is there in a newer version, or gone.
 */
export function missed<Row extends VersionedRow>(
  row: Row | undefined,
  facts: { readonly [K in keyof Row]?: unknown } & object,
): Saved {
  if (!row || row.removedAt !== null) return 'gone';
  return says(row, facts) ? 'saved' : 'changed';
}

/** Whether a row says all of these already. */
export const says = <Row extends object>(
  row: Row,
  facts: { readonly [K in keyof Row]?: unknown } & object,
): boolean =>
  Object.entries(facts).every(([name, value]) => isDeepStrictEqual(row[name as keyof Row], value));

/** A search text as a pattern for `ilike`, with its own wildcards taken literally. */
export const containing = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/**
 * Holds the row of a workshop to the end of the transaction, and gives what stands in it: of two that would be in each
 * other's way the second waits here, and sees what the first has done.
 */
export async function holdWorkshop(
  db: Connection,
  workshopId: string,
): Promise<Pick<typeof workshops.$inferSelect, 'currency' | 'timeZone'>> {
  const [row] = await db
    .select({ currency: workshops.currency, timeZone: workshops.timeZone })
    .from(workshops)
    .where(eq(workshops.id, workshopId))
    .for('update');
  if (!row) throw new Error('The workshop at work is not there.');
  return row;
}

/** Rows of one statement. */
const AT_ONCE = 500;

/** Rows in pieces that one statement takes. */
export function* inPieces<T>(rows: readonly T[]): Generator<readonly T[]> {
  for (let i = 0; i < rows.length; i += AT_ONCE) yield rows.slice(i, i + AT_ONCE);
}

/**
 * Adds many rows that have the same columns, the whole piece as one value: to write a statement with a place for each value of
 * each row takes longer than to run it.
 */
export async function addMany<Table extends PgTable>(
  db: Connection,
  table: Table,
  rows: readonly Table['$inferInsert'][],
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const named = Object.keys(first).map((key) => [key, toSnakeCase(key)] as const);
  const columns = sql.join(
    named.map(([, column]) => sql.identifier(column)),
    sql`, `,
  );
  const values = JSON.stringify(
    rows.map((row) =>
      Object.fromEntries(named.map(([key, column]) => [column, (row as Row)[key]])),
    ),
  );
  await db.execute(
    sql`insert into ${table} (${columns}) select ${columns} from jsonb_populate_recordset(null::${table}, ${values}::jsonb)`,
  );
}

type Row = Readonly<Record<string, unknown>>;
