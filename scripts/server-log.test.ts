import {
  appendFileSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DrizzleQueryError } from 'drizzle-orm/errors';
import { expect, it, vi } from 'vitest';
import { putAsideWhenLong, quietErrors } from './server-log';

it('what people wrote does not reach the log, in a query, its parameters or its cause', () => {
  const said: unknown[][] = [];
  vi.spyOn(console, 'error').mockImplementation((...words: unknown[]) => void said.push(words));
  quietErrors();
  const cause = Object.assign(new Error('invalid input syntax for type uuid: "Ada Secret"'), {
    code: '22P02',
    detail: 'Key (name)=(Ada Secret) already exists.',
  });
  const failed = new DrizzleQueryError('select $1', ['Ada Secret'], cause);
  console.error('⨯', failed);
  // As another bundle's class, as the cause of something else, and as the text that some library makes of it.
  console.error(
    Object.assign(new Error(failed.message), { query: 'select $1', params: ['Ada Secret'] }),
  );
  console.error(new Error('The page failed.', { cause: failed }));
  console.error(`ERROR: ${failed.message}`);
  vi.restoreAllMocks();
  const log = said.flat().map(String).join('\n');
  expect(log).toContain('Failed query: select $1');
  expect(log).toContain('22P02');
  expect(log).not.toContain('Ada Secret');
});

it('a log that has grown long is put aside while it is written to', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'orthotens-log-'));
  const log = join(folder, 'server.log');
  writeFileSync(log, 'x'.repeat(100));
  await putAsideWhenLong(log, 1000);
  expect(statSync(log).size).toBe(100);
  await putAsideWhenLong(log, 50);
  appendFileSync(log, 'new');
  expect(readFileSync(log, 'utf8')).toBe('new');
  expect(statSync(`${log}.1`).size).toBe(100);
  rmSync(folder, { recursive: true });
});
