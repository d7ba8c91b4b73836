/** What `npm start` and `npm run demo` have in common: database, build, server, and its address. */
import { mkdirSync } from 'node:fs';
import { openDatabase, type Database } from '@/db/connection';
import { migrateDatabase } from '@/db/migrate';
import { ensureBuild } from './build';
import { workDatabase } from './cluster';
import { fail, HOUSE } from './house';
import { ensureServer, stopServer } from './server';

export async function openHouse(
  name: 'orthotens' | 'orthotens_demo',
  fill: (db: Database) => Promise<void>,
): Promise<string> {
  mkdirSync(HOUSE, { recursive: true });
  const url = await workDatabase(name);
  const { db, close } = openDatabase(url);
  try {
    await migrateDatabase(db);
    await fill(db);
  } finally {
    await close();
  }
  // A server must not be left serving pages from under a build.
  const { good, madeFrom } = await ensureBuild('.next', stopServer);
  if (!good) fail('The build failed; the lines above say why.');
  const address = await ensureServer(url, madeFrom);
  console.log(`Orthotens is at ${address}   (npm run stop ends it)`);
  return address;
}
