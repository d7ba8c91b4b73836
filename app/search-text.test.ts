import { describe, expect, it } from 'vitest';
import { pageNumber, searchText } from './search-text';

describe('the page of an address', () => {
  it('is a whole number from 1, and the first where it is none', () => {
    expect(pageNumber({ page: '3' })).toBe(3);
    expect(pageNumber({ page: ['4', '5'] })).toBe(4);
    for (const page of ['0', '-1', '1.5', '1e3', '2; drop', '', '9999999', undefined])
      expect(pageNumber({ page })).toBe(1);
  });
});

describe('what is looked for', () => {
  it('is one short plain text', () => {
    expect(searchText({ find: '  lull  1.30 ' })).toBe('lull  1.30');
    expect(searchText({ find: ['heron', 'keel'] })).toBe('heron');
    expect(searchText({})).toBe('');
    expect(searchText({ find: 'x'.repeat(500) })).toHaveLength(100);
    expect(searchText({ find: 'a\u0000b' })).not.toContain('\u0000');
  });
});
