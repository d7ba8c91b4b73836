import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { planQueue } from '@/core/queue/plan';
import { queueReport, readQueue } from './queue-document';
import { readShelf, shelfReport } from './shelf-document';

const published = (name: string): object =>
  JSON.parse(
    readFileSync(join(import.meta.dirname, `../docs/formats/${name}.schema.json`), 'utf8'),
  ) as object;

const QUEUE = {
  format: 'orthotens-queue/1',
  now: '2026-01-05T09:00',
  benches: [{ name: 'A', open: [['2026-01-05T09:00', '2026-01-05T13:00']] }],
  jobs: [{ number: 1, minutes: 30, promised: '2026-01-05T12:00', ready: '2026-01-05T09:30' }],
};
const planOf = (queue: object) => {
  const read = readQueue(JSON.stringify(queue));
  if (!read.ok) throw new Error(read.problem);
  const { now, benches, jobs } = read.value;
  const plan = planQueue(now, benches, jobs);
  if (!plan.ok) throw new Error(plan.problem);
  return queueReport(plan.value);
};
const refusalOf = (queue: object): string => {
  const read = readQueue(JSON.stringify(queue));
  return read.ok ? '' : read.problem;
};

describe('a queue as a document', () => {
  it('is planned on the clock of the wall, from what is ready on', () => {
    expect(new Ajv().validate(published('queue'), QUEUE)).toBe(true);
    expect(planOf(QUEUE)).toEqual({
      jobs: [
        {
          number: 1,
          bench: 'A',
          start: '2026-01-05T09:30',
          finish: '2026-01-05T10:00',
          lateMin: 0,
        },
      ],
      maxLateMin: 0,
    });
  });

  it('takes the day before and after the clock is changed like any other', () => {
    const day = (date: string) => ({
      ...QUEUE,
      now: `${date}T00:00`,
      benches: [{ name: 'A', open: [[`${date}T00:00`, `${date}T23:59`]] }],
      jobs: [{ number: 1, minutes: 240, promised: `${date}T03:00` }],
    });
    for (const date of ['2026-03-28', '2026-03-29', '2026-10-25'])
      expect(planOf(day(date))).toMatchObject({
        jobs: [{ finish: `${date}T04:00` }],
        maxLateMin: 60,
      });
  });

  it('takes openings that touch for one', () => {
    const parts = [
      ['2026-01-05T11:00', '2026-01-05T13:00'],
      ['2026-01-05T09:00', '2026-01-05T11:00'],
    ];
    const long = { ...QUEUE, benches: [{ name: 'A', open: parts }] };
    expect(
      planOf({ ...long, jobs: [{ number: 1, minutes: 200, promised: '2026-01-05T12:30' }] }),
    ).toMatchObject({
      jobs: [{ start: '2026-01-05T09:00', finish: '2026-01-05T12:20' }],
    });
  });

  it('says which part of it is wrong', () => {
    expect(refusalOf({ ...QUEUE, now: 'nine' })).toContain('now');
    expect(refusalOf({ ...QUEUE, now: '2026-02-30T09:00' })).toContain('no such time');
    expect(refusalOf({ ...QUEUE, jobs: [{ ...QUEUE.jobs[0], minutes: -5 }] })).toContain(
      'jobs.0.minutes',
    );
    expect(refusalOf({ ...QUEUE, jobs: [QUEUE.jobs[0], QUEUE.jobs[0]] })).toContain('same number');
    expect(
      refusalOf({
        ...QUEUE,
        benches: [{ name: 'A', open: [['2026-01-05T13:00', '2026-01-05T09:00']] }],
      }),
    ).toContain('ends after it begins');
    expect(readQueue('{')).toMatchObject({ code: 'document.no json' });
  });
});

describe('a shelf as a document', () => {
  const SHELF = {
    format: 'orthotens-shelf/1',
    usefulMm: 1500,
    stock: [
      { id: 'a', kind: 'set', mm: 12_200, price: 1150 },
      { id: 'r', kind: 'remnant', mm: 6300, price: 0 },
    ],
    pieces: [{ id: '1m', mm: 6000 }],
  };

  it('is cut with the least price and scrap', () => {
    expect(new Ajv().validate(published('shelf'), SHELF)).toBe(true);
    const read = readShelf(JSON.stringify(SHELF));
    expect(read.ok && shelfReport(read.value)).toEqual({
      cuts: [{ piece: '1m', from: 'r' }],
      unserved: [],
      openedPrice: 0,
      scrapMm: 300,
    });
  });

  it('says which part of it is wrong', () => {
    const twice = { ...SHELF, stock: [SHELF.stock[0], SHELF.stock[0]] };
    expect(readShelf(JSON.stringify(twice))).toMatchObject({
      problem: expect.stringContaining('same id') as string,
    });
    const negative = { ...SHELF, pieces: [{ id: '1m', mm: -1 }] };
    expect(readShelf(JSON.stringify(negative))).toMatchObject({
      problem: expect.stringContaining('pieces.0.mm') as string,
    });
  });
});
