import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keepable } from '@/core/measure/typed';
import { stringEntryOf, stringEntrySchema, type StringFacts } from '@/core/strings/string-facts';
import * as inCurrency from './string-table';

const readStringTable = (text: string, library?: readonly StringFacts[]) =>
  inCurrency.readStringTable(text, 'EUR', library);
const writeStringTable = (strings: readonly StringFacts[]) =>
  inCurrency.writeStringTable(strings, 'EUR');

const facts = (changes: Partial<StringFacts> = {}): StringFacts => ({
  name: 'Threllan Lull',
  sport: 'tennis',
  family: 'multifilament',
  subKind: 'polyamide, in "polyurethane"',
  shape: 'round',
  colour: 'natural',
  gaugesMm: [1.25, 1.3],
  setMm: 12_200,
  setPriceMinor: 1890,
  reelMm: 200_000,
  reelPriceMinor: 21_500,
  massGPerM: 1.48,
  stretch: 0.06,
  lifeHours: 17,
  holding: 0.8,
  notFor: ['string breakers', 'damp'],
  notes: 'Two lines,\nand a comma.',
  ...changes,
});

const HEAD = 'name,sport,family,gauges_mm,set_m,set_price';
const reasons = (text: string) =>
  readStringTable(text).flatMap((row) =>
    row.ok ? [] : row.problems.map(({ column, reason }) => `${row.line} ${column}: ${reason}`),
  );

describe('a table of strings', () => {
  it('reads back as it was written', () => {
    const strings = [
      facts(),
      facts({ name: 'B', reelMm: null, reelPriceMinor: null, notFor: [], notes: '' }),
    ];
    expect(readStringTable(writeStringTable(strings))).toEqual(
      strings.map((string, i) => ({ ok: true, line: i + 2, string, changes: undefined })),
    );
  });

  it('keeps any name, in any script, and runs none of it as a formula', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }), (typed) => {
        const read = stringEntrySchema('EUR').safeParse({
          ...stringEntryOf(facts(), 'EUR'),
          name: typed,
        });
        // What the form would not take, or would tidy, never reaches a table.
        if (!read.success || read.data.name.startsWith("'") || /\r/.test(typed)) return;
        const table = writeStringTable([read.data]);
        expect(readStringTable(table)).toMatchObject([{ ok: true, line: 2, string: read.data }]);
      }),
    );
    expect(writeStringTable([facts({ name: '=2+3' })])).toContain("'=2+3");
  });

  // Source: RFC 4180, section 2: quotes within quotes are doubled, lines end in CRLF.
  it('is comma separated as RFC 4180 says', () => {
    const table = writeStringTable([facts()]);
    expect(table).toContain('"polyamide, in ""polyurethane"""');
    expect(table.endsWith('\r\n')).toBe(true);
  });

  it('takes the few columns that make a string, in any order, from any spreadsheet', () => {
    const table =
      '\uFEFFset_price;family;name;sport;gauges_mm;set_m\n9,50;Nylon;A;tennis;1.30;12.2\n';
    expect(reasons(table)).toEqual([
      '2 family: The family is one of natural gut, multifilament, synthetic gut, monofilament, aramid.',
    ]);
    const [row] = readStringTable(table.replace('Nylon', 'Synthetic gut'));
    expect(row).toMatchObject({
      ok: true,
      string: { name: 'A', setPriceMinor: 950, shape: 'round', reelMm: null },
    });
  });

  it('leaves alone what it has no column for, and says what it changes', () => {
    const [row] = readStringTable(
      `${HEAD}\nTHRELLAN LULL,tennis,multifilament,1.25 1.30,12.2,19.50`,
      [facts(), facts({ sport: 'squash' })],
    );
    expect(row).toMatchObject({
      string: { ...facts(), name: 'THRELLAN LULL', setPriceMinor: 1950 },
      changes: [
        { column: 'name', from: 'Threllan Lull', to: 'THRELLAN LULL' },
        { column: 'set_price', from: '18.90', to: '19.50' },
      ],
    });
    const [emptied] = readStringTable(writeStringTable([facts({ colour: '' })]), [facts()]);
    expect(emptied).toMatchObject({ changes: [{ column: 'colour', from: 'natural', to: '' }] });
  });

  it('nothing in it is run by a spreadsheet, and every text comes back as it was', () => {
    const odd = [
      '-1+cmd|calc',
      '=1+1',
      "'quoted'",
      "'=1",
      "''twice",
      '＝1',
      '@here',
      '+49 30',
      '-0.5',
      '- a list',
      '"quotes", commas; and\nlines',
      "o'clock",
    ];
    const table = writeStringTable(odd.map((notes, i) => facts({ name: `S${i}`, notes })));
    const cells = table
      .split('\r\n')
      .slice(1)
      .map((row) => row.split(',').at(-1) ?? '');
    for (const cell of cells) expect(cell).not.toMatch(/^"?[=+\-@＝＋－＠]/);
    expect(readStringTable(table).map((row) => row.ok && row.string.notes)).toEqual(odd);
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }).map((text) => keepable(text).trim()),
        (notes) => {
          const [row] = readStringTable(writeStringTable([facts({ notes })]));
          expect(row?.ok && row.string.notes.replace(/\r\n?/g, '\n')).toBe(
            notes.replace(/\r\n?/g, '\n'),
          );
        },
      ),
    );
  });

  it('says row, column and reason, all of them', () => {
    expect(
      reasons(`${HEAD}\nA,tennis,multifilament,0.2,12.2,9\nB,chess,multifilament,1.25,2,free\n`),
    ).toEqual([
      expect.stringContaining('2 gauges_mm: 0.2 mm is no tennis string') as string,
      expect.stringContaining('3 sport: The sport is one of tennis') as string,
      expect.stringContaining('3 set_m: A set holds 4 to 20 m') as string,
      expect.stringContaining('3 set_price:') as string,
    ]);
    expect(
      reasons(`${HEAD}\nA,tennis,multifilament,1.25,12.2,9\na,tennis,multifilament,1.25,12.2,9`),
    ).toEqual(['3 name: The same string stands in row 2 already.']);
    expect(reasons(`${HEAD}\nA,tennis,multifilament,1.25,12.2,9,10`)[0]).toContain('more cells');
  });

  it.each([
    ['', 'nothing in it'],
    [HEAD, 'no row below it'],
    ['name,sport', 'family is missing'],
    ['name,brand', 'no column “brand”'],
    [`${HEAD},name\nA`, 'stands there twice'],
    [`${HEAD}\n"A,tennis`, 'not closed'],
    ['x'.repeat(2_000_001), 'Too long'],
  ])('%# says what is wrong with it as a whole', (text, part) => {
    expect(reasons(text).join()).toContain(part);
  });
});
