import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { chanceFrom } from '@/core/maths/chance';
import { jobListIn } from '@/core/record/job-list';
import { readQuestion } from '@/core/record/question';
import type { OpenDatabase } from './connection';
import { strings } from './racket-schema';
import { ASKED, newPerson, openTestDatabase, withJobs } from './testing';

let open: OpenDatabase;
let person: string;
beforeAll(async () => {
  open = await openTestDatabase();
  person = await newPerson(open.db);
});
afterAll(() => open.close());

describe('what each has strung', () => {
  it('is counted by who strung it, with what came back soon', async () => {
    const { shop, racket } = await withJobs(open.db, [1200, 1200, 1200]);
    const since = new Date(Date.now() - 86_400_000);
    // All three of one racket: what was strung first came back at once, and so did the second.
    expect(await shop.jobs.byHand(since)).toEqual([
      { by: 'Orrin', strung: 3, minutes: null, again: 2 },
    ]);
    await shop.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    expect((await shop.jobs.byHand(since))[0]?.again).toBe(3);
    expect(await shop.jobs.byHand(new Date(Date.now() + 86_400_000))).toEqual([]);
  });
});

describe('rackets that came again', () => {
  const HOUR = 3_600_000;
  const START = Date.parse('2024-03-01T09:00:00Z');

  /** Rackets with some jobs each, one after the other, at hours that were drawn. */
  async function withVisits(seed: number) {
    const { shop, clientId, racket } = await withJobs(open.db, [1200]);
    const [mains] = await open.db
      .insert(strings)
      .values({
        workshopId: shop.id,
        name: 'Lull',
        sport: 'tennis',
        family: 'multifilament',
        subKind: '',
        shape: 'round',
        colour: '',
        gaugesMm: [1.3],
        setMm: 12_000,
        setPriceMinor: 900,
        notes: '',
      })
      .returning({ id: strings.id });
    const chance = chanceFrom(seed);
    const visits: { racketId: string; number: number; takenIn: Date; closedAt: Date }[] = [];
    for (let i = 0; i < 6; i++) {
      const own = await shop.rackets.add({
        clientId,
        frameId: racket.frameId,
        label: '',
        mark: `V${i}`,
        notes: '',
      });
      let at = START + chance.below(400) * HOUR;
      for (let k = chance.below(6); k >= 0; k--) {
        const takenIn = new Date(at);
        const closedAt = new Date(at + (1 + chance.below(80)) * HOUR);
        visits.push({ racketId: own.id, number: 100 + visits.length, takenIn, closedAt });
        at = closedAt.getTime() + (1 + chance.below(2000)) * HOUR;
      }
    }
    for (const { racketId, number, takenIn, closedAt } of visits)
      await open.db.execute(sql`
        insert into tickets (workshop_id, number, request_key, racket_id, taken_in, promised, wish, condition, main_string_id, main_n, cross_n, tension_unit, closed_at, labour_minor, string_minor, to_pay_minor, record)
        select workshop_id, ${number}, gen_random_uuid(), ${racketId}, ${takenIn.toISOString()}::timestamptz, promised, wish, condition, ${mains?.id}, main_n, cross_n, tension_unit, ${closedAt.toISOString()}::timestamptz, labour_minor, string_minor, 0, record
        from tickets where workshop_id = ${shop.id} and number = 1`);
    const pairs = visits.flatMap((visit) => {
      const next = visits.find(
        ({ racketId, takenIn }) => racketId === visit.racketId && takenIn > visit.closedAt,
      );
      return next ? [{ closedAt: visit.closedAt, cameAt: next.takenIn }] : [];
    });
    return { shop, pairs, stringId: mains?.id ?? '' };
  }

  it('are told with the bed that they came with, the latest first, since a day and no more than asked', async () => {
    for (const seed of [1, 2, 3]) {
      const { shop, pairs } = await withVisits(seed);
      const latest = pairs.toSorted((a, b) => b.cameAt.getTime() - a.cameAt.getTime());
      const told = async (since: Date, limit: number) =>
        (await shop.jobs.cameAgain(since, limit)).map(({ closedAt, cameAt }) => ({
          closedAt,
          cameAt,
        }));
      expect(await told(new Date(0), 100)).toEqual(latest);
      expect(await told(new Date(0), 3)).toEqual(latest.slice(0, 3));
      const since = latest[Math.floor(latest.length / 2)]?.cameAt ?? new Date(0);
      expect(await told(since, 100)).toEqual(latest.filter(({ cameAt }) => cameAt >= since));
    }
  });

  it('say how long a string lasts here: the middle of their days, and how many came early', async () => {
    const { shop, pairs, stringId } = await withVisits(4);
    const days = pairs
      .map(({ closedAt, cameAt }) => (cameAt.getTime() - closedAt.getTime()) / (24 * HOUR))
      .toSorted((a, b) => a - b);
    const [low, high] = [days[Math.ceil(days.length / 2) - 1], days[Math.floor(days.length / 2)]];
    const lasting = await shop.jobs.lasting(stringId);
    expect(lasting.beds).toBe(pairs.length);
    expect(lasting.days).toBeCloseTo(((low ?? 0) + (high ?? 0)) / 2, 9);
    expect(lasting.early).toBe(days.filter((each) => each < 21).length);
    expect(lasting.hours).toBeNull();
    expect((await shop.jobs.lasting(randomUUID())).beds).toBe(0);
  });
});

