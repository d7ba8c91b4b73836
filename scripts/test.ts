/** Everything that must hold, in one run; ends with one line that counts. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { fillWithDemo } from '@/db/demo/fill';
import { backupPlace } from './backups';
import { ensureBuild } from './build';
import { serverPrograms } from './cluster';
import { testDatabase } from './databases';
import { CHROMIUM, ensureChromium, freePort, HOUSE, ROOT } from './house';
import { bringUpToDate } from './open';
import { serverEnvironment } from './server';
import { deskEnvironment } from './stand-in';

const INTERFACE_REPORT = join(HOUSE, 'interface-tests.json');

const LONGEST_PAGE = 6000;
const LONGEST_WHY = 1500;

interface Count {
  readonly passed: number;
  readonly failed: number;
  /** What failed and why, said once more at the end: a reader may have the last lines only. */
  readonly why?: readonly string[];
}

const bin = (name: string) => join(ROOT, 'node_modules', '.bin', name);

/** Runs a command to its end, and shows what it prints as it comes. */
const run = (
  command: string,
  args: readonly string[],
  env: Record<string, string> = {},
): Promise<boolean> =>
  new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    child.on('close', (code) => resolve(code === 0));
    child.on('error', () => resolve(false));
  });

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
    return { passed: 0, failed: 1, why: [`${name}: ${text.trim().slice(-LONGEST_WHY)}`] };
  }
  console.log(`── ${name}: passed in ${seconds(started)}`);
  return { passed: 1, failed: 0 };
}

async function productionBuild(): Promise<Count> {
  const started = Date.now();
  console.log('\n── production build');
  const { good } = await ensureBuild('.next-test');
  console.log(`── production build: ${good ? 'passed' : 'FAILED'} in ${seconds(started)}`);
  return good ? { passed: 1, failed: 0 } : { passed: 0, failed: 1, why: ['the production build'] };
}

const unitReport = z.object({
  numPassedTests: z.number(),
  numFailedTests: z.number(),
  testResults: z.array(
    z.object({
      name: z.string(),
      status: z.string(),
      message: z.string(),
      assertionResults: z.array(
        z.object({
          fullName: z.string(),
          status: z.string(),
          failureMessages: z.array(z.string()).nullish(),
        }),
      ),
    }),
  ),
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

/** Each test that failed with its reason, or the file that could not be loaded with its own. */
const whyOf = ({ testResults }: z.infer<typeof unitReport>): readonly string[] =>
  testResults
    .filter(({ status }) => status === 'failed')
    .flatMap(({ name, message, assertionResults }) => {
      const failed = assertionResults.filter((test) => test.status === 'failed');
      return failed.length === 0
        ? [`${name}: ${message.slice(0, LONGEST_WHY)}`]
        : failed.map(
            ({ fullName, failureMessages }) =>
              `${name} › ${fullName}: ${failureMessages?.join('\n').slice(0, LONGEST_WHY)}`,
          );
    });

async function unitTests(project: 'pure' | 'database', url: string): Promise<Count> {
  const started = Date.now();
  const file = join(HOUSE, `unit-tests-${project}.json`);
  rmSync(file, { force: true });
  console.log(`\n── unit tests, ${project}`);
  const ran = await run(
    bin('vitest'),
    [
      'run',
      `--project=${project}`,
      '--reporter=dot',
      '--reporter=json',
      `--outputFile.json=${file}`,
    ],
    { TEST_DATABASE_URL: url },
  );
  console.log(`── unit tests, ${project}: ${ran ? 'passed' : 'FAILED'} in ${seconds(started)}`);
  const counted = report(file, unitReport);
  // A file that could not even be loaded has no tests to count, and is one failure.
  const failed = counted?.numFailedTests ?? 0;
  const why = counted ? whyOf(counted) : [];
  return {
    passed: counted?.numPassedTests ?? 0,
    failed: ran ? failed : Math.max(1, failed),
    why: ran || why.length > 0 ? why : [`unit tests, ${project}: see above`],
  };
}

/** What stood on the page where a test failed: whoever reads this may not have the machine. */
function showPages(): void {
  const folder = join(HOUSE, 'interface-tests');
  for (const test of existsSync(folder) ? readdirSync(folder) : []) {
    const file = join(folder, test, 'error-context.md');
    if (existsSync(file))
      console.log(`\n── ${test}\n${readFileSync(file, 'utf8').slice(0, LONGEST_PAGE)}`);
  }
}

async function interfaceTests(): Promise<Count> {
  ensureChromium();
  const url = await testDatabase('interface tests');
  const entrances = await bringUpToDate(url, fillWithDemo);
  const port = await freePort(3600);
  const headPort = await freePort(3700);
  // Three that follow each other.
  const deskPort = await freePort(3750);
  rmSync(INTERFACE_REPORT, { force: true });
  console.log('\n── interface tests');
  const ran = await run(bin('playwright'), ['test', ...process.argv.slice(2)], {
    ...serverEnvironment(url, entrances),
    ORTHOTENS_DEMO: '1',
    ORTHOTENS_BUILD: '.next-test',
    ORTHOTENS_PORT: String(port),
    ORTHOTENS_BACKUPS: backupPlace(url).folder,
    ...(serverPrograms() && { ORTHOTENS_PROGRAMS: serverPrograms() }),
    ORTHOTENS_HEAD_PORT: String(headPort),
    ORTHOTENS_DESK_PORT: String(deskPort),
    ...deskEnvironment(deskPort),
    ORTHOTENS_CHROMIUM: CHROMIUM,
    PLAYWRIGHT_JSON_OUTPUT_FILE: INTERFACE_REPORT,
  });
  const stats = report(INTERFACE_REPORT, interfaceReport)?.stats;
  const secondTry = stats?.flaky ?? 0;
  if (!ran || secondTry > 0) showPages();
  if (secondTry > 0) console.log(`\n── ${secondTry} passed at a second try only: see above`);
  const failed = stats?.unexpected ?? 0;
  return {
    passed: (stats?.expected ?? 0) + secondTry,
    failed: ran ? failed : Math.max(1, failed),
  };
}

mkdirSync(HOUSE, { recursive: true });
console.log('── format, lint, exports and types, side by side');
const counts: Count[] = await Promise.all([
  check('format', [bin('prettier'), '--check', '--log-level=warn', '.']),
  check('lint', [bin('eslint'), '.', '--max-warnings', '0']),
  check('exports', [bin('knip')]),
  // Neither is incremental: what an earlier pass remembered has hidden an error that a fresh clone met.
  check(
    'types',
    [bin('next'), 'typegen'],
    [bin('tsc'), '--noEmit'],
    [bin('tsc'), '--noEmit', '-p', 'core/tsconfig.json'],
  ),
]);
const url = await testDatabase('unit tests');
counts.push(await unitTests('pure', url));
// Each of these two keeps one core busy.
const [build, database] = await Promise.all([productionBuild(), unitTests('database', url)]);
counts.push(build, database);
if (build.failed === 0) counts.push(await interfaceTests());

for (const why of counts.flatMap((count) => count.why ?? [])) console.log(`\n── FAILED ${why}`);
const passed = counts.reduce((sum, count) => sum + count.passed, 0);
const failed = counts.reduce((sum, count) => sum + count.failed, 0);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
