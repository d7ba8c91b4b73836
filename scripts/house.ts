/** Where the project keeps what it makes on this machine, and small means shared by the commands. */
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  existsSync,
  fchmodSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { z } from 'zod';

export const ROOT = join(import.meta.dirname, '..');
/** What a server says to whoever keeps it, once it takes requests. */
export const SERVES = 'serves';

/** Git-ignored; safe to delete after `npm run stop`, except that the records go with it. */
export const HOUSE = process.env.ORTHOTENS_HOUSE ?? join(ROOT, '.orthotens');

export const isRoot = process.getuid?.() === 0;

export function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

/** What a file of the house says: nothing is there, it cannot be understood, or its value. */
export type Recalled<T> =
  | { readonly state: 'missing' }
  | { readonly state: 'unreadable' }
  | { readonly state: 'known'; readonly value: T };

export function recall<T>(name: string, schema: z.ZodType<T>): Recalled<T> {
  const path = join(HOUSE, name);
  if (!existsSync(path)) return { state: 'missing' };
  try {
    return { state: 'known', value: schema.parse(JSON.parse(readFileSync(path, 'utf8'))) };
  } catch {
    return { state: 'unreadable' };
  }
}

/** The same for a file that may be made anew at any time: what cannot be understood counts as nothing. */
export function remembered<T>(name: string, schema: z.ZodType<T>): T | undefined {
  const recalled = recall(name, schema);
  return recalled.state === 'known' ? recalled.value : undefined;
}

/** Written aside and renamed, so that a crash leaves the old file or the new one, never half of it. */
export function remember(name: string, value: unknown): void {
  mkdirSync(HOUSE, { recursive: true });
  const path = join(HOUSE, name);
  const aside = `${path}.${process.pid}`;
  writeFileSync(aside, `${JSON.stringify(value, null, 2)}\n`, { mode: 0o600, flush: true });
  renameSync(aside, path);
}

const secretSchema = z.object({ secret: z.string().min(32) });

/** What cookies of this house are signed with: made once, known to nobody outside of it. */
export function houseSecret(): string {
  const known = remembered('secret.json', secretSchema);
  if (known) return known.secret;
  const secret = randomBytes(32).toString('hex');
  remember('secret.json', { secret });
  return secret;
}

/**
 * Does `work` while no other command does work under the same name; another one waits for its turn.
 * The kernel holds the lock for as long as this process lives, so none is ever left behind.
 */
export async function alone<T>(name: string, work: () => Promise<T>): Promise<T> {
  mkdirSync(HOUSE, { recursive: true });
  const lock = join(HOUSE, `${name}.lock`);
  const holder = spawn('flock', ['--exclusive', lock, 'sh', '-c', 'echo held; exec cat'], {
    stdio: ['pipe', 'pipe', 'ignore'],
  });
  const waiting = setTimeout(
    () => console.log('Another start is at work in this house; waiting for it …'),
    1000,
  );
  await new Promise<void>((resolve, reject) => {
    holder.stdout.once('data', () => resolve());
    holder.once('error', reject);
    holder.once('exit', () => reject(new Error(`The lock ${lock} could not be taken.`)));
  }).finally(() => clearTimeout(waiting));
  holder.removeAllListeners('exit');
  try {
    return await work();
  } finally {
    holder.stdin.end();
    await new Promise((resolve) => holder.once('close', resolve));
  }
}

const LOG_MOST_BYTES = 5_000_000;

/** Opens a log to add to, readable by its owner only; a long one is put aside first, and the one before that goes. */
export function openLog(name: string): number {
  mkdirSync(HOUSE, { recursive: true });
  const path = join(HOUSE, name);
  if (existsSync(path) && statSync(path).size > LOG_MOST_BYTES) renameSync(path, `${path}.1`);
  const log = openSync(path, 'a', 0o600);
  fchmodSync(log, 0o600);
  return log;
}

const isFree = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });

/** The first free port from `wanted` upwards. */
export async function freePort(wanted: number): Promise<number> {
  for (let port = wanted; port < wanted + 200; port++) if (await isFree(port)) return port;
  return fail(`No free port between ${wanted} and ${wanted + 200} on 127.0.0.1.`);
}

/** Installs a Debian package when `present` says that it is missing. */
export function ensurePackage(name: string, present: () => boolean): void {
  if (present()) return;
  const sudo = isRoot ? [] : ['sudo', '-n'];
  const apt = (...args: string[]) => {
    const [command = 'apt-get', ...rest] = [...sudo, 'apt-get', ...args];
    return spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status;
  };
  console.log(`Installing Debian's ${name} …`);
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', name);
  if (!present()) fail(`${name} is missing. Install it with: apt-get install ${name}`);
}

/** Debian's headless browser, for interface tests and for timing the interface. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';
export const ensureChromium = (): void =>
  ensurePackage('chromium-headless-shell', () => existsSync(CHROMIUM));

export function processAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

export const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, ms));
