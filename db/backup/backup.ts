/**
 * A workshop's records in one file: a tar with `manifest.json` (versions, what is in each table) and
 * `records.dump` (PostgreSQL's custom format, which pg_restore reads without this application too).
 */
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { chmod, mkdir, mkdtemp, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Client } from 'pg';
import { z } from 'zod';
import { knownMigrations } from '../migrate';
import { bringIn } from './bring-in';
import { differenceOf, digestTables, tableDigestSchema, type TableDigest } from './digest';
import { dump, pack, ProgramFailed, unpack } from './programs';
import { onDatabase, quarantined } from './quarantine';

const MANIFEST = 'manifest.json';
const RECORDS = 'records.dump';

const manifestSchema = z.object({
  format: z.literal('orthotens-backup/1'),
  /** Instant at which everything in it stood so. */
  made: z.iso.datetime(),
  application: z.string(),
  postgresql: z.string(),
  /** Names of the migrations that its tables have been through. */
  migrations: z.array(z.string()),
  tables: z.array(tableDigestSchema),
  records: z.object({ bytes: z.number(), sha256: z.string() }),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** Why a backup cannot be made, proven or brought in, in one sentence. */
class BackupRefused extends Error {}

export interface Tools {
  /** Folder of PostgreSQL's programs; undefined takes those on the path. */
  readonly programs: string | undefined;
  /** Version of the application, for the manifest. */
  readonly application: string;
}

async function inScratchFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'orthotens-backup-'));
  try {
    return await work(folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** What one instant of the database shows, whatever people write meanwhile. */
const asOneInstant = <T>(
  address: string,
  work: (client: Client, snapshot: string) => Promise<T>,
): Promise<T> =>
  onDatabase(address, async (client) => {
    await client.query('begin isolation level repeatable read read only');
    const { rows } = await client.query<{ snapshot: string }>(
      'select pg_export_snapshot() as snapshot',
    );
    return work(client, rows[0]?.snapshot ?? '');
  });

async function sha256(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

async function appliedMigrations(client: Client): Promise<string[]> {
  const known = knownMigrations();
  const { rows: there } = await client.query(
    `select 1 from pg_tables where schemaname = 'drizzle' and tablename = '__drizzle_migrations'`,
  );
  if (there.length === 0) return [];
  const { rows } = await client.query<{ created_at: string }>(
    'select created_at from drizzle.__drizzle_migrations order by created_at',
  );
  return rows.map(
    ({ created_at }) => known.find(({ when }) => when === Number(created_at))?.name ?? created_at,
  );
}

/** Makes a backup while people go on working; the file appears when it is whole. */
export async function makeBackup(
  address: string,
  file: string,
  { programs, application }: Tools,
): Promise<Manifest> {
  return inScratchFolder(async (folder) => {
    const records = join(folder, RECORDS);
    const manifest = await asOneInstant(
      address,
      async (client, snapshot): Promise<Omit<Manifest, 'records'>> => {
        const tables = [...(await digestTables(client))];
        const { rows } = await client.query<{ now: Date; version: string }>(
          `select now() as now, current_setting('server_version') as version`,
        );
        const migrations = await appliedMigrations(client);
        // The transaction keeps the snapshot alive until the dump has read it.
        await dump(programs, address, snapshot, records);
        return {
          format: 'orthotens-backup/1',
          made: rows[0]?.now.toISOString() ?? '',
          application,
          postgresql: rows[0]?.version ?? '',
          migrations,
          tables,
        };
      },
    );
    const whole: Manifest = {
      ...manifest,
      records: { bytes: (await stat(records)).size, sha256: await sha256(records) },
    };
    await writeFile(join(folder, MANIFEST), `${JSON.stringify(whole, null, 2)}\n`);
    await mkdir(dirname(file), { recursive: true, mode: 0o700 });
    const aside = `${file}.part`;
    await pack(folder, [MANIFEST, RECORDS], aside);
    await chmod(aside, 0o600);
    await rename(aside, file);
    return whole;
  });
}

/** Opens a backup and sees that nothing of it is torn; works with its dump. */
async function opened<T>(
  file: string,
  work: (manifest: Manifest, records: string) => Promise<T>,
): Promise<T> {
  return inScratchFolder(async (folder) => {
    await unpack(file, [MANIFEST, RECORDS], folder).catch(() => {
      throw new BackupRefused(`${file} is no backup of this application, or it is torn.`);
    });
    const text = await readFile(join(folder, MANIFEST), 'utf8');
    const manifest = manifestSchema.safeParse(asJson(text));
    if (!manifest.success)
      throw new BackupRefused(
        `The manifest of ${file} cannot be understood: it is torn, or of a later version.`,
      );
    const records = join(folder, RECORDS);
    if ((await sha256(records)) !== manifest.data.records.sha256)
      throw new BackupRefused(`${file} is damaged: its records are not what its manifest says.`);
    return work(manifest.data, records);
  });
}

function asJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Brings a backup into a database of its own for a moment, and compares every table. */
export const proveBackup = (file: string, server: string, { programs }: Tools): Promise<Manifest> =>
  opened(file, (manifest, records) =>
    quarantined(programs, server, records, async (address) => {
      await compare(address, manifest);
      return manifest;
    }),
  );

async function compare(address: string, { tables }: Manifest): Promise<void> {
  const found = await asOneInstant(address, digestTables);
  const difference = differenceOf(tables, found);
  if (difference !== undefined)
    throw new BackupRefused(`What came back is not what was kept: ${difference}.`);
}

/** A house is empty when nobody has made anything in it. */
async function isEmpty(address: string): Promise<boolean> {
  const tables = await asOneInstant(address, digestTables);
  const touched = tables.some(
    ({ table, rows }: TableDigest) =>
      rows > 0 &&
      !['public.workshops', 'public.trail', 'drizzle.__drizzle_migrations'].includes(table),
  );
  if (touched) return false;
  if (!tables.some(({ table }) => table === 'public.workshops')) return true;
  const { rows } = await onDatabase(address, (client) =>
    client.query('select 1 from workshops where version > 1 or next_ticket > 1'),
  );
  return rows.length === 0;
}

/**
 * Brings a backup into an empty house: all of it or nothing, and never over records. `before` is done when everything
 * was looked at and nothing is against it, so that a refusal leaves all as it was.
 */
export const restoreBackup = (
  file: string,
  address: string,
  { programs }: Tools,
  before: () => Promise<unknown> = async () => undefined,
): Promise<Manifest> =>
  opened(file, async (manifest, records) => {
    const known = knownMigrations().map(({ name }) => name);
    if (manifest.migrations.some((name, i) => name !== known[i]))
      throw new BackupRefused(
        `This backup was made by a later version of the application (${manifest.application}): bring the application up to date first.`,
      );
    if (!(await isEmpty(address)))
      throw new BackupRefused(
        'This house has records already, and a backup is never brought in over records. Name an empty database in DATABASE_URL, or another house in ORTHOTENS_HOUSE.',
      );
    return quarantined(programs, address, records, async (aside) => {
      // As good as it says, before anything is touched.
      await compare(aside, manifest);
      await before();
      await onDatabase(aside, (from) =>
        onDatabase(address, (to) => bringIn(from, to, manifest.migrations.length)),
      );
      await compare(address, manifest);
      return manifest;
    });
  });

/** The sentence for what went wrong around a backup; undefined for what nobody foresaw. */
export const refusalOf = (error: unknown): string | undefined =>
  error instanceof BackupRefused || error instanceof ProgramFailed ? error.message : undefined;
