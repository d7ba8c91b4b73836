import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { rulesTable, withRules } from './rules-table';

const bare = (text: string) => text.replace(/[\s-]+/g, '');

it('docs/method.md lists every rule with its source, as it is now', () => {
  const page = readFileSync('docs/method.md', 'utf8');
  expect(bare(withRules(page))).toBe(bare(page));
  for (const row of rulesTable().slice(2))
    expect(row).toMatch(/common practice|from memory|published/);
});

it('refuses a page that has no place for them', () => {
  expect(() => withRules('# Method')).toThrow('no place');
});
