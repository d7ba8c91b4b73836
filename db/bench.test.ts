import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { KeptPlan } from '@/core/bench/kept-plan';
import type { LoggedDeed, Deed } from '@/core/bench/log';
import { openDatabase, type OpenDatabase } from './connection';
import { isBusy } from './failures';
import { benchDeeds } from './ticket-schema';
import { newWorkshop, openTestDatabase } from './testing';
import { recordsOf } from './workshop';

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
  deeds: await open.db.$count(benchDeeds, eq(benchDeeds.ticketId, ticketId)),
});

const logged = (done: number, deed: Deed = { kind: 'step' }): LoggedDeed => ({
  id: randomUUID(),
  bench: randomUUID(),
  plan: 'aaaaaaaa',
  done,
  at: new Date(0).toISOString(),
  deed,
});

it('a bench stands where its latest event says, each kept once', async () => {
  const { house, ticket } = await withTicket();
  expect(await progress(house, ticket.id)).toEqual({ done: 0, deeds: 0 });
  const [one, two, back] = [logged(1), logged(2), logged(1)];
  await house.bench.keep(ticket.id, [one, two, back]);
  expect(await progress(house, ticket.id)).toEqual({ done: 1, deeds: 3 });
  // The answer was lost on the way, so the bench sends all of it again.
  await house.bench.keep(ticket.id, [one, two, back]);
  expect(await progress(house, ticket.id)).toEqual({ done: 1, deeds: 3 });
  await house.bench.keep(ticket.id, [logged(2)]);
  expect((await progress(house, ticket.id)).done).toBe(2);
});

it('what is said at a step does not move the bench, and all of it comes back as it was sent', async () => {
  const { house, ticket } = await withTicket();
  const sent = [
    logged(3, { kind: 'step', pulledN: 231.5 }),
    logged(0, { kind: 'open' }),
    logged(3, { kind: 'note', text: 'grommet worn' }),
    logged(3, { kind: 'pause' }),
  ];
  await house.bench.keep(ticket.id, sent);
  expect(await house.bench.done(ticket.id)).toBe(3);
  expect(await house.bench.deeds(ticket.id)).toEqual(sent);
  expect(await house.bench.count(ticket.id)).toBe(4);
  await house.bench.keep(ticket.id, [
    logged(1, { kind: 'mishap', mishap: 'wrong hole', string: 'M2R', way: 'Go back' }),
  ]);
  expect(await house.bench.done(ticket.id)).toBe(1);
});

it('lists count steps as the one fold does: a late open of a stale bench moves nothing back', async () => {
  const { house, ticket } = await withTicket();
  await house.bench.keep(ticket.id, [
    logged(7),
    logged(2, { kind: 'open' }),
    logged(2, { kind: 'note', text: 'from a bench that slept' }),
    logged(2, { kind: 'pause' }),
  ]);
  const [listed] = await house.benches.ticketsOfDay();
  expect([listed?.stepsDone, await house.bench.done(ticket.id)]).toEqual([7, 7]);
  await house.bench.keep(ticket.id, [logged(5, { kind: 'plan', chose: 'again' })]);
  const [after] = await house.benches.ticketsOfDay();
  expect([after?.stepsDone, await house.bench.done(ticket.id)]).toEqual([5, 5]);
});

it('keeps each plan once, and a plan of another workshop never', async () => {
  const { house, ticket } = await withTicket();
  const plan = (mainN: number): KeptPlan => ({
    mainN,
    crossN: 200,
    unit: 'kg',
    steps: [{ what: 'pull M1L 7H left', pulls: [{ string: 'M1L', n: mainN }] }],
  });
  await house.bench.keepPlan(ticket.id, 'aaaaaaaa', plan(220));
  await house.bench.keepPlan(ticket.id, 'aaaaaaaa', plan(999));
  await house.bench.keepPlan(ticket.id, 'bbbbbbbb', plan(210));
  expect([...(await house.bench.keptPlans(ticket.id))].sort()).toEqual([
    ['aaaaaaaa', plan(220)],
    ['bbbbbbbb', plan(210)],
  ]);
  const other = await newWorkshop(open.db);
  expect((await other.bench.keptPlans(ticket.id)).size).toBe(0);
  await expect(other.bench.keepPlan(ticket.id, 'cccccccc', plan(1))).rejects.toThrow();
});

