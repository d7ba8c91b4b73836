/** A backup a day while the server runs, proven at once, in a second folder too if one is named. */
import { copyFile, mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { makeBackup, proveBackup, refusalOf, type Tools } from './backup';
import { dailyName, madeAt, mayGo } from './kept';

const DAY_MS = 24 * 60 * 60_000;
const HOUR_MS = 60 * 60_000;
/** The first one waits until the server has served those who waited for it. */
const FIRST_AFTER_MS = 20_000;

export interface BackupPlace {
  readonly address: string;
  readonly folder: string;
  readonly tools: Tools;
}

const stateSchema = z.object({
  /** The latest backup that was brought back and found equal. */
  proven: z.object({ file: z.string(), made: z.iso.datetime() }).nullable(),
  /** Why the latest try came to nothing. */
  failure: z.string().nullable(),
  /** A second folder that each goes to as well. */
  second: z.string().nullable(),
  secondFailure: z.string().nullable(),
});
export type BackupState = z.infer<typeof stateSchema>;

const NOTHING: BackupState = { proven: null, failure: null, second: null, secondFailure: null };
const STATE = 'state.json';

/** How the backups of a folder stand. A state that cannot be read is none. */
export async function backupState(folder: string): Promise<BackupState> {
  try {
    return stateSchema.parse(JSON.parse(await readFile(join(folder, STATE), 'utf8')));
  } catch {
    return NOTHING;
  }
}

export async function keepState(folder: string, change: Partial<BackupState>): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const state = { ...(await backupState(folder)), ...change };
  const aside = join(folder, `${STATE}.${process.pid}`);
  await writeFile(aside, `${JSON.stringify(state, null, 2)}\n`, { mode: 0o600 });
  await rename(aside, join(folder, STATE));
}

async function thin(folder: string): Promise<void> {
  for (const name of mayGo(await readdir(folder))) await rm(join(folder, name));
}

/** Copies a backup into the second folder, and thins out what is there by the same rule. */
async function alsoTo(second: string, folder: string, name: string): Promise<void> {
  await mkdir(second, { recursive: true });
  const aside = join(second, `${name}.part`);
  await copyFile(join(folder, name), aside);
  await rename(aside, join(second, name));
  await thin(second);
}

/** Makes a backup, proves it and puts it where it belongs; what went wrong is kept for the Workshop page. */
export async function backUpNow({ address, folder, tools }: BackupPlace): Promise<BackupState> {
  const name = dailyName(new Date());
  try {
    const { made } = await makeBackup(address, join(folder, name), tools);
    await proveBackup(join(folder, name), address, tools);
    await keepState(folder, { proven: { file: name, made }, failure: null });
    await thin(folder);
  } catch (error) {
    const { code, name: kind } = error as NodeJS.ErrnoException;
    const why = refusalOf(error) ?? `It failed (${code ?? kind}).`;
    console.error(`No backup was made: ${why}`);
    await keepState(folder, { failure: why });
    return backupState(folder);
  }
  const { second } = await backupState(folder);
  if (second !== null)
    await alsoTo(second, folder, name).then(
      () => keepState(folder, { secondFailure: null }),
      (error: NodeJS.ErrnoException) =>
        keepState(folder, { secondFailure: error.code ?? error.name }),
    );
  return backupState(folder);
}

/** Whether the latest proven backup is a day old, or there is none. */
export function isDue({ proven }: BackupState, now: Date): boolean {
  const made = proven && (madeAt(proven.file) ?? new Date(proven.made));
  return !made || now.getTime() - made.getTime() >= DAY_MS;
}

/** Looks every hour whether a backup is due, for as long as this process lives. */
export function backUpDaily(place: BackupPlace): void {
  const look = async () => {
    if (isDue(await backupState(place.folder), new Date())) await backUpNow(place);
  };
  setTimeout(() => {
    void look();
    setInterval(() => void look(), HOUR_MS).unref();
  }, FIRST_AFTER_MS).unref();
}
