import { randomBytes, randomUUID } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { serverPrograms } from '@/scripts/cluster';
import { openDatabase, type Database } from '../connection';
import { fillWithDemo } from '../demo/fill';
import { migrateDatabase, migratesRecords } from '../migrate';
import { clients, workshops } from '../schema';
import { newWorkshop } from '../testing';
import { makeBackup, proveBackup, refusalOf, restoreBackup } from './backup';
import { backUpNow, backupState, isDue, keepState } from './daily';
import { dailyName } from './kept';

const folder = mkdtempSync(join(tmpdir(), 'orthotens-backup-test-'));
const tools = { programs: serverPrograms(), application: '0.1.0' };
const server = process.env.TEST_DATABASE_URL ?? '';
const made: string[] = [];

/** A database of this test's own, and a way to work in it. */
async function house(): Promise<string> {
  const name = `orthotens_test_backup_${randomBytes(5).toString('hex')}`;
  await inside(server, (db) => db.execute(sql.raw(`create database ${name}`)));
  made.push(name);
  const url = new URL(server);
  url.pathname = `/${name}`;
  return url.toString();
}

async function inside<T>(address: string, work: (db: Database) => Promise<T>): Promise<T> {
  const { db, close } = openDatabase(address, 'command');
  return work(db).finally(close);
}

const refusal = (work: Promise<unknown>): Promise<string | undefined> =>
  work.then(() => undefined, refusalOf);

let shop: string;
const file = join(folder, 'shop.backup');

beforeAll(async () => {
  shop = await house();
  await inside(shop, async (db) => {
    await migrateDatabase(db);
    await fillWithDemo(db);
  });
  await makeBackup(shop, file, tools);
});

afterAll(async () => {
  rmSync(folder, { recursive: true });
  for (const name of made)
    await inside(server, (db) => db.execute(sql.raw(`drop database ${name} with (force)`)));
});

const names = (address: string) =>
  inside(address, (db) => db.select({ name: clients.name }).from(clients).orderBy(clients.name));

describe('a backup', () => {
  it('is one file for its owner only, which says what is in it', async () => {
    expect(statSync(file).mode & 0o077).toBe(0);
    const listed = spawnSync('tar', ['-tf', file], { encoding: 'utf8' }).stdout;
    expect(listed.trim().split('\n')).toEqual(['manifest.json', 'records.dump']);
    const { tables, migrations } = await proveBackup(file, server, tools);
    const rows = (table: string) => tables.find((each) => each.table === table)?.rows;
    expect(rows('public.tickets')).toBe(406);
    expect(rows('public.clients')).toBe(30);
    expect(migrations).toContain('0000_house');
  });

  it('shows one instant while people go on writing', async () => {
    let writing = true;
    const writer = inside(shop, async (db) => {
      const [workshop] = await db.select({ id: workshops.id }).from(workshops);
      while (writing)
        await db.insert(clients).values({
          workshopId: workshop?.id ?? '',
          name: `Passer-by ${randomUUID()}`,
          contact: '',
          notes: '',
        });
    });
    const busy = join(folder, 'busy.backup');
    await makeBackup(shop, busy, tools);
    writing = false;
    await writer;
    await proveBackup(busy, server, tools);
    await inside(shop, (db) => db.delete(clients).where(sql`${clients.name} like 'Passer-by %'`));
  });

  it('comes back into an empty house, equal, and never over a full one', async () => {
    const empty = await house();
    await inside(empty, migrateDatabase);
    await restoreBackup(file, empty, tools);
    expect(await names(empty)).toEqual(await names(shop));
    // What was restored goes on working, its counters with it.
    await inside(empty, migrateDatabase);
    expect(await refusal(restoreBackup(file, empty, tools))).toContain('has records already');
    const begun = await house();
    await inside(begun, async (db) => {
      await migrateDatabase(db);
      const { id } = await newWorkshop(db);
      await db.update(workshops).set({ name: 'Begun', version: 2 }).where(eq(workshops.id, id));
    });
    expect(await refusal(restoreBackup(file, begun, tools))).toContain('has records already');
    expect(await inside(begun, (db) => db.$count(workshops, eq(workshops.name, 'Begun')))).toBe(1);
  });

  it('that is damaged, torn, changed or no backup is refused, and nothing of it comes in', async () => {
    const empty = await house();
    const sound = readFileSync(file);
    const spoilt = join(folder, 'spoilt.backup');
    const tried = async (bytes: Buffer | string) => {
      writeFileSync(spoilt, bytes);
      return refusal(restoreBackup(spoilt, empty, tools));
    };
    expect(await tried('no backup')).toContain('no backup of this application');
    expect(await tried(sound.subarray(0, sound.length / 2))).toMatch(/torn|damaged/);
    const flipped = Buffer.from(sound);
    flipped[sound.length - 40_000] = (flipped[sound.length - 40_000] ?? 0) ^ 0xff;
    expect(await tried(flipped)).toContain('damaged');
    const later = Buffer.from(
      sound.toString('latin1').replace('"0000_house"', '"9999_house"'),
      'latin1',
    );
    expect(await tried(later)).toContain('later version');
    const other = sound
      .toString('latin1')
      .replace(/("table": "public.clients",\s+"rows": )30/, '$131');
    writeFileSync(spoilt, Buffer.from(other, 'latin1'));
    expect(await refusal(proveBackup(spoilt, server, tools))).toContain(
      'public.clients has 30 rows and should have 31',
    );
    const tables = await inside(empty, (db) =>
      db.execute(sql`select 1 from pg_tables where schemaname = 'public'`),
    );
    expect(tables.rowCount).toBe(0);
  });
});

describe('a backup a day', () => {
  const place = { address: '', folder: join(folder, 'daily'), tools };
  const day = 24 * 60 * 60_000;

  it('is proven, goes to a second folder too, and says since when it stands', async () => {
    const here = { ...place, address: shop };
    const second = join(folder, 'second');
    mkdirSync(here.folder);
    writeFileSync(join(here.folder, dailyName(new Date(Date.now() - 60_000))), 'an earlier one');
    await keepState(here.folder, { second });
    expect(isDue(await backupState(here.folder), new Date())).toBe(true);
    const { proven, failure, secondFailure } = await backUpNow(here);
    expect([failure, secondFailure]).toEqual([null, null]);
    expect(existsSync(join(second, proven?.file ?? '-'))).toBe(true);
    const daily = readdirSync(here.folder).filter((name) => name.startsWith('orthotens-'));
    expect(daily).toContain(proven?.file);
    const state = await backupState(here.folder);
    expect(isDue(state, new Date())).toBe(false);
    expect(isDue(state, new Date(Date.now() + day))).toBe(true);
  });

  it('that fails says so and leaves the last proven one', async () => {
    const before = await backupState(place.folder);
    const lost = await backUpNow({ ...place, address: 'postgres://a:b@127.0.0.1:1/gone' });
    expect(lost.failure).toContain('failed');
    expect(lost.proven).toEqual(before.proven);
    expect((await backUpNow({ ...place, address: shop })).failure).toBeNull();
  });
});

it('a migration over records is known beforehand', async () => {
  expect(await inside(shop, migratesRecords)).toBe(false);
  const old = await house();
  await restoreBackup(file, old, tools);
  await inside(old, (db) =>
    db.execute(
      sql`delete from drizzle.__drizzle_migrations where created_at = (select max(created_at) from drizzle.__drizzle_migrations)`,
    ),
  );
  expect(await inside(old, migratesRecords)).toBe(true);
  const fresh = await house();
  expect(await inside(fresh, migratesRecords)).toBe(false);
});
