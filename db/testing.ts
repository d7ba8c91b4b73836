import { randomUUID } from 'node:crypto';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import { openDatabase, type Database, type OpenDatabase } from './connection';
import { migrateDatabase } from './migrate';
import { workshops } from './schema';
import { recordsOf } from './workshop';

/** The database that `npm test` makes for this run; there is no other to fall back on. */
export async function openTestDatabase(): Promise<OpenDatabase> {
  const url = process.env.TEST_DATABASE_URL;
  if (!url) throw new Error('Run these tests with npm test: it makes a database for them.');
  const open = openDatabase(url);
  await migrateDatabase(open.db);
  return open;
}

/** A workshop of a test's own, so that tests cannot see each other's rows. */
export async function newWorkshop(db: Database) {
  const id = randomUUID();
  await db.insert(workshops).values({
    id,
    name: 'Test bench',
    tensionUnit: 'kg',
    lengthSystem: 'metric',
    currency: 'EUR',
    timeZone: 'UTC',
    labourMinor: 1800,
    cutAssumptions: USUAL_ASSUMPTIONS,
  });
  return { id, ...recordsOf(db, id) };
}
