/** What is kept at the counter: photographs, invoices, payments, addresses and messages. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MOST_PHOTOS } from './photos';
import { invoiceFor } from '@/core/papers/invoice';
import type { OpenDatabase } from './connection';
import { newPerson, newWorkshop, openTestDatabase, price, withJobs } from './testing';

let open: OpenDatabase;
let person: string;
beforeAll(async () => {
  open = await openTestDatabase();
  person = await newPerson(open.db);
});
afterAll(() => open.close());

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
    const { shop, clientId, jobs } = await withJobs(
      open.db,
      Array.from({ length: 12 }, () => 1200),
    );
    const issue = (job: (typeof jobs)[number], fail: boolean) =>
      shop.together(async (records) => {
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
    const { shop, clientId, jobs } = await withJobs(open.db, [1200]);
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
      shop.together(async (records) => {
        const issued = await records.invoices.issue(
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
    const { shop, clientId, jobs } = await withJobs(open.db, [1200]);
    const ids = jobs.map((job) => job.id);
    expect(await shop.invoices.openJobs(clientId)).toEqual([1]);
    await shop.invoices.issue(randomUUID(), person, clientId, ids, paper(jobs));
    expect(await shop.invoices.openJobs(clientId)).toEqual([]);
    const credit = randomUUID();
    const back = (key: string) => shop.invoices.credit(key, person, 1, '2026-02-04', 'twice');
    expect(await back(credit)).toEqual({ number: 2 });
    expect(await back(credit)).toEqual({ number: 2 });
    // The same key over something else is another press.
    const another = { why: 'another by this press', invoice: 2 };
    expect(await shop.invoices.credit(credit, person, 1, '2026-02-04', 'a part', 100)).toEqual(
      another,
    );
    expect(await shop.invoices.issue(credit, person, clientId, ids, paper(jobs))).toEqual(another);
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
    const { shop, clientId, jobs } = await withJobs(open.db, [3000, 1200]);
    const pay = (id: string, amountMinor: number) =>
      shop.together((records) =>
        records.payments.add(person, {
          id,
          ticketId: jobs[0]?.id ?? '',
          day: '2026-02-03',
          way: 'cash',
          kind: amountMinor < 0 ? 'given back' : 'paid',
          amountMinor,
          note: '',
        }),
      );
    const twice = randomUUID();
    const kept = await Promise.all([pay(twice, 1000), pay(twice, 1000), pay(randomUUID(), 500)]);
    expect(kept.filter((each) => each === 'known')).toHaveLength(1);
    const back = randomUUID();
    expect(await pay(back, -1501)).toEqual({ why: 'more than was paid', paidMinor: 1500 });
    // Of two that together give back more than was paid, one does.
    expect(await Promise.all([pay(back, -200), pay(back, -200)])).toContain('known');
    const both = await Promise.all([pay(randomUUID(), -1000), pay(randomUUID(), -1000)]);
    expect(both).toContainEqual({ why: 'more than was paid', paidMinor: 300 });
    // What was given back is owed by nobody, and no more is taken than is owed.
    expect(await pay(randomUUID(), 1501)).toEqual({ why: 'more than is owed', owedMinor: 1500 });
    expect(await pay(randomUUID(), 1000)).toBe('kept');
    expect((await shop.tickets.get(1))?.paidMinor).toBe(1300);
    expect(await shop.payments.owedBy(clientId)).toEqual([
      { number: 1, toPayMinor: 1800, paidMinor: 1300, currency: 'EUR' },
      { number: 2, toPayMinor: 1200, paidMinor: 0, currency: 'EUR' },
    ]);
    expect(await shop.payments.owed(10)).toMatchObject([{ jobs: 2, owedMinor: 1700 }]);
    const day = await shop.payments.between('2026-02-03', '2026-02-03');
    expect(day).toHaveLength(5);
    expect(day[0]).toMatchObject({ job: 1, beforeMinor: 0, kind: 'paid' });
    const before = day.map(({ beforeMinor }) => beforeMinor);
    // Of the first two, whichever came first.
    expect([0, before[1] === 500 ? 500 : 1000, 1500, 1300, 300]).toEqual(before);
    expect(await shop.payments.between('2026-02-04', '2026-02-05')).toEqual([]);
  });
});

describe('money that is put right', () => {
  it('a slip restores the debt, a tip and what is left for the next job are no payment of it', async () => {
    const { shop, clientId, jobs } = await withJobs(open.db, [3300, 2000]);
    const pay = (
      at: number,
      amountMinor: number,
      kind: 'paid' | 'slip' | 'tip' | 'credit',
      way: 'cash' | 'credit' = 'cash',
    ) =>
      shop.together(({ payments }) =>
        payments.add(person, {
          id: randomUUID(),
          ticketId: jobs[at]?.id ?? '',
          day: '2026-02-03',
          way,
          kind,
          amountMinor,
          note: '',
        }),
      );
    const owed = async () => (await shop.payments.owedBy(clientId)).map(({ number }) => number);
    await pay(0, 3300, 'paid');
    expect(await owed()).toEqual([2]);
    await pay(0, -3300, 'slip');
    expect(await owed()).toEqual([1, 2]);
    await pay(0, 3300, 'paid');
    await pay(0, 200, 'tip');
    await pay(0, 500, 'credit');
    const [first, second] = jobs;
    expect((await shop.tickets.get(1))?.paidMinor).toBe(3300);
    expect(await shop.payments.creditOf(second?.id ?? '')).toBe(500);
    expect(await pay(1, 600, 'paid', 'credit')).toEqual({
      why: 'more credit than there is',
      creditMinor: 500,
    });
    expect(await pay(1, 500, 'paid', 'credit')).toBe('kept');
    expect(await shop.payments.creditOf(first?.id ?? '')).toBe(0);
  });

  it('a voided job owes nothing and counts nowhere, keeps its number, and is not taken up', async () => {
    const { shop, clientId, jobs } = await withJobs(open.db, [3300]);
    const before = await shop.tickets.get(1);
    expect(await shop.tickets.voidJob(1, before?.version ?? 0, 'the wrong one')).toBe('saved');
    const voided = await shop.tickets.get(1);
    expect(voided).toMatchObject({ closedAt: null, withdrawnWhy: 'the wrong one', toPayMinor: 0 });
    expect(voided?.record).toEqual(before?.record);
    expect(voided?.wasClosedAt).toEqual(before?.closedAt);
    expect(await shop.payments.owedBy(clientId)).toEqual([]);
    expect(await shop.invoices.openJobs(clientId)).toEqual([]);
    expect(await shop.tickets.lastOfRacket(before?.racketId ?? '', 3)).toEqual([]);
    const takenUp = await shop.together(({ tickets }) => tickets.takeUp(1, voided?.version ?? 0));
    expect(takenUp).not.toBe('saved');
    expect(jobs).toHaveLength(1);
  });

  it('a forgotten line is invoiced by itself, and a part of an invoice is taken back', async () => {
    const { shop, clientId, jobs } = await withJobs(open.db, [1200]);
    const ids = jobs.map((job) => job.id);
    await shop.invoices.issue(randomUUID(), person, clientId, ids, paper(jobs));
    const ticket = await shop.tickets.get(1);
    const line = { what: 'extra', text: 'Grip', quantity: 1, unitMinor: 650, taxBp: 0 } as const;
    await shop.tickets.addLine(1, ticket?.version ?? 0, line, 1850);
    expect(await shop.invoices.openJobs(clientId)).toEqual([1]);
    const added = await shop.tickets.get(1);
    expect(added?.record?.price?.lines.at(-1)).toEqual(line);
    const whole = paper(jobs);
    const second = await shop.invoices.issue(randomUUID(), person, clientId, ids, (number) => ({
      ...whole(number),
      lines: (added?.record?.price?.lines ?? []).map((each) => ({ ...each, job: 1 })),
    }));
    expect(second).toEqual({ number: 2 });
    expect((await shop.invoices.byNumber(2))?.totalMinor).toBe(650);
    expect(await shop.invoices.openJobs(clientId)).toEqual([]);
    const credit = (minor?: number) =>
      shop.invoices.credit(randomUUID(), person, 1, '2026-02-04', 'a scratch', minor);
    const pay = (kind: 'paid' | 'given back', amountMinor: number) =>
      shop.payments.add(person, {
        id: randomUUID(),
        ticketId: jobs[0]?.id ?? '',
        day: '2026-02-05',
        way: 'cash',
        kind,
        amountMinor,
        note: '',
      });
    await pay('paid', 1850);
    expect(await credit(1201)).toMatchObject({ why: 'more than is left', leftMinor: 1200 });
    await credit(500);
    expect(await shop.invoices.byNumber(1)).toMatchObject({
      creditedMinor: 500,
      takenBackBy: null,
    });
    expect((await shop.tickets.get(1))?.toPayMinor).toBe(1350);
    // What is given back for a credited part lowers nothing again, and a part for what was given back neither.
    await pay('given back', -500);
    expect(await shop.tickets.get(1)).toMatchObject({ toPayMinor: 1350, paidMinor: 1350 });
    await pay('given back', -200);
    expect(await shop.tickets.get(1)).toMatchObject({ toPayMinor: 1150, paidMinor: 1150 });
    await credit(200);
    expect(await shop.tickets.get(1)).toMatchObject({ toPayMinor: 1150, paidMinor: 1150 });
    await credit(300);
    expect(await shop.tickets.get(1)).toMatchObject({ toPayMinor: 850, paidMinor: 1150 });
    await credit();
    expect((await shop.invoices.byNumber(1))?.takenBackBy).not.toBeNull();
    expect(await credit(1)).toMatchObject({ why: 'taken back' });
  });
});

describe('photographs', () => {
  it('are kept once, taken off and put back', async () => {
    const { shop, jobs } = await withJobs(open.db, [0]);
    const [id, ticketId] = [randomUUID(), jobs[0]?.id ?? ''];
    const made = {
      caption: 'crack',
      width: 2,
      height: 1,
      image: Buffer.from('large'),
      thumb: Buffer.from('small'),
    };
    const add = (key: string) =>
      shop.together((all) => all.photos.add(key, ticketId, person, made));
    expect(await Promise.all([add(id), add(id), add(id)])).toEqual(['kept', 'kept', 'kept']);
    expect(await shop.photos.ofTicket(ticketId)).toMatchObject([{ id, caption: 'crack' }]);
    expect(String(await shop.photos.bytes(id, 'thumb'))).toBe('small');
    const other = await newWorkshop(open.db);
    expect(await other.photos.bytes(id, 'image')).toBeUndefined();
    await shop.photos.setRemoved(id, true);
    expect(await shop.photos.ofTicket(ticketId)).toEqual([]);
    expect(await shop.photos.bytes(id, 'image')).toBeUndefined();
    await shop.photos.setRemoved(id, false);
    expect(await shop.photos.ofTicket(ticketId)).toHaveLength(1);
    // Twenty at once beside those that are there: as many as a ticket holds, and no more.
    for (let i = 1; i < MOST_PHOTOS - 5; i++) await add(randomUUID());
    const many = await Promise.all(Array.from({ length: 20 }, () => add(randomUUID())));
    expect(many.filter((each) => each === 'kept')).toHaveLength(5);
    expect(await shop.photos.ofTicket(ticketId)).toHaveLength(MOST_PHOTOS);
  });
});

describe('messages to clients', () => {
  it('are kept once of a kind, held by one sender, tried a few times and then given up', async () => {
    const { shop, clientId, jobs } = await withJobs(open.db, [0]);
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
    await shop.outbox.sent(id, 'c@d.example');
    const [gone] = await shop.outbox.ofTicket(letter.ticketId);
    expect(gone?.sentAt).not.toBeNull();
    // Where it went is kept, not where it was to go at first.
    expect(gone?.toAddress).toBe('c@d.example');
  });

  it('stop where somebody does not want them', async () => {
    const { shop, clientId, jobs } = await withJobs(open.db, [0]);
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
    const { shop, racket } = await withJobs(open.db, []);
    await shop.clientLinks.wish(racket.id, 'before Sunday');
    await Promise.all(Array.from({ length: 20 }, () => shop.clientLinks.wish(racket.id, 'again')));
    expect(await shop.clientLinks.openWishes(9)).toMatchObject([{ text: 'before Sunday' }]);
    await shop.clientLinks.answer({ racketId: racket.id });
    expect(await shop.clientLinks.hasWish(racket.id)).toBe(false);
    await Promise.all(Array.from({ length: 20 }, () => shop.clientLinks.wish(racket.id, 'later')));
    expect(await shop.clientLinks.openWishes(9)).toMatchObject([{ text: 'later' }]);
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
      shop.together(async ({ clients }) => {
        const known = new Set((await clients.namedForMany()).map(({ name }) => name));
        const fresh = rows.filter(({ name }) => !known.has(name));
        await clients.bring(fresh, async () => undefined);
        return fresh.length;
      });
    const added = await Promise.all([bring(), bring()]);
    expect([...added].sort((a, b) => a - b)).toEqual([0, 1200]);
    expect(await shop.clients.names()).toHaveLength(1200);
  });
});
