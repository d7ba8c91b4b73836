import { describe, expect, it } from 'vitest';
import { PAPER_KINDS, PAPERS as KINDS, type Paper, type PaperKind } from '@/core/papers/paper';
import { slipOf } from '@/core/papers/slip';
import type { Invoice } from '@/core/papers/invoice';
import { recordOf } from '@/core/testing/records';
import { invoicePdf, paperPdf } from './pdf';
import { breakable, facesFor, setable } from './type';

const HEAD = {
  workshop: 'The bench',
  address: 'Quay 1\nSkerrowmouth',
  number: 12,
  client: 'Žofie Łąkowska',
  racket: 'Threllan 100, A1',
  day: '5 Jan 2026',
  page: 'https://racket.example/c/abcdefghijklmnopqrstuv',
  language: 'en',
};
const facts = [{ name: 'Strung', value: '5 Jan 2026' }];

const PAPERS: Readonly<Record<PaperKind, Paper>> = {
  slip: {
    ...HEAD,
    kind: 'slip',
    slip: slipOf({
      workshop: 'The bench',
      number: 12,
      day: '2026-01-05',
      unit: 'kg',
      record: recordOf(),
    }),
  },
  label: { ...HEAD, kind: 'label', figure: '24/23 kg', facts },
  stub: { ...HEAD, kind: 'stub', promised: 'Fri 9 Jan 17:00', facts },
  letter: {
    ...HEAD,
    kind: 'letter',
    letter: {
      wentIn: 'Your racket gets a string.',
      whyString: null,
      whyTension: 'Why this tension: it is the middle.',
      expect: null,
      lasts: 'It is good for 12 h.',
      care: null,
    },
    facts,
    back: 'Come back by 4 May 2026.',
  },
  unstrung: { ...HEAD, kind: 'unstrung', why: 'The frame is cracked.', seen: ['crack: head'] },
};

/** Sheets of a PDF in points, as its page tree says them (ISO 32000, 7.7.3.3). */
const sheets = (pdf: Buffer): readonly (readonly number[])[] =>
  [...pdf.toString('latin1').matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(
    ([, width, height]) => [Number(width), Number(height)],
  );
const POINTS_A_MM = 72 / 25.4;

describe('papers as PDF', () => {
  it.each(PAPER_KINDS)('%s: one sheet of its own size, with its language', async (kind) => {
    const pdf = await paperPdf(PAPERS[kind]);
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    const [sheet, ...more] = sheets(pdf);
    expect(more).toEqual([]);
    const [width, height] = KINDS[kind].sheet;
    expect(sheet?.[0]).toBeCloseTo(width * POINTS_A_MM, 0);
    expect(sheet?.[1]).toBeCloseTo(height * POINTS_A_MM, 0);
    // ISO 32000, 14.9.2: the language of the whole document.
    expect(pdf.toString('latin1')).toMatch(/\/Lang \(en\)/);
  });

  it('are made of names of any length, and of letters that no face has', async () => {
    const long = { ...PAPERS.slip, client: 'A very long name '.repeat(12) };
    expect(sheets(await paperPdf(long))).toHaveLength(1);
    const strange = { ...PAPERS.label, client: '山田 🎾 علي', racket: '\u0000' };
    expect(sheets(await paperPdf(strange as Paper))).toHaveLength(1);
  });

  it('an invoice takes as many sheets as its lines need', async () => {
    const line = { what: 'labour' as const, text: 'Stringing', quantity: 1, unitMinor: 1600 };
    const invoice = (lines: number): Invoice => ({
      kind: 'invoice',
      number: 7,
      day: '2026-02-03',
      currency: 'EUR',
      locale: 'en-GB',
      taxIncluded: true,
      from: { name: 'The bench', address: 'Quay 1', country: 'PT', taxNumber: 'X1' },
      to: { name: 'Ada', address: '' },
      lines: Array.from({ length: lines }, (_, i) => ({ ...line, taxBp: 600, job: i + 1 })),
      reverses: null,
      why: '',
    });
    expect(sheets(await invoicePdf(invoice(3), 'Paid.'))).toHaveLength(1);
    expect(sheets(await invoicePdf(invoice(80), '')).length).toBeGreaterThan(1);
  });
});

describe('what can be set', () => {
  it('is every script that people write their names in; anything else is marked and not lost unseen', () => {
    for (const name of [
      'Žofie Đặng Ελένη Дмитро – “1.25” €',
      'שלמה כהן',
      'محمد علي',
      '山田太郎 ひろし カナ',
      '王小明',
      '김민준',
      'สมชาย',
      'अमित शर्मा',
    ])
      expect(setable(name)).toBe(name.normalize('NFC'));
    expect(setable('Ada 🎾')).toBe('Ada ?');
    // A letter and its mark are one, as most faces have them.
    expect(setable('e\u0301')).toBe('é');
  });

  it('is set in the faces that it needs, and no other is read', () => {
    const families = (text: string) => facesFor(text, ['Barlow']).slice(1);
    expect(families('Ada 24/23')).toEqual([]);
    expect(families('Ελένη')).toEqual(['Sans el']);
    expect(families('王小明')).toEqual(['Sans zh', 'Sans ja']);
    expect(families('山田 ひろし')).toEqual(['Sans ja', 'Sans zh']);
    expect(families('שלמה (王)')).toEqual(['Sans he', 'Sans zh', 'Sans ja']);
  });

  it('breaks where nothing else does: between any letters of a long word, or of a script without spaces', () => {
    expect(breakable('Żółtowska')).toEqual(['Żółtowska']);
    expect(breakable('王小')).toEqual(['王', '', '小', '']);
    expect(breakable('x'.repeat(30))).toHaveLength(60);
  });
});
