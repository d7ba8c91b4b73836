/** What `npm start` and `npm run demo` have in common: database, build, server, and its address. */
import { join } from 'node:path';
import { makeBackup, refusalOf } from '@/db/backup/backup';
import { openDatabase, type Database } from '@/db/connection';
import { migrateDatabase, migratesRecords } from '@/db/migrate';
import { giveRights, type Entrances } from '@/db/rights';
import { signWith } from '@/db/walls';
import { backupPlace } from './backups';
import { ensureBuild } from './build';
import { workDatabase } from './databases';
import { alone, fail, houseSecret } from './house';
import { ensureServer, stopForBuild, type Served } from './server';

/**
 * Brings a database up to date, and gives the application its rights in it; one with records is backed up
 * before anything in it changes.
 */
export async function bringUpToDate(
  address: string,
  fill: (db: Database) => Promise<void>,
): Promise<Entrances> {
  const { db, close } = openDatabase(address, 'command');
  try {
    if (await migratesRecords(db)) {
      const { folder, tools } = backupPlace(address);
      const file = join(
        folder,
        `before-migration-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}.backup`,
      );
      await makeBackup(address, file, tools);
      console.log(`The tables change with this version; a backup of before is ${file}`);
    }
    await migrateDatabase(db);
    const entrances = await giveRights(db, address, houseSecret());
    signWith(entrances.wallKey);
    await fill(db);
    if (!entrances.apart)
      console.log(
        'This server gives the application one role only, which owns the tables: row security is forced on it.',
      );
    return entrances;
  } catch (error) {
    return fail(
      `The database could not be brought up to date: ${refusalOf(error) ?? causeOf(error)}. What was in it is as it was.`,
    );
  } finally {
    await close();
  }
}

/** The last cause of an error in its own words, without the statement that it was met in. */
function causeOf(error: unknown): string {
  let last = error;
  while (last instanceof Error && last.cause !== undefined) last = last.cause;
  return last instanceof Error ? last.message : String(last);
}

export const openHouse = (served: Served, fill: (db: Database) => Promise<void>): Promise<string> =>
  alone('start', async () => {
    const address = await workDatabase(served);
    const entrances = await bringUpToDate(address, fill);
    const { good, madeFrom } = await ensureBuild('.next', () => stopForBuild(served));
    if (!good) fail('The build failed; the lines above say why.');
    const url = await ensureServer(served, address, entrances, madeFrom);
    console.log(`Orthotens is at ${url}   (npm run stop ends it)`);
    return url;
  });
