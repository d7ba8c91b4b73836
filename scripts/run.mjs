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

const isInstalled = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === lock;

function install() {
  // Another command may have installed while this one waited.
  if (isInstalled()) return 0;
  // On the error stream: what a command prints belongs to that command alone.
  console.error('Installing packages …');
  const args = ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'];
  const status = run('npm', args, ['inherit', process.stderr, 'inherit']);
  if (status === 0) writeFileSync(stamp, lock);
  return status;
}

if (process.argv[2] === '--install') process.exit(install());
if (!isInstalled()) {
  // Two commands at once on a fresh clone: the kernel lets one install, and the other waits.
  const self = fileURLToPath(import.meta.url);
  const lockFile = join(root, 'package-lock.json');
  const status = run('flock', [lockFile, process.execPath, self, '--install']);
  if (status !== 0) process.exit(status);
}

const [command, ...args] = process.argv.slice(2);
process.exit(run(process.execPath, ['--import', 'tsx', `scripts/${command}.ts`, ...args]));
