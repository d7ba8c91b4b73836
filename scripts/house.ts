/** Where the project keeps what it makes on this machine, and small means shared by the commands. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import type { z } from 'zod';

export const ROOT = join(import.meta.dirname, '..');
/** Git-ignored; safe to delete after `npm run stop`, except that the records go with it. */
export const HOUSE = process.env.ORTHOTENS_HOUSE ?? join(ROOT, '.orthotens');

export const isRoot = process.getuid?.() === 0;

export function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

/** Reads a remembered file of the house, or nothing when it is missing or no longer of that shape. */
export function remembered<T>(name: string, schema: z.ZodType<T>): T | undefined {
  const path = join(HOUSE, name);
  if (!existsSync(path)) return undefined;
  try {
    return schema.parse(JSON.parse(readFileSync(path, 'utf8')));
  } catch {
    return undefined;
  }
}

export function remember(name: string, value: unknown): void {
  mkdirSync(HOUSE, { recursive: true });
  writeFileSync(join(HOUSE, name), `${JSON.stringify(value, null, 2)}\n`, { mode: 0o600 });
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
