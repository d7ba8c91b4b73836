/** Papers as pages, from the same values that their PDFs are made of. */
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { slipOf } from '@/core/papers/slip';
import type { Paper } from '@/core/papers/paper';
import { bedOf } from '@/core/testing/frame-spec';
import { recordOf } from '@/core/testing/records';
import { GrommetDrawing } from '../bed/grommet-drawing';
import { Pages } from '../list-page';
import { PaperSheet } from './paper-sheet';

const HEAD = {
  workshop: 'The bench',
  address: 'Quay 1\nSkerrowmouth',
  number: 12,
  client: 'Ada Brill',
  racket: 'Threllan 100, A1',
  day: '5 Jan 2026',
  page: 'https://racket.example/c/x',
  language: 'en',
};
const facts = [
  { name: 'You asked for', value: 'softer' },
  { name: 'Empty', value: '' },
];
const CODE = { size: 29, d: 'M4 4h1v1h-1z' };

const markup = (paper: Paper, code: typeof CODE | null = CODE) =>
  renderToStaticMarkup(<PaperSheet paper={paper} code={code ?? undefined} />);
/** What a person reads: the text without its tags, spaces joined. */
const text = (of: string) =>
  of
    .replace(/<[^>]+>/g, ' ')
    .replaceAll('&#x27;', '’')
    .replace(/\s+/g, ' ');

describe('a paper on its sheet', () => {
  it('the slip has the figure large, the strings, by whom, and when it is due', () => {
    const slip = slipOf({
      workshop: 'The bench',
      number: 12,
      day: '2026-01-05',
      unit: 'lb',
      record: recordOf(),
    });
    const read = text(markup({ ...HEAD, kind: 'slip', slip }));
    for (const part of [
      slip.figure,
      'lb, mains / crosses',
      'full bed, two pieces',
      '5 Jan 2026 by Orrin',
      'Due again',
      'Judge it after an hour of play.',
      'No. 12',
    ])
      expect(read).toContain(part);
  });

  it('a stub and a label leave out what nobody said', () => {
    const stub = text(markup({ ...HEAD, kind: 'stub', promised: 'Fri 17:00', facts }));
    expect(stub).toContain('You asked for softer');
    expect(stub).not.toContain('Empty');
    const label = text(markup({ ...HEAD, kind: 'label', figure: '', facts: [] }));
    expect(label).toContain('12');
    expect(label).toContain('Ada Brill');
  });

  it('a letter is prose with a small table, and nothing of what the stringer thought', () => {
    const letter = {
      wentIn: 'Your racket gets a string.',
      whyString: 'Why this string: it is soft.',
      whyTension: null,
      expect: null,
      lasts: 'It is good for 12 h.',
      care: null,
    };
    const paper: Paper = { ...HEAD, kind: 'letter', letter, facts, back: 'Come back in May.' };
    const page = markup(paper);
    const read = text(page);
    const order = ['Dear Ada Brill', letter.wentIn, letter.whyString, letter.lasts, 'Come back'];
    const places = order.map((part) => read.indexOf(part));
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(places[0]).toBeGreaterThan(0);
    expect(page.match(/<dt/g)).toHaveLength(facts.length);
  });

  it('an unstrung one warns, is signed by both, and carries no code', () => {
    const page = markup({
      ...HEAD,
      kind: 'unstrung',
      why: 'The frame is cracked.',
      seen: ['crack: head', 'bumper worn'],
    });
    expect(text(page)).toContain('Seen on it: crack: head; bumper worn.');
    expect(text(page)).toContain('do not have it strung');
    expect(text(page)).toContain('Received by its owner');
    expect(page).not.toContain('The client’s page');
  });

  it('carries a code only while its address opens something', () => {
    const slip: Paper = { ...HEAD, kind: 'label', figure: '', facts: [] };
    expect(markup(slip)).toContain('The client’s page');
    expect(markup(slip, null)).not.toContain('The client’s page');
  });
});

describe('the grommets of a frame', () => {
  const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
  const drawn = renderToStaticMarkup(
    <GrommetDrawing
      bed={bed}
      states={new Map([['7H left', 'missing']])}
      onPress={() => undefined}
    />,
  );

  it('are all there on both sides, each named with its state', () => {
    expect(drawn.match(/role="button"/g)).toHaveLength(2 * bed.holes.length);
    expect(drawn).toContain('aria-label="7H left: missing"');
    expect(drawn).toContain('aria-label="7H right: whole"');
  });

  it('are one stop for Tab', () => {
    expect(drawn.match(/tabindex="0"/gi)).toHaveLength(1);
  });
});

describe('the way through a long list', () => {
  const pages = (page: number, more: boolean, find = '') =>
    renderToStaticMarkup(<Pages path="/clients" page={page} more={more} find={find} />);

  it('is not there for a short one', () => {
    expect(pages(1, false)).toBe('');
  });

  it('keeps what is looked for', () => {
    expect(pages(2, true, 'a & b')).toContain('href="/clients?find=a+%26+b&amp;page=3"');
    expect(pages(2, false, 'a & b')).toContain('href="/clients?find=a+%26+b"');
    expect(pages(2, false)).toContain('href="/clients"');
  });
});
