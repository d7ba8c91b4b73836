/** What is kept at the counter: photographs, invoices, payments, addresses, messages, and what is found again. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { drawnOf } from '@/core/record/drawn';
import { invoiceFor } from '@/core/papers/invoice';
import { jobListIn } from '@/core/record/job-list';
import { readQuestion } from '@/core/record/question';
import { newtons } from '@/core/measure/units';
import { recordOf } from '@/core/testing/records';
import { frameSpec } from '@/core/testing/frame-spec';
import { usual } from '@/core/testing/usual';
import { people } from './doors-schema';
import type { OpenDatabase } from './connection';
import { newWorkshop, openTestDatabase } from './testing';
import { recordsOf } from './workshop';

let open: OpenDatabase;
let person: string;
beforeAll(async () => {
  open = await openTestDatabase();
  const [row] = await open.db
    .insert(people)
    .values({ name: 'Nell', email: `${randomUUID()}@shop.example` })
    .returning({ id: people.id });
  person = row?.id ?? '';
});
afterAll(() => open.close());

const price = (unitMinor: number) => ({
  currency: 'EUR',
  taxIncluded: true,
  lines: [{ what: 'labour' as const, text: 'Stringing', quantity: 1, unitMinor, taxBp: 2000 }],
});
const ASKED = { promised: '2030-01-01T18:00', wish: 'softer', condition: '' };
const drawn = drawnOf(usual.job);

/** A workshop with one client, whose racket was strung some times. */
async function withJobs(toPay: readonly number[], client = 'Ottoline Brüggmann') {
  const shop = await newWorkshop(open.db);
  const [clientId, frameId] = [randomUUID(), randomUUID()];
  await shop.clients.add(
    { name: client, contact: 'otto@court.example', tensionUnit: null, notes: '' },
    clientId,
  );
  await shop.frames.add({ name: 'Threllan 100', spec: frameSpec() }, frameId);
  const racket = await shop.rackets.add({ clientId, frameId, label: '', mark: 'O1', notes: '' });
  const jobs = [];
  for (const minor of toPay) {
    const ticket = await shop.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    await shop.tickets.change(ticket.number, 1, {
      mainN: newtons(23, 'kg'),
      crossN: newtons(22, 'kg'),
      tensionUnit: 'kg',
      mainGaugeMm: 1.25,
      crossGaugeMm: 1.25,
    });
    await shop.tickets.close(ticket.number, 2, {
      labourMinor: minor,
      stringMinor: 0,
      toPayMinor: minor,
      collectedAt: null,
      record: recordOf({ client, price: price(minor), remarks: 'notched at the crossings' }),
      drawn,
    });
    jobs.push({ id: ticket.id, number: ticket.number });
  }
  return { shop, clientId, racket, jobs };
}

const paper = (jobs: readonly { number: number }[]) => (number: number) => {
  const [first, ...rest] = jobs.map((job) => ({
    number: job.number,
    racket: 'R',
    price: price(1200),
  }));
  if (!first) throw new Error('no job');
  return invoiceFor(
    {
      number,
      day: '2026-02-03',
      locale: 'en-GB',
      from: { name: 'W', address: '', country: '', taxNumber: '' },
      to: { name: 'C', address: '' },
    },
    [first, ...rest],
  );
};

