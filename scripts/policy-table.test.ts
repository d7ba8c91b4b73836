import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { policyTable, withPolicy } from './policy-table';

const bare = (text: string) => text.replace(/[\s-]+/g, '');

it('docs/security.md says who may do what, as it is now', () => {
  const page = readFileSync('docs/security.md', 'utf8');
  expect(bare(withPolicy(page))).toBe(bare(page));
  expect(policyTable()).toContain('| set up | yes | yes | – | – |');
});

it('refuses a page that has no place for it', () => {
  expect(() => withPolicy('# Security')).toThrow('no place');
});
