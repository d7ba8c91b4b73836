import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { fileURLToPath } from 'node:url';
import { USUAL_ASSUMPTIONS } from '@/core/lengths';
import type { Database } from './connection';
import { workshops } from './schema';

const MIGRATIONS = fileURLToPath(new URL('./migrations', import.meta.url));

/** Brings the tables up to date and makes sure that there is a workshop to work in. */
export async function migrateDatabase(db: Database): Promise<void> {
  await migrate(db, { migrationsFolder: MIGRATIONS });
  const [known] = await db.select({ id: workshops.id }).from(workshops).limit(1);
  if (known) return;
  await db.insert(workshops).values({
    name: 'My workshop',
    tensionUnit: 'kg',
    lengthSystem: 'metric',
    currency: 'EUR',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    labourMinor: 1800,
    cutAssumptions: USUAL_ASSUMPTIONS,
  });
}
