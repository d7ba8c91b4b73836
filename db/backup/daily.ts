/** A backup a day while the server runs, proven at once, in a second folder too if one is named. */
import { copyFile, mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { existsSync } from 'node:fs';
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

/** How the backups of a folder stand. A state that cannot be read is none, and neither is a backup that is gone. */
export async function backupState(folder: string): Promise<BackupState> {
  try {
    const state = stateSchema.parse(JSON.parse(await readFile(join(folder, STATE), 'utf8')));
    const { proven } = state;
    if (!proven || existsSync(join(folder, proven.file))) return state;
    return { ...state, proven: null, failure: `${proven.file} is not in its folder any more.` };
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

async function thin(folder: string, proven: string): Promise<void> {
  for (const name of mayGo(await readdir(folder), proven)) await rm(join(folder, name));
}

/** What a try has made that was not proven, or not to its end. */
const UNPROVEN = '.unproven';

/** Takes away what earlier tries left; one that goes on beside this is younger than an hour. */
async function clearLeft(folder: string, now: Date): Promise<void> {
  for (const name of await readdir(folder)) {
    if (!name.endsWith(UNPROVEN) && !name.endsWith('.part')) continue;
    const { mtimeMs } = await stat(join(folder, name));
    if (now.getTime() - mtimeMs > HOUR_MS) await rm(join(folder, name));
  }
}

/** Lies in the second folder, so that a folder in which no disk is mounted is not taken for it. */
const MARK = 'backups-of-orthotens';

/** Names a second folder for every daily backup, which has to be there. */
export async function nameSecond(folder: string, second: string): Promise<void> {
  await writeFile(join(second, MARK), 'Backups come here every day.\n');
  await keepState(folder, { second, secondFailure: null });
}

async function isTheSecond(second: string): Promise<boolean> {
  const there = await readdir(second).catch((): string[] => []);
  // Named by an earlier version, it has no mark yet.
  return there.some((name) => name === MARK || madeAt(name) !== undefined);
}

/** Copies a backup into the second folder, and thins out what is there by the same rule; says why it could not. */
async function alsoTo(second: string, folder: string, name: string): Promise<string | null> {
  if (!(await isTheSecond(second)))
    return 'the folder that was named is not there. If it is on another disk, that disk is not mounted';
  try {
    const aside = join(second, `${name}.part`);
    await copyFile(join(folder, name), aside);
    await rename(aside, join(second, name));
    await thin(second, name);
    return null;
  } catch (error) {
    const { code, name: kind } = error as NodeJS.ErrnoException;
    return code ?? kind;
  }
}

/** Makes a backup, proves it and puts it where it belongs; what went wrong is kept for the Workshop page. */
export async function backUpNow(
  { address, folder, tools }: BackupPlace,
  now = new Date(),
): Promise<BackupState> {
  const name = dailyName(now);
  const aside = join(folder, `${name}${UNPROVEN}`);
  let isMade = false;
  try {
    await mkdir(folder, { recursive: true, mode: 0o700 });
    await clearLeft(folder, now);
    const { made } = await makeBackup(address, aside, tools);
    isMade = true;
    await proveBackup(aside, address, tools);
    await rename(aside, join(folder, name));
    await keepState(folder, { proven: { file: name, made }, failure: null });
    await thin(folder, name);
  } catch (error) {
    const { code, name: kind } = error as NodeJS.ErrnoException;
    const why = refusalOf(error) ?? `It failed (${code ?? kind}).`;
    console.error(`No backup was made: ${why}`);
    await keepState(folder, {
      failure: isMade ? `${why} What was made is ${name}${UNPROVEN}: do not rely on it.` : why,
    });
    return backupState(folder);
  }
  const { second } = await backupState(folder);
  if (second !== null)
    await keepState(folder, { secondFailure: await alsoTo(second, folder, name) });
  return backupState(folder);
}

/** Whether the latest proven backup is a day old, of a day that has not come yet, or there is none. */
export function isDue({ proven }: BackupState, now: Date): boolean {
  const made = proven && (madeAt(proven.file) ?? new Date(proven.made));
  return !made || Math.abs(now.getTime() - made.getTime()) >= DAY_MS;
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
