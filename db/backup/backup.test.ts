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
  symlinkSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { serverPrograms } from '@/scripts/cluster';
import { openDatabase, type Database } from '../connection';
import { fillWithDemo } from '../demo/fill';
import { wallKeys } from '../doors-schema';
import { migrateDatabase, migratesRecords } from '../migrate';
import { clients } from '../racket-schema';
import { workshops } from '../workshop-schema';
import { newWorkshop } from '../testing';
import { signWith } from '../walls';
import { makeBackup, proveBackup, refusalOf, restoreBackup } from './backup';
import { backUpNow, backupState, isDue, nameSecond } from './daily';
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
    const key = randomBytes(32).toString('hex');
    await db.insert(wallKeys).values({ key });
    signWith(key);
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
    // Whatever has to stop for it stops when nothing is against it any more.
    let stops = 0;
    const stop = async () => {
      stops++;
    };
    await restoreBackup(file, empty, tools, stop);
    expect(stops).toBe(1);
    expect(await names(empty)).toEqual(await names(shop));
    // What was restored goes on working, its counters with it.
    await inside(empty, migrateDatabase);
    expect(await refusal(restoreBackup(file, empty, tools, stop))).toContain('has records already');
    expect(stops).toBe(1);
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
      return refusal(
        restoreBackup(spoilt, empty, tools, () => Promise.reject(new Error('stopped for nothing'))),
      );
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

/** PostgreSQL's programs, of which the one that restores fails. */
function brokenPrograms(beside: string): string {
  const programs = join(beside, 'programs');
  mkdirSync(programs);
  for (const name of readdirSync(tools.programs ?? ''))
    symlinkSync(join(tools.programs ?? '', name), join(programs, name));
  rmSync(join(programs, 'pg_restore'));
  writeFileSync(join(programs, 'pg_restore'), '#!/bin/sh\nexit 1\n', { mode: 0o755 });
  return programs;
}

describe('a backup of somebody else’s making', () => {
  /** A house like the shop with something in it that does harm when it is restored; in `marker` it leaves its trace. */
  const crafted = async (harm: (marker: string) => string) => {
    const marker = join('/tmp', `orthotens-harm-${randomBytes(4).toString('hex')}`);
    const other = await house();
    await inside(server, (db) =>
      db.execute(sql.raw(`drop database ${new URL(other).pathname.slice(1)}`)),
    );
    await inside(server, (db) =>
      db.execute(
        sql.raw(
          `create database ${new URL(other).pathname.slice(1)} template ${new URL(shop).pathname.slice(1)}`,
        ),
      ),
    );
    await inside(other, (db) => db.execute(sql.raw(harm(marker))));
    // Whoever restores as the master of the server has it done to them.
    expect(existsSync(marker)).toBe(true);
    rmSync(marker);
    const backup = join(folder, `${randomBytes(4).toString('hex')}.backup`);
    await makeBackup(other, backup, tools);
    return { backup, marker };
  };
  const LOUD = (marker: string) => `
    create function harm() returns integer language plpgsql as $$ begin
      copy (select 1) to program 'cat > /dev/null; touch ${marker}'; return 1; end $$;
    create materialized view harm_done as select harm()`;
  const QUIET = (marker: string) => `
    create function harm() returns integer language plpgsql as $$ begin
      begin copy (select 1) to program 'cat > /dev/null; touch ${marker}'; exception when others then null; end; return 1; end $$;
    create materialized view harm_done as select harm();
    create function harm_later() returns trigger language plpgsql as $$ begin perform harm(); return new; end $$;
    create trigger harm_later before update on workshops for each row execute function harm_later();
    alter table workshops enable always trigger harm_later`;

  it('runs nothing of what it says, neither when it is proven nor when it is brought in', async () => {
    const loud = await crafted(LOUD);
    expect(await refusal(proveBackup(loud.backup, server, tools))).toContain('pg_restore failed');
    expect(existsSync(loud.marker)).toBe(false);
    // What comes in beside the harm are records, whole, and what is done with them runs the program's own.
    const { backup, marker } = await crafted(QUIET);
    const empty = await house();
    await restoreBackup(backup, empty, tools);
    expect(await names(empty)).toEqual(await names(shop));
    await inside(empty, (db) => db.update(workshops).set({ name: 'Changed' }));
    expect(existsSync(marker)).toBe(false);
    const { rows } = await inside(empty, (db) =>
      db.execute(sql`select proname from pg_proc where proname like 'harm%'`),
    );
    expect(rows).toEqual([]);
  });

  it('leaves neither its database nor its role behind', async () => {
    const { rows } = await inside(server, (db) =>
      db.execute(
        sql`select datname as left from pg_database where datname like 'orthotens_proof%' union all select rolname from pg_roles where rolname like 'orthotens_proof%'`,
      ),
    );
    expect(rows).toEqual([]);
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
    mkdirSync(second);
    await nameSecond(here.folder, second);
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

  it('is not kept from coming by a date that has not come, and a folder that is not there is said, not made', async () => {
    const here = { ...place, address: shop };
    const gone = join(folder, 'stick');
    mkdirSync(gone);
    await nameSecond(here.folder, gone);
    rmSync(gone, { recursive: true });
    const inAYear = await backUpNow(here, new Date(Date.now() + 365 * day));
    expect(inAYear.secondFailure).toContain('that disk is not mounted');
    expect(existsSync(gone)).toBe(false);
    mkdirSync(gone);
    expect(isDue(await backupState(here.folder), new Date())).toBe(true);
    const now = await backUpNow(here);
    expect(isDue(now, new Date())).toBe(false);
    // An empty folder is where the disk is mounted, not the disk.
    expect(readdirSync(gone)).toEqual([]);
    expect(now.secondFailure).toContain('that disk is not mounted');
  });

  it('that was not proven goes by no good name, and the next takes it away', async () => {
    const here = { ...place, address: shop };
    // What the database holds meanwhile is more than it shows: the proof finds that out.
    const before = readdirSync(here.folder).filter((name) => name.endsWith('.backup'));
    const failed = await backUpNow({
      ...here,
      tools: { ...tools, programs: brokenPrograms(folder) },
    });
    expect(failed.failure).toMatch(/\.unproven: do not rely on it/);
    const there = readdirSync(here.folder);
    expect(there.filter((name) => name.endsWith('.backup'))).toEqual(before);
    const [unproven = ''] = there.filter((name) => name.endsWith('.unproven'));
    const anHourAgo = new Date(Date.now() - 61 * 60_000);
    utimesSync(join(here.folder, unproven), anHourAgo, anHourAgo);
    expect((await backUpNow(here)).failure).toBeNull();
    expect(readdirSync(here.folder)).not.toContain(unproven);
    rmSync(join(here.folder, (await backupState(here.folder)).proven?.file ?? ''));
    expect(await backupState(here.folder)).toMatchObject({
      proven: null,
      failure: expect.stringContaining('not in its folder any more'),
    });
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
