import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { rightsTable, withRights } from './rights-table';

const bare = (text: string) => text.replace(/[\s-]+/g, '');

it('docs/security.md says who may do what, as it is now', () => {
  const page = readFileSync('docs/security.md', 'utf8');
  expect(bare(withRights(page))).toBe(bare(page));
  expect(rightsTable()).toContain('| set up | yes | yes | – | – | yes |');
});

it('refuses a page that has no place for it', () => {
  expect(() => withRights('# Security')).toThrow('no place');
});
