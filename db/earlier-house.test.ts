/** A house of the schema before there were people: it migrates, keeps its records and asks for its owner. */
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openDatabase, type OpenDatabase } from './connection';
import { clients } from './racket-schema';
import { trail } from './workshop-schema';
import { giveRights } from './rights';
import { migrateDatabase, migratesRecords } from './migrate';

const name = `earlier_${randomUUID().slice(0, 8)}`;
const address = new URL(process.env.TEST_DATABASE_URL ?? 'postgres://none');
const server = openDatabase(address.toString(), 'command');
address.pathname = `/${name}`;
let house: OpenDatabase;

/** Brings a database to the schema of version 0005, the last without people. */
async function migrateToBefore(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'orthotens-earlier-'));
  cpSync(join(process.cwd(), 'db', 'migrations'), folder, { recursive: true });
  const file = join(folder, 'meta', '_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { tag: string }[] };
  journal.entries = journal.entries.filter(({ tag }) => tag <= '0005_drawn');
  writeFileSync(file, JSON.stringify(journal));
  await migrate(house.db, { migrationsFolder: folder });
  rmSync(folder, { recursive: true });
}

beforeAll(async () => {
  await server.db.execute(sql.raw(`create database ${name}`));
  house = openDatabase(address.toString(), 'command');
  await migrateToBefore();
  await house.db.execute(
    sql`insert into workshops (id, name, tension_unit, length_system, currency, time_zone, labour_minor, cut_assumptions)
        values (${randomUUID()}, 'Old Bench', 'kg', 'metric', 'EUR', 'UTC', 1800, '{"gripperMm":360,"knotMm":80,"tailMm":60,"marginMm":50,"armSpanMm":null}')`,
  );
  await house.db.execute(
    sql`insert into clients (workshop_id, name, contact, notes) select id, 'Ada', '', '' from workshops`,
  );
});
afterAll(async () => {
  await house.close();
  await server.db.execute(sql.raw(`drop database ${name} with (force)`));
  await server.close();
});

it('keeps its records, has nothing on the trail yet, and is known to lack its owner', async () => {
  expect(await migratesRecords(house.db)).toBe(true);
  await migrateDatabase(house.db);
  const rights = await giveRights(house.db, address.toString(), 'x'.repeat(32));
  expect(await house.db.$count(clients)).toBe(1);
  expect(await house.db.$count(trail)).toBe(0);
  const [records, doors] = [openDatabase(rights.records), openDatabase(rights.doors)];
  try {
    const asked = sql`select name from ownerless_workshops()`;
    expect((await doors.db.execute(asked)).rows).toEqual([{ name: 'Old Bench' }]);
    // Only the doors may know of it.
    await expect(records.db.execute(asked)).rejects.toThrow();
    expect(await records.db.$count(clients)).toBe(0);
  } finally {
    await Promise.all([records.close(), doors.close()]);
  }
});
