import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Database } from './connection';
import { clients, frames, strings } from './racket-schema';

// Commands and the server both run in the folder of the application.
export const MIGRATIONS = join(process.cwd(), 'db', 'migrations');

const journalSchema = z.object({
  entries: z.array(z.object({ tag: z.string(), when: z.number() })),
});

/** Every migration that this version knows, with the instant that the database knows it by. */
export function knownMigrations(): readonly { readonly name: string; readonly when: number }[] {
  const journal: unknown = JSON.parse(
    readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8'),
  );
  return journalSchema.parse(journal).entries.map(({ tag, when }) => ({ name: tag, when }));
}

/** Whether a migration would change tables that hold records. */
export async function migratesRecords(db: Database): Promise<boolean> {
  const { rows } = await db.execute<{ there: boolean }>(
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  );
  if (!rows[0]?.there) return false;
  const applied = await db.execute<{ latest: string | null }>(
    sql`select max(created_at) as latest from drizzle.__drizzle_migrations`,
  );
  const latest = Number(applied.rows[0]?.latest ?? 0);
  if (!knownMigrations().some(({ when }) => when > latest)) return false;
  const counts = await Promise.all([db.$count(clients), db.$count(frames), db.$count(strings)]);
  return counts.some((rows) => rows > 0);
}

/** Brings the tables up to date. */
export const migrateDatabase = (db: Database): Promise<void> =>
  migrate(db, { migrationsFolder: MIGRATIONS });
