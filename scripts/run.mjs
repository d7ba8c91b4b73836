/**
 * The door to every command. Plain Node.js on purpose: on a fresh clone nothing is installed yet.
 * Installs the packages when the lock file is not the one they were installed from, then runs
 * scripts/<command>.ts.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = join(root, 'node_modules', '.installed-from');
const lock = createHash('sha256')
  .update(readFileSync(join(root, 'package-lock.json')))
  .digest('hex');

const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

function run(command, args, stdio = 'inherit') {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio, env });
  if (error) console.error(error.message);
  return status ?? 1;
}

const [command = '', ...args] = process.argv.slice(2);

/** What tests and measures has packages of its own; whoever works with the application does not wait for them. */
const NEEDS_ALL = ['test', 'bench', 'formats', '--install-all'].includes(command);
const INSTALLS = ['--install', '--install-all'];

const [installedFrom, installed] = existsSync(stamp) ? readFileSync(stamp, 'utf8').split(' ') : [];
/** Whoever had those of the tests keeps them. */
const ALL = NEEDS_ALL || installed === 'all';

const isInstalled = () => installedFrom === lock && (installed === 'all' || !NEEDS_ALL);

function install() {
  // Another command may have installed while this one waited.
  if (isInstalled()) return 0;
  // On the error stream: what a command prints belongs to that command alone.
  console.error(ALL ? 'Installing packages, those of the tests too …' : 'Installing packages …');
  const which = ALL ? '--include=dev' : '--omit=dev';
  const quiet = ['--no-audit', '--no-fund', '--loglevel=error'];
  const status = run('npm', ['ci', which, ...quiet], ['inherit', process.stderr, 'inherit']);
  if (status === 0) writeFileSync(stamp, `${lock} ${ALL ? 'all' : 'few'}`);
  return status;
}

if (INSTALLS.includes(command)) process.exit(install());
if (!isInstalled()) {
  // Two commands at once on a fresh clone: the kernel lets one install, and the other waits.
  const self = fileURLToPath(import.meta.url);
  const lockFile = join(root, 'package-lock.json');
  const how = NEEDS_ALL ? '--install-all' : '--install';
  const status = run('flock', [lockFile, process.execPath, self, how]);
  if (status !== 0) process.exit(status);
}

const before = ['--import', 'tsx', '--import', './scripts/in-sentences.ts'];
process.exit(run(process.execPath, [...before, `scripts/${command}.ts`, ...args]));
