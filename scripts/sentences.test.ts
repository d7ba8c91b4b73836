import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { isRoot, ROOT } from './house';
import { sentenceFor } from './sentences';

/** As a command runs. */
const command = (args: readonly string[], options: object = {}) =>
  spawnSync(
    process.execPath,
    ['--import', 'tsx', '--import', './scripts/in-sentences.ts', ...args],
    {
      cwd: ROOT,
      encoding: 'utf8',
      ...options,
    },
  );

it.each([
  ['ENOSPC', 'The disk is full, so /house/x could not be written.'],
  ['EROFS', '/house/x is on a disk that may only be read.'],
  ['EACCES', 'You may not write /house/x.'],
])('%s is said in a sentence that names the place', (code, said) => {
  expect(sentenceFor(Object.assign(new Error('x'), { code, path: '/house/x' }))).toContain(said);
});

it('a program that is missing is named with its package, and what nobody foresaw is not hidden', () => {
  const missing = Object.assign(new Error('x'), { code: 'ENOENT', syscall: 'spawn flock' });
  expect(sentenceFor(missing)).toContain('apt-get install util-linux');
  expect(sentenceFor(new Error('odd'))).toBeUndefined();
  const odd = command(['--input-type=module', '-e', `throw new Error('odd')`]);
  expect([odd.status, odd.stderr]).toEqual([1, expect.stringContaining('Error: odd')]);
});

it('a command on a full disk says so, and shows no line of its source', () => {
  const code = `import { writeFileSync } from 'node:fs'; writeFileSync('/dev/full', 'x');`;
  const { status, stderr } = command(['--input-type=module', '-e', code]);
  expect([status, stderr.trim()]).toEqual([
    1,
    expect.stringMatching(/^The disk is full, so .*make room, and run the command again\.$/),
  ]);
});

it.runIf(isRoot)('somebody whose house it is not gets a sentence', () => {
  const house = mkdtempSync(join(tmpdir(), 'orthotens-not-yours-'));
  chmodSync(house, 0o700);
  const code = `const { houseSecret } = await import('./scripts/house.ts'); houseSecret();`;
  const { status, stderr } = command(['--input-type=module', '-e', code], {
    uid: 65_534,
    gid: 65_534,
    env: { PATH: process.env.PATH, ORTHOTENS_HOUSE: join(house, 'inner'), TMPDIR: tmpdir() },
  });
  expect([status, stderr.trim()]).toEqual([1, expect.stringContaining('You may not write')]);
  rmSync(house, { recursive: true });
});