describe('invoices', () => {
  it('have numbers without gaps, with many counters at once and with some that fail', async () => {
    const { shop, clientId, jobs } = await withJobs(Array.from({ length: 12 }, () => 1200));
    const issue = (job: (typeof jobs)[number], fail: boolean) =>
      open.db.transaction(async (transaction) => {
        const records = recordsOf(transaction, shop.id);
        const issued = await records.invoices.issue(
          randomUUID(),
          person,
          clientId,
          [job.id],
          paper([job]),
        );
        if (fail) throw new Error('The power went.');
        return issued;
      });
    await Promise.allSettled(jobs.map((job, i) => issue(job, i % 3 === 0)));
    const numbers = (await shop.invoices.between('2026-01-01', '2026-12-31', 100))
      .map(({ number }) => number)
      .sort((a, b) => a - b);
    expect(numbers).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });

  it('are issued once for a form that is sent twice, and once for a job', async () => {
    const { shop, clientId, jobs } = await withJobs([1200]);
    const id = randomUUID();
    const once = (key: string) =>
      shop.invoices.issue(
        key,
        person,
        clientId,
        jobs.map((job) => job.id),
        paper(jobs),
      );
    expect(await once(id)).toEqual({ number: 1 });
    expect(await once(id)).toEqual({ number: 1 });
    await expect(
      open.db.transaction(async (transaction) => {
        const issued = await recordsOf(transaction, shop.id).invoices.issue(
          randomUUID(),
          person,
          clientId,
          jobs.map((job) => job.id),
          paper(jobs),
        );
        expect(issued).toMatchObject({ why: 'on an invoice', job: 1, invoice: 1 });
        throw new Error('undone');
      }),
    ).rejects.toThrow('undone');
  });

  it('are taken back once, by a credit note of the next number, and then issued anew', async () => {
    const { shop, clientId, jobs } = await withJobs([1200]);
    const ids = jobs.map((job) => job.id);
    expect(await shop.invoices.openJobs(clientId)).toEqual([1]);
    await shop.invoices.issue(randomUUID(), person, clientId, ids, paper(jobs));
    expect(await shop.invoices.openJobs(clientId)).toEqual([]);
    const credit = randomUUID();
    const back = (key: string) => shop.invoices.credit(key, person, 1, '2026-02-04', 'twice');
    expect(await back(credit)).toEqual({ number: 2 });
    expect(await back(credit)).toEqual({ number: 2 });
    expect((await shop.invoices.byNumber(1))?.takenBackBy).toBe(2);
    expect((await shop.invoices.byNumber(2))?.paper).toMatchObject({
      kind: 'credit note',
      reverses: 1,
    });
    expect(await shop.invoices.openJobs(clientId)).toEqual([1]);
    expect(await shop.invoices.issue(randomUUID(), person, clientId, ids, paper(jobs))).toEqual({
      number: 3,
    });
  });
});

describe('payments', () => {
  it('add up, also two at once, and a form that is sent twice counts once', async () => {
    const { shop, clientId, jobs } = await withJobs([3000, 1200]);
    const pay = (id: string, amountMinor: number) =>
      open.db.transaction((transaction) =>
        recordsOf(transaction, shop.id).payments.add(person, {
          id,
          ticketId: jobs[0]?.id ?? '',
          day: '2026-02-03',
          way: 'cash',
          amountMinor,
          note: '',
        }),
      );
    const twice = randomUUID();
    const kept = await Promise.all([
      pay(twice, 1000),
      pay(twice, 1000),
      pay(randomUUID(), 500),
      pay(randomUUID(), -200),
    ]);
    expect(kept.filter((each) => each === 'known')).toHaveLength(1);
    expect((await shop.tickets.get(1))?.paidMinor).toBe(1300);
    expect(await shop.payments.owedBy(clientId)).toEqual([
      { number: 1, toPayMinor: 3000, paidMinor: 1300, currency: 'EUR' },
      { number: 2, toPayMinor: 1200, paidMinor: 0, currency: 'EUR' },
    ]);
    expect(await shop.payments.owed(10)).toMatchObject([{ jobs: 2, owedMinor: 2900 }]);
    const day = await shop.payments.between('2026-02-03', '2026-02-03');
    expect(day).toHaveLength(3);
    expect(day[0]).toMatchObject({ job: 1, price: price(3000) });
    expect(await shop.payments.between('2026-02-04', '2026-02-05')).toEqual([]);
  });
});

