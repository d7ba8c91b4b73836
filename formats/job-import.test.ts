import { describe, expect, it } from 'vitest';
import { newtons } from '@/core/measure/units';
import { recordOf } from '@/core/testing/records';
import { jobDocument } from './job-document';
import {
  answerJobs,
  areDocuments,
  guessJobs,
  jobDocumentLines,
  readJobDocuments,
  sameJob,
  type JobReading,
} from './job-import';
import { readSheet } from './mapped-table';

const ASKED: JobReading = {
  dayOrder: 'day first',
  unit: 'kg',
  currency: 'EUR',
  today: '2026-01-05',
};
const HEAD = 'Date;Customer;Racket;Serial;Kg mains;Kg crosses;Main string;Cross string;Total;Notes';
const answer = (rows: string, asked: Partial<JobReading> = {}, known: readonly string[] = []) => {
  const sheet = readSheet(`${HEAD}\n${rows}`);
  if (!sheet.ok) throw new Error(sheet.problem);
  return answerJobs(
    sheet.value,
    guessJobs(sheet.value.head),
    { ...ASKED, ...asked },
    new Set(known),
  );
};

describe('jobs of before out of a table', () => {
  it('have their columns guessed by what they are called', () => {
    expect(guessJobs(HEAD.split(';'))).toEqual({
      day: [0],
      client: [1],
      racket: [2],
      mark: [3],
      tension: [4, 5],
      mains: [6],
      crosses: [7],
      price: [8],
      sport: [],
      notes: [9],
    });
  });

  it('join two columns of figures to one tension, in the unit that the figures mean', () => {
    const [row] = answer('7.4.2025;Ada Brill;Threllan;A1;24;23;Warp;Weft;24,50;worn');
    expect(row).toEqual({
      line: 2,
      state: 'new',
      row: {
        client: 'Ada Brill',
        racket: 'Threllan',
        mark: 'A1',
        day: '2025-04-07',
        mains: 'Warp',
        crosses: 'Weft',
        // Source: 1 kgf is 9.80665 N (CGPM 1901).
        tension: { mainN: 24 * 9.80665, crossN: 23 * 9.80665, unit: 'kg' },
        priceMinor: 2450,
        notes: 'worn',
      },
    });
    const [pounds] = answer('7.4.2025;Ada;T;;55;53;Warp;;;');
    expect(pounds).toMatchObject({
      row: { tension: { mainN: newtons(55, 'lb'), unit: 'lb' }, crosses: 'Warp', priceMinor: null },
    });
  });

  it.each([
    ['32.4.2025;Ada;T;;24;23;W;;;', 'no day that has been'],
    ['7.4.2027;Ada;T;;24;23;W;;;', 'still to come'],
    ['7.4.2025;;T;;24;23;W;;;', 'Give the client’s name'],
    ['7.4.2025;Ada;;;24;23;W;;;', 'Give the racket'],
    ['7.4.2025;Ada;T;;a lot;;W;;;', 'as on a ticket'],
    ['7.4.2025;Ada;T;;24;23;W;;cheap;', 'amount'],
  ])('say what is wrong with %s', (row, why) => {
    const [answered] = answer(row);
    expect(answered).toMatchObject({ state: 'wrong' });
    expect(answered?.state === 'wrong' && answered.why.toLowerCase()).toContain(why.toLowerCase());
  });

  it('leave out what is here, and what stands there twice', () => {
    const rows =
      '7.4.2025;Ada;T;;24;23;W;;;\n07/04/25;ADA;t;;25;25;w;;;\n8.4.2025;Ada;T;;24;23;W;;;';
    const known = [
      sameJob({ client: 'ada', racket: 'T', mark: '', day: '2025-04-08', mains: 'W' }),
    ];
    expect(answer(rows, {}, known).map(({ state }) => state)).toEqual([
      'new',
      'here already',
      'here already',
    ]);
  });

  it('answer twenty thousand rows', () => {
    const rows = Array.from(
      { length: 20_000 },
      (_, i) => `7.4.2025;Client ${i};T;;24;23;Warp;Weft;24,50;`,
    ).join('\n');
    expect(answer(rows).every(({ state }) => state === 'new')).toBe(true);
  });
});

describe('documents of jobs, one a line', () => {
  const document = (number: number) =>
    jobDocument(number, new Date('2026-02-03T17:00:00Z'), recordOf({ remarks: 'two\nlines' }));

  it('come back as they went out', () => {
    const documents = [document(3), document(4)];
    const text = jobDocumentLines(documents);
    expect(areDocuments(text)).toBe(true);
    expect(areDocuments(HEAD)).toBe(false);
    expect(readJobDocuments(text)).toEqual({ ok: true, value: documents });
    expect(readJobDocuments(JSON.stringify(document(3), null, 2))).toMatchObject({ ok: true });
  });

  it('are refused as a whole where one is wrong, or stands there twice', () => {
    const text = jobDocumentLines([document(3)]);
    expect(readJobDocuments(`${text}{"format":"other"}\n`)).toMatchObject({
      code: 'job.line',
      problem: expect.stringContaining('Line 2') as string,
    });
    expect(readJobDocuments(text + text)).toMatchObject({ code: 'job.twice' });
    expect(readJobDocuments('{'.repeat(12_000_001))).toMatchObject({ code: 'job.too many' });
  });
});
