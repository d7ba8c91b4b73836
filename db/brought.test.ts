/** What comes in from elsewhere, what goes out, and whether it is the same. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import type { JobBooks } from '@/core/papers/payment';
import { newtons } from '@/core/measure/units';
import { drawnOf } from '@/core/record/drawn';
import type { EarlierJob } from '@/core/record/earlier-job';
import { jobListIn } from '@/core/record/job-list';
import { readQuestion } from '@/core/record/question';
import { frameSpec } from '@/core/testing/frame-spec';
import { recordOf } from '@/core/testing/records';
import { usual } from '@/core/testing/usual';
import type { BroughtRecord } from './brought';
import { feedAt } from './calendar-feeds';
import type { OpenDatabase } from './connection';
import { payments } from './papers-schema';
import { newPerson, newWorkshop, openTestDatabase, withJobs } from './testing';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

const goOn = async () => undefined;
const earlier = (changes: Partial<EarlierJob> = {}): EarlierJob => ({
  client: 'Ada Brill',
  racket: 'Threllan 100',
  mark: 'A1',
  day: '2025-04-07',
  mains: 'Warp 1.25',
  crosses: 'Weft 1.20',
  tension: { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' },
  priceMinor: 2450,
  notes: 'grommet at 5H worn',
  ...changes,
});

describe('jobs of before', () => {
  it('come to the client and racket that are here, and make those that are not', async () => {
    const shop = await newWorkshop(open.db);
    const [clientId, frameId] = [randomUUID(), randomUUID()];
    await shop.clients.add(
      { name: 'Ada  brill', contact: '', tensionUnit: null, notes: '' },
      clientId,
    );
    await shop.frames.add({ name: 'Threllan 100', spec: frameSpec() }, frameId);
    const racket = await shop.rackets.add({ clientId, frameId, label: '', mark: 'A1', notes: '' });
    await shop.together(({ brought }) =>
      brought.bringEarlier(
        [
          earlier(),
          earlier({ day: '2025-08-01' }),
          earlier({ client: 'Bo Lusk', mark: '' }),
          earlier({ client: 'Bo Lusk', racket: 'An old one', mark: '', tension: null }),
        ],
        goOn,
      ),
    );
    expect((await shop.brought.earlierOf(racket.id)).map(({ day }) => day)).toEqual([
      '2025-08-01',
      '2025-04-07',
    ]);
    expect(await shop.clients.names()).toHaveLength(2);
    const ofBo = await shop.rackets.find('Bo');
    expect(ofBo.map(({ frameName, frameId: of }) => [frameName, of !== null])).toEqual(
      expect.arrayContaining([
        ['Threllan 100', true],
        ['An old one', false],
      ]),
    );
    expect(await shop.brought.countEarlier()).toBe(4);
  });

  it('are found by their words, their day and their tension, and lead to their racket', async () => {
    const shop = await newWorkshop(open.db);
    await shop.together(({ brought }) => brought.bringEarlier([earlier()], goOn));
    for (const asked of ['brill weft', '7 apr 2025', '24/23 kg']) {
      const found = await shop.found.find(readQuestion(asked, '2026-01-05T10:00'));
      const job = found.find(({ kind }) => kind === 'job');
      expect([asked, job?.number, job?.title]).toEqual([
        asked,
        null,
        'Ada Brill, Threllan 100, A1',
      ]);
      const racketId = await shop.brought.racketOfEarlier(job?.rowId ?? '');
      expect((await shop.rackets.find('Brill')).map(({ id }) => id)).toEqual([racketId]);
    }
  });

  it('have no place in the list of jobs, whatever they are found by', async () => {
    const { shop } = await withJobs(open.db, [1200], 'Ada Brill');
    await shop.together(({ brought }) => brought.bringEarlier([earlier()], goOn));
    for (const parameters of [{ find: 'ada brill' }, { find: 'ada brill', order: 'price' }]) {
      const page = await shop.jobs.page({
        list: jobListIn(parameters),
        question: readQuestion('ada brill', '2026-01-05T10:00'),
        leastMinor: undefined,
        mostMinor: undefined,
      });
      expect([page.jobs.map(({ number }) => number), page.more, page.count]).toEqual([
        [1],
        false,
        1,
      ]);
    }
  });

  it('come in as a whole or not at all', async () => {
    const shop = await newWorkshop(open.db);
    const rows = Array.from({ length: 1200 }, (_, i) => earlier({ client: `Client ${i}` }));
    const stopped = shop.together(({ brought }) =>
      brought.bringEarlier(rows, (done) => {
        if (done >= 1000) throw new Error('stopped');
      }),
    );
    await expect(stopped).rejects.toThrow('stopped');
    expect(await shop.brought.countEarlier()).toBe(0);
    expect(await shop.clients.names()).toEqual([]);
  });
});

describe('closed jobs', () => {
  it('go out of one workshop and into an empty one, and are equal there', async () => {
    const shop = await newWorkshop(open.db);
    const [clientId, frameId] = [randomUUID(), randomUUID()];
    const line = {
      what: 'labour',
      text: 'Stringing',
      quantity: 1,
      unitMinor: 2700,
      taxBp: 0,
    } as const;
    const price = { currency: 'EUR', taxIncluded: true, lines: [line] };
    await shop.clients.add(
      { name: 'Ada Brill', contact: 'a@court.example', tensionUnit: null, notes: '' },
      clientId,
    );
    await shop.frames.add({ name: 'Threllan 100', spec: frameSpec() }, frameId);
    const racket = await shop.rackets.add({ clientId, frameId, label: '', mark: 'A1', notes: '' });
    for (const remarks of ['notched', 'new grommets', '']) {
      const ticket = await shop.tickets.add(randomUUID(), {
        racketId: racket.id,
        promised: '2030-01-01T18:00',
        wish: '',
        condition: '',
      });
      await shop.tickets.close(ticket.number, 1, {
        labourMinor: 1800,
        stringMinor: 900,
        toPayMinor: 2700,
        collectedAt: null,
        record: recordOf({ remarks, price }),
        drawn: drawnOf(usual.job),
      });
    }
    const [first] = await shop.tickets.ofRacket(racket.id);
    for (const [day, amountMinor] of [
      ['2026-02-03', 2000],
      ['2026-02-05', 200],
    ] as const)
      await open.db.insert(payments).values({
        id: randomUUID(),
        workshopId: shop.id,
        ticketId: first?.id ?? '',
        day,
        way: 'cash',
        amountMinor,
        note: '',
      });
    const out = await shop.brought.recordsAfter(0, 100);
    expect(out.at(-1)?.books).toMatchObject({
      currency: 'EUR',
      toPayMinor: 2700,
      collected: null,
      payments: [{ amountMinor: 2000 }, { amountMinor: 200 }],
    });
    expect(out.map(({ record }) => record.remarks)).toEqual(['notched', 'new grommets', '']);
    const empty = await newWorkshop(open.db);
    await empty.together(({ brought }) => brought.bringRecords(out, goOn));
    expect(await empty.brought.recordsAfter(0, 100)).toEqual(out);
    expect(await empty.brought.recordsAfter(1, 1)).toEqual(out.slice(1, 2));
    // Its frame came with it, what is owed is owed here too, and the next ticket has the next number.
    const [known] = await empty.rackets.find('');
    expect(known).toMatchObject({ clientName: 'Ada Brill', frameName: 'Threllan 100', mark: 'A1' });
    expect(known?.frameId).not.toBeNull();
    const owed = async (of: typeof empty, client: string) =>
      (await of.payments.owedBy(client)).map(({ toPayMinor, paidMinor }) => toPayMinor - paidMinor);
    expect(await owed(empty, known?.clientId ?? '')).toEqual([2700, 2700, 500]);
    expect(await empty.payments.between('2026-02-03', '2026-02-03')).toHaveLength(1);
    // Without its books nothing is owed; prices in another currency than the workshop's would be read wrongly.
    for (const books of [undefined, { ...(out[0]?.books as JobBooks), currency: 'JPY' }]) {
      const other = await newWorkshop(open.db);
      const [job] = out;
      if (job)
        await other.together(({ brought }) =>
          brought.bringRecords([{ ...job, books } as BroughtRecord], goOn),
        );
      const [theirs] = await other.rackets.find('');
      expect(await owed(other, theirs?.clientId ?? '')).toEqual([]);
    }
    const next = await empty.tickets.add(randomUUID(), {
      racketId: known?.id ?? '',
      promised: '2030-01-01T18:00',
      wish: '',
      condition: '',
    });
    expect(next.number).toBe(4);
    const here = await empty.brought.recordsAt([1, 2, 99]);
    expect([...here.keys()].sort((a, b) => a - b)).toEqual([1, 2]);
  });

  it('of which only the latest of each racket that is not here says when it is due', async () => {
    const shop = await newWorkshop(open.db);
    const closedAt = (day: string) => new Date(`${day}T12:00:00Z`);
    await shop.together(({ brought }) =>
      brought.bringRecords(
        [
          { number: 1, closedAt: closedAt('2026-01-05'), record: recordOf() },
          { number: 2, closedAt: closedAt('2026-02-05'), record: recordOf() },
          {
            number: 3,
            closedAt: closedAt('2026-01-07'),
            record: recordOf({ client: 'Bo Lusk' }),
          },
        ],
        goOn,
      ),
    );
    const latest = async () =>
      (await shop.bedsOut.toWorkOut(1, 10))
        .map((bed) => bed.closedAt.toISOString().slice(5, 10))
        .toSorted();
    expect(await latest()).toEqual(['01-07', '02-05']);
    const [bo] = await shop.rackets.find('Bo');
    const ticket = await shop.tickets.add(randomUUID(), {
      racketId: bo?.id ?? '',
      promised: '2030-01-01T18:00',
      wish: '',
      condition: '',
    });
    expect(await latest()).toEqual(['02-05']);
    await shop.tickets.withdraw(ticket.number, 1, 'not wanted');
    expect(await latest()).toEqual(['01-07', '02-05']);
  });
});

describe('the address of a calendar', () => {
  it('answers until it is withdrawn, and never for who has left', async () => {
    const shop = await newWorkshop(open.db);
    const personId = await newPerson(open.db);
    await shop.members.add(personId, 'stringer');
    const token = await shop.calendarFeeds.ensure(personId);
    expect(await shop.calendarFeeds.ensure(personId)).toBe(token);
    expect(await feedAt(open.db, token)).toEqual({ workshopId: shop.id, personId });
    expect(await feedAt(open.db, 'x'.repeat(22))).toBeUndefined();
    await shop.calendarFeeds.withdraw(personId);
    expect(await feedAt(open.db, token)).toBeUndefined();
    const next = await shop.calendarFeeds.ensure(personId);
    expect(next).not.toBe(token);
    await open.db.execute(sql`update members set left_at = now() where person_id = ${personId}`);
    expect(await feedAt(open.db, next)).toBeUndefined();
  });
});
