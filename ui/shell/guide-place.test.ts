import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { PAGES } from '@/scripts/pages';
import { guidePlaceOf } from './guide-place';

const GUIDE = 'docs/guide';
const files = readdirSync(GUIDE);
const read = (file: string) => readFileSync(`${GUIDE}/${file}`, 'utf8');
const CONTENTS = 'README.md';

it('every page of the application has its page in the guide, and every page of the guide its place', () => {
  const places = PAGES.filter((page) => !page.startsWith('/guide')).map((page) =>
    guidePlaceOf(page.replace(/\?.*/, '')),
  );
  expect(places).not.toContain('README');
  const ofRackets = ['/rackets/1/ageing', '/rackets/1/reading'].map(guidePlaceOf);
  expect(new Set([CONTENTS, ...[...places, ...ofRackets].map((place) => `${place}.md`)])).toEqual(
    new Set(files),
  );
});

it('a page is found from its contents, and leads only to what is there', () => {
  for (const file of files) {
    if (file !== CONTENTS) expect(read(CONTENTS)).toContain(`](${file})`);
    for (const [, target = ''] of read(file).matchAll(/\]\(([^)]+)\)/g))
      expect(
        target.startsWith('../screenshots/') ? readdirSync('docs/screenshots') : files,
      ).toContain(target.replace('../screenshots/', ''));
  }
});

it('every picture stands in the guide, and in the list of the first page', () => {
  const all = files.map(read).join('\n');
  const first = readFileSync('README.md', 'utf8');
  for (const picture of readdirSync('docs/screenshots')) {
    expect(all).toContain(`../screenshots/${picture})`);
    expect(first).toContain(`docs/screenshots/${picture})`);
  }
});

it('says it shortly: at most twenty words a sentence', () => {
  for (const file of files)
    for (const sentence of read(file)
      .replace(/!?\[([^\]]*)\]\([^)]*\)/g, '$1')
      .split(/[.:!?]\s|\n/))
      expect(sentence.split(/\s+/).length, sentence).toBeLessThanOrEqual(20);
});
