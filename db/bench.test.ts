import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { BenchEvent, Deed } from '@/core/bench-log';
import type { OpenDatabase } from './connection';
import { benchEvents } from './schema';
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

const progress = async ({ bench }: Awaited<ReturnType<typeof newWorkshop>>, ticketId: string) => ({
  done: await bench.done(ticketId),
  events: await open.db.$count(benchEvents, eq(benchEvents.ticketId, ticketId)),
});

const event = (done: number, deed: Deed = { kind: 'step' }): BenchEvent => ({
  id: randomUUID(),
  bench: randomUUID(),
  plan: 'a',
  done,
  at: new Date(0).toISOString(),
  deed,
});

it('a bench stands where its latest event says, each kept once', async () => {
  const { house, ticket } = await withTicket();
  expect(await progress(house, ticket.id)).toEqual({ done: 0, events: 0 });
  const [one, two, back] = [event(1), event(2), event(1)];
  await house.bench.keep(ticket.id, [one, two, back]);
  expect(await progress(house, ticket.id)).toEqual({ done: 1, events: 3 });
  // The answer was lost on the way, so the bench sends all of it again.
  await house.bench.keep(ticket.id, [one, two, back]);
  expect(await progress(house, ticket.id)).toEqual({ done: 1, events: 3 });
  await house.bench.keep(ticket.id, [event(2)]);
  expect((await progress(house, ticket.id)).done).toBe(2);
});

it('what is said at a step does not move the bench, and all of it comes back as it was sent', async () => {
  const { house, ticket } = await withTicket();
  const sent = [
    event(3, { kind: 'step', pulledN: 231.5 }),
    event(0, { kind: 'open' }),
    event(3, { kind: 'note', text: 'grommet worn' }),
    event(3, { kind: 'pause' }),
  ];
  await house.bench.keep(ticket.id, sent);
  expect(await house.bench.done(ticket.id)).toBe(3);
  expect(await house.bench.events(ticket.id)).toEqual(sent);
  expect(await house.bench.count(ticket.id)).toBe(4);
  await house.bench.keep(ticket.id, [
    event(1, { kind: 'mishap', mishap: 'wrong hole', string: 'M2R', way: 'Go back' }),
  ]);
  expect(await house.bench.done(ticket.id)).toBe(1);
});

it('belongs to its workshop, and to a ticket that is there', async () => {
  const { house, ticket } = await withTicket();
  const other = await newWorkshop(open.db);
  await house.bench.keep(ticket.id, [event(5)]);
  expect(await other.bench.done(ticket.id)).toBe(0);
  expect(await other.bench.events(ticket.id)).toEqual([]);
  expect(await other.bench.count(ticket.id)).toBe(0);
  await expect(other.bench.keep(ticket.id, [event(6)])).rejects.toThrow();
  await expect(house.bench.keep(ticket.id, [event(-1)])).rejects.toThrow();
  expect((await progress(house, ticket.id)).done).toBe(5);
});
