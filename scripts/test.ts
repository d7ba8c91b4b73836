/** Everything that must hold, in one run; ends with one line that counts. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { openDatabase } from '@/db/connection';
import { fillWithDemo } from '@/db/demo/fill';
import { migrateDatabase } from '@/db/migrate';
import { backupPlace } from './backups';
import { ensureBuild } from './build';
import { serverPrograms } from './cluster';
import { testDatabase } from './databases';
import { CHROMIUM, ensureChromium, freePort, HOUSE, ROOT } from './house';

const UNIT_REPORT = join(HOUSE, 'unit-tests.json');
const INTERFACE_REPORT = join(HOUSE, 'interface-tests.json');

interface Count {
  readonly passed: number;
  readonly failed: number;
}

const bin = (name: string) => join(ROOT, 'node_modules', '.bin', name);

function run(command: string, args: readonly string[], env: Record<string, string> = {}): boolean {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return status === 0;
}

/** Runs a command to its end and keeps what it prints, so that several can run beside each other. */
function said(command: string, args: readonly string[]): Promise<{ ok: boolean; text: string }> {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let text = '';
    const hear = (chunk: Buffer) => {
      text += String(chunk);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', (code) => resolve({ ok: code === 0, text }));
    child.on('error', ({ message }) => resolve({ ok: false, text: message }));
  });
}

const seconds = (since: number) => `${Math.round((Date.now() - since) / 1000)} s`;

/** A check that passes or fails as a whole: its commands one after the other, up to the first that fails. */
async function check(
  name: string,
  ...commands: readonly (readonly [command: string, ...args: string[]])[]
): Promise<Count> {
  const started = Date.now();
  for (const [command, ...args] of commands) {
    const { ok, text } = await said(command, args);
    if (ok) continue;
    console.log(`${text}\n── ${name}: FAILED in ${seconds(started)}`);
    return { passed: 0, failed: 1 };
  }
  console.log(`── ${name}: passed in ${seconds(started)}`);
  return { passed: 1, failed: 0 };
}

async function productionBuild(): Promise<Count> {
  const started = Date.now();
  console.log('\n── production build');
  const { good } = await ensureBuild('.next-test');
  console.log(`── production build: ${good ? 'passed' : 'FAILED'} in ${seconds(started)}`);
  return good ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

const unitReport = z.object({
  numPassedTests: z.number(),
  numFailedTests: z.number(),
  success: z.boolean(),
});
const interfaceReport = z.object({
  stats: z.object({
    expected: z.number(),
    unexpected: z.number(),
    flaky: z.number(),
    skipped: z.number(),
  }),
});

function report<T>(path: string, schema: z.ZodType<T>): T | undefined {
  return existsSync(path)
    ? schema.safeParse(JSON.parse(readFileSync(path, 'utf8'))).data
    : undefined;
}

async function unitTests(): Promise<Count> {
  const url = await testDatabase('unit tests');
  rmSync(UNIT_REPORT, { force: true });
  console.log('\n── unit tests');
  const ran = run(
    bin('vitest'),
    ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${UNIT_REPORT}`],
    { TEST_DATABASE_URL: url },
  );
  const counted = report(UNIT_REPORT, unitReport);
  // A file that could not even be loaded has no tests to count, and is one failure.
  const failed = counted?.numFailedTests ?? 0;
  return { passed: counted?.numPassedTests ?? 0, failed: ran ? failed : Math.max(1, failed) };
}

async function interfaceTests(): Promise<Count> {
  ensureChromium();
  const url = await testDatabase('interface tests');
  const { db, close } = openDatabase(url, 'command');
  await migrateDatabase(db)
    .then(() => fillWithDemo(db))
    .finally(close);
  const port = await freePort(3600);
  const headPort = await freePort(3700);
  rmSync(INTERFACE_REPORT, { force: true });
  console.log('\n── interface tests');
  const ran = run(bin('playwright'), ['test', ...process.argv.slice(2)], {
    DATABASE_URL: url,
    ORTHOTENS_BUILD: '.next-test',
    ORTHOTENS_PORT: String(port),
    ORTHOTENS_BACKUPS: backupPlace(url).folder,
    ...(serverPrograms() && { ORTHOTENS_PROGRAMS: serverPrograms() }),
    ORTHOTENS_HEAD_PORT: String(headPort),
    ORTHOTENS_CHROMIUM: CHROMIUM,
    PLAYWRIGHT_JSON_OUTPUT_FILE: INTERFACE_REPORT,
  });
  const stats = report(INTERFACE_REPORT, interfaceReport)?.stats;
  const failed = (stats?.unexpected ?? 0) + (stats?.flaky ?? 0);
  return { passed: stats?.expected ?? 0, failed: ran ? failed : Math.max(1, failed) };
}

mkdirSync(HOUSE, { recursive: true });
console.log('── format, lint, exports and types, side by side');
const counts: Count[] = await Promise.all([
  check('format', [bin('prettier'), '--check', '--log-level=warn', '.']),
  check('lint', [bin('eslint'), '.', '--max-warnings', '0']),
  check('exports', [bin('knip')]),
  check(
    'types',
    [bin('next'), 'typegen'],
    [bin('tsc'), '--noEmit'],
    [bin('tsc'), '--noEmit', '-p', 'core/tsconfig.json'],
  ),
]);
counts.push(await unitTests());
const build = await productionBuild();
counts.push(build);
if (build.failed === 0) counts.push(await interfaceTests());

const passed = counts.reduce((sum, count) => sum + count.passed, 0);
const failed = counts.reduce((sum, count) => sum + count.failed, 0);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