describe('the list of jobs', () => {
  it('goes on page by page to its end, with each job on one of them', async () => {
    const { shop } = await withJobs(
      open.db,
      Array.from({ length: 103 }, (_, i) => 1200 + (i % 3)),
    );
    for (const order of ['handed over', 'price', 'number']) {
      const pages = await Promise.all(
        ['1', '2', '3', '4'].map((page) =>
          shop.jobs.page({
            list: jobListIn({ page, order }),
            question: undefined,
            leastMinor: undefined,
            mostMinor: undefined,
          }),
        ),
      );
      expect(pages.map(({ jobs, more, count }) => [jobs.length, more, count])).toEqual([
        [50, true, 103],
        [50, true, 103],
        [3, false, 103],
        [0, false, 103],
      ]);
      const numbers = pages.flatMap(({ jobs }) => jobs.map(({ number }) => number));
      expect(new Set(numbers).size).toBe(103);
    }
  });

  it('filters, sorts and pages in the records', async () => {
    const { shop, jobs } = await withJobs(open.db, [1200, 3000, 2000]);
    const page = async (parameters: Record<string, string>, least?: number) => {
      const list = jobListIn(parameters);
      const { jobs: found } = await shop.jobs.page({
        list,
        question: undefined,
        leastMinor: least,
        mostMinor: undefined,
      });
      return found.map(({ number }) => number);
    };
    expect(await page({})).toEqual([3, 2, 1]);
    expect(await page({ order: 'price', down: 'no' })).toEqual([1, 3, 2]);
    expect(await page({ order: 'number', down: 'no' })).toEqual([1, 2, 3]);
    expect(await page({}, 2000)).toEqual([3, 2]);
    expect(await page({ sport: 'tennis', by: 'Orrin', frame: 'Threllan 100' })).toHaveLength(3);
    expect(await page({ sport: 'squash' })).toEqual([]);
    expect(await page({ page: '2' })).toEqual([]);
    const today = new Date().toISOString().slice(0, 10);
    expect(await page({ from: today, to: today })).toHaveLength(3);
    expect(await page({ to: '2020-01-01' })).toEqual([]);
    await shop.tickets.collected(2);
    expect(await page({ state: 'not collected' })).toEqual([3, 1]);
    await shop.payments.add(person, {
      id: randomUUID(),
      ticketId: jobs[0]?.id ?? '',
      day: today,
      way: 'card',
      kind: 'paid',
      amountMinor: 1200,
      note: '',
    });
    expect(await page({ state: 'not paid' })).toEqual([3, 2]);
    await shop.tickets.correct(jobs[2]?.id ?? '', randomUUID(), person, 'It was 24.');
    expect(await page({ state: 'corrected' })).toEqual([3]);
  });

  it('by words has the jobs that the search finds, and nothing else that goes by them', async () => {
    const { shop, racket } = await withJobs(open.db, [1200, 3000, 2000]);
    await shop.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    const asked = (text: string) =>
      shop.together(async (records) => {
        const question = readQuestion(text, '2026-11-26T09:00');
        const { jobs, count } = await records.jobs.page({
          list: jobListIn({ order: 'number', down: 'no' }),
          question,
          leastMinor: undefined,
          mostMinor: undefined,
        });
        const found = await records.found.find(question);
        const numbers = jobs.map(({ number }) => number);
        expect(count).toBe(numbers.length);
        expect(new Set(numbers)).toEqual(
          new Set(found.flatMap(({ kind, number }) => (kind === 'job' ? [number] : []))),
        );
        return numbers;
      });
    expect(await asked('ottoline')).toEqual([1, 2, 3]);
    expect(await asked('threllan brüggmann')).toEqual([1, 2, 3]);
    expect(await asked('ottolien')).toEqual([1, 2, 3]);
    expect(await asked('23/22')).toEqual([1, 2, 3]);
    expect(await asked('2')).toContain(2);
    // The open ticket has this number, and it is no job yet.
    expect(await asked('4')).toEqual([]);
    expect(await asked('nobody of that name')).toEqual([]);
  });

  it('by words goes on to its end, and everything else narrows and orders all of it', async () => {
    const { shop } = await withJobs(open.db, [1200]);
    const jobs = 1300;
    // The first is the oldest, a day apart from the next.
    await open.db.execute(sql`
      insert into tickets (id, workshop_id, number, request_key, racket_id, taken_in, promised, wish, condition, main_n, cross_n, tension_unit, closed_at, labour_minor, string_minor, to_pay_minor, record)
      select gen_random_uuid(), workshop_id, 1 + n, gen_random_uuid(), racket_id, taken_in, promised, wish, condition, main_n, cross_n, tension_unit,
        timestamptz '2020-01-01 12:00Z' + n * interval '1 day', labour_minor, string_minor, n, record
      from tickets, generate_series(1, ${jobs - 1}) n where workshop_id = ${shop.id}`);
    const asked = (parameters: Record<string, string>) => ({
      list: jobListIn({ find: 'ottoline', ...parameters }),
      question: readQuestion('ottoline', '2026-11-26T09:00'),
      leastMinor: undefined,
      mostMinor: undefined,
    });
    const page = (parameters: Record<string, string>) =>
      shop.together(async (records) => {
        const { jobs: shown, more, count } = await records.jobs.page(asked(parameters));
        return [shown.at(0)?.number, shown.at(-1)?.number, shown.length, more, count > 1000];
      });
    // The latest is the first, which was closed just now.
    expect(await page({})).toEqual([1, 1252, 50, true, true]);
    expect(await page({ page: '2' })).toEqual([1251, 1202, 50, true, true]);
    expect(await page({ page: '26' })).toEqual([51, 2, 50, false, true]);
    expect(await page({ page: '27' })).toEqual([undefined, undefined, 0, false, true]);
    expect(await page({ down: 'no' })).toEqual([2, 51, 50, true, true]);
    expect(await page({ order: 'price', down: 'no' })).toEqual([2, 51, 50, true, true]);
    expect(await page({ to: '2020-01-03' })).toEqual([3, 2, 2, false, false]);
    const out = await shop.together(async (records) => {
      const numbers: number[] = [];
      for (;;) {
        const piece = await records.jobs.after(asked({}), numbers.at(-1) ?? 0, 500);
        numbers.push(...piece.map(({ number }) => number));
        if (piece.length < 500) return numbers;
      }
    });
    expect(out).toEqual(Array.from({ length: jobs }, (_, i) => i + 1));
  }, 60_000);
});