describe('photographs', () => {
  it('are kept once, taken off and put back', async () => {
    const { shop, jobs } = await withJobs([0]);
    const [id, ticketId] = [randomUUID(), jobs[0]?.id ?? ''];
    const made = {
      caption: 'crack',
      width: 2,
      height: 1,
      image: Buffer.from('large'),
      thumb: Buffer.from('small'),
    };
    await shop.photos.add(id, ticketId, person, made);
    await shop.photos.add(id, ticketId, person, made);
    expect(await shop.photos.ofTicket(ticketId)).toMatchObject([{ id, caption: 'crack' }]);
    expect(String(await shop.photos.bytes(id, 'thumb'))).toBe('small');
    const other = await newWorkshop(open.db);
    expect(await other.photos.bytes(id, 'image')).toBeUndefined();
    await shop.photos.setRemoved(id, true);
    expect(await shop.photos.count(ticketId)).toBe(0);
    expect(await shop.photos.bytes(id, 'image')).toBeUndefined();
    await shop.photos.setRemoved(id, false);
    expect(await shop.photos.count(ticketId)).toBe(1);
  });
});

describe('messages to clients', () => {
  it('are kept once of a kind, held by one sender, tried a few times and then given up', async () => {
    const { shop, clientId, jobs } = await withJobs([0]);
    const letter = {
      clientId,
      ticketId: jobs[0]?.id ?? '',
      kind: 'ready' as const,
      about: '',
      toAddress: 'a@b.example',
      subject: 's',
      text: 't',
    };
    expect(await shop.outbox.add(person, { ...letter, id: randomUUID() })).toBe('kept');
    expect(await shop.outbox.add(person, { ...letter, id: randomUUID() })).toBe('known');
    let now = new Date();
    const held = await shop.outbox.hold(now);
    expect(held?.toAddress).toBe('a@b.example');
    expect(await shop.outbox.hold(now)).toBeUndefined();
    const id = held?.id ?? '';
    for (let tries = 0; tries < 5; tries++) {
      await shop.outbox.failed(id, 'It is shut.', now);
      now = new Date(now.getTime() + 24 * 60 * 60 * 1000);
      expect((await shop.outbox.hold(now)) === undefined).toBe(tries === 4);
    }
    expect((await shop.outbox.ofTicket(letter.ticketId))[0]).toMatchObject({
      given: true,
      failure: 'It is shut.',
    });
    await shop.outbox.retry(id);
    expect((await shop.outbox.hold(now))?.id).toBe(id);
    await shop.outbox.sent(id);
    expect((await shop.outbox.ofTicket(letter.ticketId))[0]?.sentAt).not.toBeNull();
  });

  it('stop where somebody does not want them', async () => {
    const { shop, clientId, jobs } = await withJobs([0]);
    await shop.outbox.add(person, {
      id: randomUUID(),
      clientId,
      ticketId: jobs[0]?.id ?? '',
      kind: 'due',
      about: '',
      toAddress: 'a@b.example',
      subject: 's',
      text: 't',
    });
    await shop.clients.wantNoMessages(clientId);
    await shop.outbox.dropAll(clientId);
    expect(await shop.outbox.hold(new Date())).toBeUndefined();
    expect(await shop.clients.get(clientId)).toMatchObject({ mayWrite: 'no' });
  });
});

describe('a wish of a client', () => {
  it('stands once at the counter until it is answered', async () => {
    const { shop, racket } = await withJobs([]);
    await shop.clientLinks.wish(racket.id, 'before Sunday');
    await shop.clientLinks.wish(racket.id, 'again');
    expect(await shop.clientLinks.openWishes()).toMatchObject([{ text: 'before Sunday' }]);
    await shop.clientLinks.answer({ racketId: racket.id });
    expect(await shop.clientLinks.hasWish(racket.id)).toBe(false);
  });
});

