import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { OpenDatabase } from './connection';
import { newWorkshop, openTestDatabase } from './testing';

let open: OpenDatabase;

beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

async function withTicket() {
  const house = await newWorkshop(open.db);
  const clientId = randomUUID();
  await house.clients.add({ name: 'Ada', contact: '', tensionUnit: null, notes: '' }, clientId);
  const racket = await house.rackets.add({
    clientId,
    frameId: null,
    label: 'F',
    mark: '',
    notes: '',
  });
  const ticket = await house.tickets.add(randomUUID(), {
    racketId: racket.id,
    promised: '2030-01-01T18:00',
    wish: '',
    condition: '',
  });
  return { house, ticket };
}

const event = (done: number) => ({ id: randomUUID(), done, at: new Date(0) });

it('a bench stands where its latest event says, each kept once', async () => {
  const { house, ticket } = await withTicket();
  expect(await house.bench.progress(ticket.id)).toEqual({ done: 0, events: 0 });
  const [one, two, back] = [event(1), event(2), event(1)];
  await house.bench.keep(ticket.id, [one, two, back]);
  expect(await house.bench.progress(ticket.id)).toEqual({ done: 1, events: 3 });
  // The answer was lost on the way, so the bench sends all of it again.
  await house.bench.keep(ticket.id, [one, two, back]);
  expect(await house.bench.progress(ticket.id)).toEqual({ done: 1, events: 3 });
  await house.bench.keep(ticket.id, [event(2)]);
  expect((await house.bench.progress(ticket.id)).done).toBe(2);
});

it('belongs to its workshop, and to a ticket that is there', async () => {
  const { house, ticket } = await withTicket();
  const other = await newWorkshop(open.db);
  await house.bench.keep(ticket.id, [event(5)]);
  expect(await other.bench.progress(ticket.id)).toEqual({ done: 0, events: 0 });
  await expect(other.bench.keep(ticket.id, [event(6)])).rejects.toThrow();
  await expect(house.bench.keep(ticket.id, [event(-1)])).rejects.toThrow();
  expect((await house.bench.progress(ticket.id)).done).toBe(5);
});
