/** A racket that is given away: what was strung on it stays with who had it strung. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readQuestion } from '@/core/record/question';
import type { OpenDatabase } from './connection';
import { ASKED, newPerson, openTestDatabase, withJobs } from './testing';

let open: OpenDatabase;
let person: string;
beforeAll(async () => {
  open = await openTestDatabase();
  person = await newPerson(open.db);
});
afterAll(() => open.close());

describe('a racket that is given away', () => {
  async function given() {
    const { shop, clientId: before, racket, jobs } = await withJobs(open.db, [3000, 1200]);
    const client = async (name: string) => {
      const id = randomUUID();
      await shop.clients.add(
        { name, contact: `${name}@court.example`, mayWrite: 'yes', tensionUnit: null, notes: '' },
        id,
      );
      return id;
    };
    const after = await client('Wendeline');
    const give = (from: string, to: string) =>
      shop.together(({ rackets }) => rackets.give(racket.id, from, to));
    expect(await give(before, after)).toBe(true);
    const owes = async (id: string) => (await shop.payments.owedBy(id)).map(({ number }) => number);
    return { shop, before, after, racket, jobs, client, give, owes };
  }

  it('leaves its jobs, what is owed for them and their invoices where they were', async () => {
    const { shop, before, after, racket, owes } = await given();
    expect(await shop.tickets.get(1)).toMatchObject({
      clientId: before,
      clientName: 'Ottoline Brüggmann',
    });
    expect([await owes(before), await owes(after)]).toEqual([[1, 2], []]);
    expect(await shop.payments.owed(9)).toMatchObject([{ clientId: before, owedMinor: 4200 }]);
    expect(await shop.jobs.ofClient(before, 9)).toHaveLength(2);
    expect(await shop.jobs.ofClient(after, 9)).toEqual([]);
    expect(await shop.invoices.openJobs(before)).toEqual([1, 2]);
    expect(await shop.invoices.openJobs(after)).toEqual([]);
    // The next job is the new owner's.
    const next = await shop.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    expect(await shop.tickets.get(next.number)).toMatchObject({ clientId: after });
    expect((await shop.rackets.ofClient(after)).map(({ id }) => id)).toEqual([racket.id]);
  });

  it('is given by who has it, and given back takes nothing along', async () => {
    const { before, after, give, owes } = await given();
    expect(await give(before, after)).toBe(false);
    expect(await give(after, before)).toBe(true);
    expect([await owes(before), await owes(after)]).toEqual([[1, 2], []]);
  });

  it('has its payments in the books under who paid', async () => {
    const { shop, jobs } = await given();
    const payment = {
      id: randomUUID(),
      way: 'cash',
      kind: 'paid',
      amountMinor: 500,
      note: '',
    } as const;
    await shop.together(({ payments }) =>
      payments.add(person, { ...payment, ticketId: jobs[0]?.id ?? '', day: '2026-02-03' }),
    );
    expect(await shop.payments.between('2026-02-03', '2026-02-03')).toMatchObject([
      { job: 1, clientName: 'Ottoline Brüggmann' },
    ]);
  });

  it('is found with its jobs by who had them, under the name they have now', async () => {
    const { shop, before } = await given();
    const found = async (text: string) =>
      (await shop.found.find(readQuestion(text, '2026-11-26T09:00'))).map(({ kind, title }) =>
        [kind, title].join(': '),
      );
    expect(await found('wendeline')).toEqual(['client: Wendeline', 'racket: Threllan 100, O1']);
    expect(await found('ottoline threllan')).toContain('job: Ottoline Brüggmann, Threllan 100, O1');
    const { version = 0 } = (await shop.clients.get(before)) ?? {};
    const facts = { name: 'Ottoline Sander', contact: '', tensionUnit: null, notes: '' };
    await shop.clients.change(before, version, facts);
    expect(await found('sander threllan')).toContain('job: Ottoline Sander, Threllan 100, O1');
  });

  it('goes with them where they turn out to be one with somebody else, and back', async () => {
    const { shop, before, client, owes } = await given();
    const [second, third] = [await client('Ottoline B.'), await client('O. Brüggmann')];
    const merge = (from: string, into: string) =>
      shop.together(({ clients }) => clients.merge(from, into));
    await merge(before, second);
    expect([await owes(before), await owes(second)]).toEqual([[], [1, 2]]);
    await merge(second, third);
    expect([await owes(second), await owes(third)]).toEqual([[], [1, 2]]);
    expect(await shop.tickets.get(2)).toMatchObject({
      clientId: third,
      clientName: 'O. Brüggmann',
    });
    for (const from of [second, before])
      expect(await shop.together(({ clients }) => clients.unmerge(from))).toBe('saved');
    expect([await owes(before), await owes(third)]).toEqual([[1, 2], []]);
  });
});

describe('a message that waits', () => {
  it('is to who its client is by now, at the address they have now', async () => {
    const { shop, clientId, racket, jobs } = await withJobs(open.db, [0]);
    const about = { clientId, ticketId: jobs[0]?.id ?? '' };
    expect(await shop.outbox.standing(about)).toEqual({
      name: 'Ottoline Brüggmann',
      contact: 'otto@court.example',
      mayWrite: 'unasked',
      isCollected: false,
      hasIt: true,
      cameAgain: false,
    });
    const into = randomUUID();
    await shop.clients.add(
      { name: 'Otto', contact: 'new@court.example', mayWrite: 'no', tensionUnit: null, notes: '' },
      into,
    );
    await shop.together(({ clients }) => clients.merge(clientId, into));
    await shop.tickets.collected(1);
    expect(await shop.outbox.standing(about)).toMatchObject({
      contact: 'new@court.example, otto@court.example',
      mayWrite: 'no',
      isCollected: true,
      hasIt: true,
    });
    const buyer = randomUUID();
    await shop.clients.add({ name: 'B', contact: '', tensionUnit: null, notes: '' }, buyer);
    await shop.together(({ rackets }) => rackets.give(racket.id, into, buyer));
    expect(await shop.outbox.standing(about)).toMatchObject({ name: 'Otto', hasIt: false });
  });
});
