/** Benches, and what is arranged at them. */
import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { USUAL_WEEK } from '@/core/queue/hours';
import { frameSpec } from '@/core/testing/frame-spec';
import type { OpenDatabase } from './connection';
import { hearDay } from './live';
import { newPerson, newWorkshop, openTestDatabase } from './testing';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

const HOURS = { week: USUAL_WEEK, others: { '2026-12-25': [] } };

async function withTickets(count: number) {
  const shop = await newWorkshop(open.db);
  const [clientId, frameId, benchId] = [randomUUID(), randomUUID(), randomUUID()];
  await shop.clients.add({ name: 'Ada', contact: '', tensionUnit: null, notes: '' }, clientId);
  await shop.frames.add({ name: 'Threllan', spec: frameSpec() }, frameId);
  await shop.benches.add(
    { name: 'Window', machineId: null, hand: 'tournament', hours: HOURS },
    benchId,
  );
  const tickets = [];
  for (let i = 0; i < count; i++) {
    const racket = await shop.rackets.add({
      clientId,
      frameId,
      label: '',
      mark: String(i),
      notes: '',
    });
    tickets.push(
      await shop.tickets.add(randomUUID(), {
        racketId: racket.id,
        promised: `2030-01-0${9 - i}T18:00`,
        wish: '',
        condition: '',
      }),
    );
  }
  const arrange = (wanted: readonly number[], seen: readonly number[]) => {
    const turns = (numbers: readonly number[]) =>
      numbers.map((number, turn) => ({ number, benchId, turn }));
    return shop.together((records) => records.benches.arrange(turns(wanted), turns(seen)));
  };
  return { shop, benchId, tickets, arrange };
}

describe('a bench', () => {
  it('keeps its hours and its hand, and is changed by one at a time', async () => {
    const { shop, benchId } = await withTickets(0);
    const [bench] = await shop.benches.all();
    expect(bench).toMatchObject({ name: 'Window', hand: 'tournament', machine: null });
    expect(bench?.hours).toEqual(HOURS);
    const facts = { name: 'Back', machineId: null, hand: 'learner' as const, hours: HOURS };
    expect(await shop.benches.change(benchId, 1, facts)).toBe('saved');
    expect(await shop.benches.change(benchId, 1, { ...facts, name: 'Front' })).toBe('changed');
    await shop.benches.setRemoved(benchId, true);
    expect(await shop.benches.all()).toEqual([]);
  });
});

describe('the day', () => {
  it('has every open ticket by its promise, with what says how long it takes', async () => {
    const { shop, tickets } = await withTickets(3);
    await shop.tickets.withdraw(tickets[1]?.number ?? 0, 1, 'not wanted');
    const day = await shop.benches.ticketsOfDay();
    expect(day.map(({ number }) => number)).toEqual([3, 1]);
    expect(day[0]).toMatchObject({ stepsDone: 0, benchId: null, turn: null, hereFrom: null });
    expect(day[0]?.spec?.pattern).toEqual(frameSpec().pattern);
  });

  it('is arranged as it was seen, and by one of two at a time', async () => {
    const { shop, arrange } = await withTickets(3);
    expect(await arrange([2, 1], [])).toBe('saved');
    expect((await shop.benches.turns()).map(({ number }) => number)).toEqual([2, 1]);
    const both = await Promise.all([arrange([3, 2, 1], [2, 1]), arrange([1], [2, 1])]);
    expect(both.toSorted()).toEqual(['changed', 'saved']);
    const now = (await shop.benches.turns()).map(({ number }) => number);
    expect(await arrange([], now)).toBe('saved');
    expect(await shop.benches.turns()).toEqual([]);
  });

  it('forgets the turns of a bench that is gone and of a ticket that is over', async () => {
    const { shop, benchId, arrange, tickets } = await withTickets(2);
    await arrange([1, 2], []);
    await shop.tickets.withdraw(1, 1, 'not wanted');
    expect((await shop.benches.turns()).map(({ number }) => number)).toEqual([2]);
    await shop.benches.setRemoved(benchId, true);
    expect(await shop.benches.turns()).toEqual([]);
    await shop.benches.setHereFrom(tickets[1]?.id ?? '', '2029-12-31T10:00');
    const [late] = await shop.benches.ticketsOfDay();
    expect(late?.hereFrom).toBe('2029-12-31T10:00');
  });
});

describe('a ticket that is taken', () => {
  it('belongs to one of any number who take it at the same moment', async () => {
    const { shop, tickets, benchId } = await withTickets(1);
    const hands = await Promise.all(
      ['Ada', 'Bel', 'Cai', 'Dov', 'Eri'].map((name) => newPerson(open.db, name)),
    );
    const id = tickets[0]?.id ?? '';
    const answers = await Promise.all(
      hands.map((person) => shop.benches.take(id, person, benchId)),
    );
    const owners = new Set(answers.map((taken) => taken?.personId));
    expect(owners.size).toBe(1);
    const [day] = await shop.benches.ticketsOfDay();
    expect(day).toMatchObject({ takenBy: answers[0]?.name, takenBenchId: benchId });
  });

  it('goes to another only where they say so, and is let go only by whoever has it', async () => {
    const { shop, tickets } = await withTickets(1);
    const [ada, bel] = [await newPerson(open.db, 'Ada'), await newPerson(open.db, 'Bel')];
    const id = tickets[0]?.id ?? '';
    expect(await shop.benches.takenOf(id)).toBeUndefined();
    await shop.benches.take(id, ada, null);
    expect((await shop.benches.take(id, bel, null))?.name).toBe('Ada');
    expect((await shop.benches.take(id, bel, null, true))?.name).toBe('Bel');
    await shop.benches.letGo(id, ada);
    expect((await shop.benches.takenOf(id))?.name).toBe('Bel');
    await shop.benches.letGo(id, bel);
    expect(await shop.benches.takenOf(id)).toBeUndefined();
  });
});

describe('what happens in a day', () => {
  it('is heard by every server that listens, of its own workshop only, until it does not any more', async () => {
    const { shop, tickets } = await withTickets(1);
    const other = await withTickets(1);
    const heard: string[] = [];
    const leave = await hearDay(open.db, shop.id, () => heard.push('mine'));
    const leaveOther = await hearDay(open.db, other.shop.id, () => heard.push('other'));
    await shop.benches.setHereFrom(tickets[0]?.id ?? '', '2029-12-31T10:00');
    await expect.poll(() => heard).toEqual(['mine']);
    await shop.together(async ({ tickets: inside }) => {
      for (const version of [1, 2, 3])
        await inside.change(1, version, { wish: `softer ${version}` });
    });
    // Of one transaction, whatever is in it, one word.
    await expect.poll(() => heard).toEqual(['mine', 'mine']);
    leave();
    await shop.benches.setHereFrom(tickets[0]?.id ?? '', null);
    await other.shop.benches.setHereFrom(other.tickets[0]?.id ?? '', '2029-12-31T10:00');
    await expect.poll(() => heard).toEqual(['mine', 'mine', 'other']);
    // What happened while the line was cut was heard by nobody: with the next one, all look again.
    await open.db.execute(
      sql`select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen %' and datname = current_database()`,
    );
    await expect.poll(() => heard).toEqual(['mine', 'mine', 'other', 'other']);
    leaveOther();
  });
});
