/** PostgreSQL's own programs for a dump and its way back, run beside this process. */
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);

/** What went wrong in a program of PostgreSQL's, in one line that names no record. */
export class ProgramFailed extends Error {}

/** Says to the walls between workshops that this is about all of them, where the owner is bound by them too. */
export const EVERYTHING = '-c orthotens.everything=on';

/** The address without its password, which would be seen in the list of processes. */
function withoutPassword(address: string): readonly [address: string, password: string] {
  const url = new URL(address);
  const password = decodeURIComponent(url.password);
  url.password = '';
  return [url.toString(), password];
}

async function onDatabase(
  programs: string | undefined,
  program: 'pg_dump' | 'pg_restore',
  address: string,
  args: readonly string[],
): Promise<void> {
  const [open, password] = withoutPassword(address);
  try {
    await run(programs ? join(programs, program) : program, [...args, `--dbname=${open}`], {
      env: { ...process.env, PGPASSWORD: password, PGCONNECT_TIMEOUT: '10', PGOPTIONS: EVERYTHING },
      maxBuffer: 10_000_000,
    });
  } catch (error) {
    const { code, stderr = '' } = error as { code?: unknown; stderr?: string };
    throw new ProgramFailed(
      code === 'ENOENT'
        ? `${program} is not on this machine: apt-get install postgresql-client.`
        : `${program} failed: ${stderr.trim().split('\n')[0] ?? String(code)}`,
    );
  }
}

/** Writes everything of a database, as a snapshot shows it, into one file. */
export const dump = (
  programs: string | undefined,
  address: string,
  snapshot: string,
  file: string,
): Promise<void> =>
  onDatabase(programs, 'pg_dump', address, [
    '--format=custom',
    '--no-owner',
    '--no-privileges',
    '--enable-row-security',
    // Each house signs by its own.
    '--exclude-table-data=public.wall_keys',
    `--snapshot=${snapshot}`,
    `--file=${file}`,
  ]);

/** Brings a dump into an empty database, all of it or nothing. What it says is run there: see `quarantine.ts`. */
export const undump = (
  programs: string | undefined,
  address: string,
  file: string,
): Promise<void> =>
  onDatabase(programs, 'pg_restore', address, [
    '--no-owner',
    '--no-privileges',
    '--single-transaction',
    '--exit-on-error',
    file,
  ]);

/** Packs files of a folder into one, in this order. */
export async function pack(folder: string, names: readonly string[], file: string): Promise<void> {
  await run('tar', ['--create', `--file=${file}`, `--directory=${folder}`, ...names]);
}

/** Takes named files out of a packed one; only these, whatever else is in it. */
export async function unpack(
  file: string,
  names: readonly string[],
  folder: string,
): Promise<void> {
  await run('tar', [
    '--extract',
    `--file=${file}`,
    `--directory=${folder}`,
    '--no-same-owner',
    ...names,
  ]);
}
