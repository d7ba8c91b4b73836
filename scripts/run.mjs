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

if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  // On the error stream: what a command prints belongs to that command alone.
  console.error('Installing packages …');
  const install = ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'];
  const status = run('npm', install, ['inherit', process.stderr, 'inherit']);
  if (status !== 0) process.exit(status);
  writeFileSync(stamp, lock);
}

const [command, ...args] = process.argv.slice(2);
process.exit(run(process.execPath, ['--import', 'tsx', `scripts/${command}.ts`, ...args]));