it('belongs to its workshop, and to a ticket that is there', async () => {
  const { house, ticket } = await withTicket();
  const other = await newWorkshop(open.db);
  await house.bench.keep(ticket.id, [logged(5)]);
  expect(await other.bench.done(ticket.id)).toBe(0);
  expect(await other.bench.deeds(ticket.id)).toEqual([]);
  expect(await other.bench.count(ticket.id)).toBe(0);
  const foreign = logged(6);
  expect(await other.bench.keep(ticket.id, [foreign])).toEqual({ added: 0, refused: [foreign.id] });
  expect((await progress(house, ticket.id)).done).toBe(5);
});

it('one bad deed is set aside, and the sound ones before and behind it are kept', async () => {
  const { house, ticket } = await withTicket();
  const poison = { ...logged(2, { kind: 'note', text: 'torn\0' }) };
  const deeds = [logged(1), poison, logged(-1), logged(2), logged(3)];
  const answer = await house.bench.keep(ticket.id, deeds);
  expect(answer).toEqual({ added: 3, refused: [poison.id, deeds[2]?.id] });
  expect(await progress(house, ticket.id)).toEqual({ done: 3, deeds: 3 });
});

it('the same deeds from two benches in opposite orders are kept once each, and nobody waits for ever', async () => {
  const { house, ticket } = await withTicket();
  const deeds = Array.from({ length: 60 }, (_, i) => logged(i + 1));
  const send = (some: readonly LoggedDeed[]) =>
    house.together((records) => records.bench.keep(ticket.id, some));
  const rounds = Array.from({ length: 8 }, (_, i) => send(i % 2 ? deeds : deeds.toReversed()));
  const added = (await Promise.all(rounds)).map((answer) => answer.added);
  expect(added.reduce((sum, each) => sum + each, 0)).toBe(60);
  expect((await progress(house, ticket.id)).deeds).toBe(60);
});

it('knows the plans that steps were counted in, and what came late', async () => {
  const { house, ticket } = await withTicket();
  await house.bench.keep(ticket.id, [
    { ...logged(0, { kind: 'open' }), plan: '11111111' },
    { ...logged(1), plan: '22222222' },
    { ...logged(1, { kind: 'note', text: 'x' }), plan: '33333333' },
  ]);
  expect([...(await house.bench.plans(ticket.id))].sort()).toEqual(['11111111', '22222222']);
  await house.bench.keep(ticket.id, [logged(2)], true);
  const rows = await open.db
    .select({ late: benchDeeds.late })
    .from(benchDeeds)
    .where(eq(benchDeeds.ticketId, ticket.id))
    .orderBy(benchDeeds.arrived);
  expect(rows.map(({ late }) => late)).toEqual([false, false, false, true]);
});

it('a table that somebody holds locked does not hold a page for long, and it says busy', async () => {
  const { ticket } = await withTicket();
  await open.db.transaction(async (holder) => {
    await holder.execute(sql`lock table ${benchDeeds} in access exclusive mode`);
    const other = openDatabase(process.env.TEST_DATABASE_URL ?? '');
    const started = Date.now();
    const failed = await other.db.$count(benchDeeds, eq(benchDeeds.ticketId, ticket.id)).then(
      () => undefined,
      (error: unknown) => error,
    );
    await other.close();
    expect(isBusy(failed)).toBe(true);
    expect(Date.now() - started).toBeLessThan(9000);
  });
});

it('a connection that is lost in the middle of a transaction fails it, and nothing else', async () => {
  const { house } = await withTicket();
  const lost = open.db.transaction(async (transaction) => {
    const { rows } = await transaction.execute<{ pid: number }>(
      sql`select pg_backend_pid() as pid`,
    );
    await open.db.execute(sql`select pg_terminate_backend(${rows[0]?.pid})`);
    // The end arrives while nobody waits for an answer: it must not be an uncaught error.
    await new Promise((resolve) => setTimeout(resolve, 200));
    await recordsOf(transaction, house.id).clients.find('');
  });
  await expect(lost).rejects.toThrow();
  expect(await house.clients.find('Ada')).toHaveLength(1);
});