describe('what is found by words', () => {
  const ask = async (
    shop: Awaited<ReturnType<typeof withJobs>>['shop'],
    text: string,
  ): Promise<string[]> => {
    const found = await open.db.transaction(async (transaction) => {
      await transaction.execute(`select set_config('orthotens.workshop', '${shop.id}', true)`);
      return recordsOf(transaction, shop.id).found.find(readQuestion(text, '2026-11-26T09:00'));
    });
    return found.map(({ kind, number }) => (number === null ? kind : `${kind} ${number}`));
  };

  it('goes by words in any order, parts, accents and slips of the pen', async () => {
    const { shop } = await withJobs([1200, 1200]);
    await shop.tickets.add(randomUUID(), {
      racketId: (await shop.rackets.find(''))[0]?.id ?? '',
      ...ASKED,
    });
    for (const text of [
      'ottoline',
      'brueg otto'.slice(6),
      'bruggmann 100',
      'O1 threllan',
      'ottolien',
      'thrlelan',
    ])
      expect([text, (await ask(shop, text)).slice(0, 3)]).toEqual([
        text,
        ['ticket 3', 'job 2', 'job 1'],
      ]);
    expect(await ask(shop, 'brüggmann')).toContain('client');
    expect(await ask(shop, 'nobody of that name')).toEqual([]);
    expect(await ask(shop, '%')).toEqual([]);
    expect(await ask(shop, "'; drop table finds; --")).toEqual([]);
  });

  it('goes by number, string, gauge, remark, hand, day and tension', async () => {
    const { shop } = await withJobs([1200]);
    for (const text of [
      '1',
      'notched',
      'orrin',
      '1.25',
      'otto@court',
      '23/22',
      '50.7/48.5 lb',
      'today',
    ]) {
      const today = new Date().toISOString().slice(0, 10);
      const found = await ask(shop, text === 'today' ? today : text);
      expect([text, found[0]]).toEqual([text, 'job 1']);
    }
    expect(await ask(shop, '24/22')).toEqual([]);
    expect(await ask(shop, 'last march')).toEqual([]);
  });

  it('knows a client by their new name, and a removed one no more', async () => {
    const { shop, clientId } = await withJobs([1200]);
    const client = await shop.clients.get(clientId);
    await shop.clients.change(clientId, client?.version ?? 0, {
      name: 'Zephyrine',
      contact: '',
      tensionUnit: null,
      notes: '',
    });
    expect(await ask(shop, 'zephyrine')).toEqual(['job 1', 'client', 'racket']);
    // The record keeps the name that stood there.
    expect(await ask(shop, 'ottoline')).toEqual(['job 1']);
    await shop.clients.setRemoved(clientId, true);
    expect(await ask(shop, 'zephyrine')).toEqual(['job 1', 'racket']);
  });
});

describe('clients from elsewhere', () => {
  it('come in once, also where two bring the same table at once', async () => {
    const shop = await newWorkshop(open.db);
    const rows = Array.from({ length: 1200 }, (_, i) => ({
      name: `Client ${i}`,
      contact: '',
      address: '',
      notes: '',
    }));
    const bring = () =>
      open.db.transaction(async (transaction) => {
        const { clients } = recordsOf(transaction, shop.id);
        const known = new Set(await clients.namesForMany());
        const fresh = rows.filter(({ name }) => !known.has(name));
        await clients.bring(fresh, async () => undefined);
        return fresh.length;
      });
    const added = await Promise.all([bring(), bring()]);
    expect([...added].sort((a, b) => a - b)).toEqual([0, 1200]);
    expect(await shop.clients.names()).toHaveLength(1200);
  });
});

describe('what each has strung', () => {
  it('is counted by who strung it, with what came back soon', async () => {
    const { shop, racket } = await withJobs([1200, 1200, 1200]);
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

describe('the list of jobs', () => {
  it('filters, sorts and pages in the records', async () => {
    const { shop, jobs } = await withJobs([1200, 3000, 2000]);
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
      amountMinor: 1200,
      note: '',
    });
    expect(await page({ state: 'not paid' })).toEqual([3, 2]);
    await shop.tickets.correct(jobs[2]?.id ?? '', randomUUID(), person, 'It was 24.');
    expect(await page({ state: 'corrected' })).toEqual([3]);
  });
});
