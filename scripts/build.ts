/** The production build, made again only when something it is made from has changed. */
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './house';

const SOURCES = [
  'app',
  'core',
  'db',
  'formats',
  'ui',
  'workers',
  'public',
  'instrumentation.ts',
  'proxy.ts',
  'scripts/server-log.ts',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
  'package-lock.json',
];

function fingerprint(): string {
  const hash = createHash('sha256');
  const add = (path: string): void => {
    const full = join(ROOT, path);
    if (!existsSync(full)) return;
    if (statSync(full).isDirectory())
      for (const entry of readdirSync(full).sort()) add(join(path, entry));
    else if (!/\.test\.tsx?$/.test(path)) hash.update(path).update(readFileSync(full));
  };
  SOURCES.forEach(add);
  return hash.digest('hex');
}

/** What serves a build on a port of this machine, as arguments of Node.js. */
export const serveArguments = (port: number): readonly string[] => [
  '--import',
  'tsx',
  join(ROOT, 'scripts', 'serve.ts'),
  '-H',
  '127.0.0.1',
  '-p',
  String(port),
];

export type BuildFolder = '.next' | '.next-test';

const stampOf = (folder: BuildFolder): string => join(ROOT, folder, 'made-from');

const isCurrent = (folder: BuildFolder, madeFrom: string): boolean =>
  existsSync(stampOf(folder)) && readFileSync(stampOf(folder), 'utf8') === madeFrom;

/**
 * Builds into `folder` unless it is current; `before` runs first when it is not. Returns whether the
 * folder is good, and what it was built from.
 */
export async function ensureBuild(
  folder: BuildFolder,
  before?: () => Promise<unknown>,
): Promise<{ readonly good: boolean; readonly madeFrom: string }> {
  const madeFrom = fingerprint();
  if (isCurrent(folder, madeFrom)) return { good: true, madeFrom };
  await before?.();
  console.log('Building …');
  const child = spawn(process.execPath, [NEXT, 'build'], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ORTHOTENS_BUILD: folder, NODE_ENV: 'production' },
  });
  const good = await new Promise<boolean>((resolve) => {
    child.on('close', (code) => resolve(code === 0));
    child.on('error', () => resolve(false));
  });
  if (good) writeFileSync(stampOf(folder), madeFrom);
  return { good, madeFrom };
}

export const NEXT = join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next');
