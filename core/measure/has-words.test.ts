import { expect, it } from 'vitest';
import { hasWords } from './has-words';

const TEXT = 'Threllan Lull 1.30 drawer 2 Harbour Sports Supply';

it('finds words in any order, case and part', () => {
  for (const find of ['lull', 'DRAWER thre', '1.3', 'supply  harbour', ' lull '])
    expect(hasWords(find, TEXT), find).toBe(true);
  for (const find of ['lull keel', 'lull,', '1.25']) expect(hasWords(find, TEXT), find).toBe(false);
});

it('finds everything where nothing is looked for', () => {
  expect(hasWords('', TEXT)).toBe(true);
  expect(hasWords('  ', '')).toBe(true);
});
