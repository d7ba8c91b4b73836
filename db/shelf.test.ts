/** The shelf: what is there, what is cut, counted and taken back. */
import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { OpenDatabase } from './connection';
import { frameSpec } from '@/core/testing/frame-spec';
import { strings } from './racket-schema';
import { stockKey } from './shelf';
import { stockLengths, stockUses } from './shelf-schema';
import { newPerson, newWorkshop, openTestDatabase } from './testing';
import type { Records } from './workshop';

let open: OpenDatabase;
let person: string;
beforeAll(async () => {
  open = await openTestDatabase();
  person = await newPerson(open.db);
});
afterAll(() => open.close());

async function withShelf() {
  const shop = await newWorkshop(open.db);
  const stringId = randomUUID();
  await open.db.insert(strings).values({
    id: stringId,
    workshopId: shop.id,
    name: 'Warp',
    sport: 'tennis',
    family: 'monofilament',
    gaugesMm: [1.25],
    setMm: 12_200,
    setPriceMinor: 1150,
    notes: '',
  });
  const inside = <T>(work: (shelf: Records['shelf']) => Promise<T>) =>
    shop.together((records) => work(records.shelf));
  const buy = (ids: readonly string[], mm = 12_200, next?: string) =>
    inside((shelf) =>
      shelf.buy(
        person,
        ids,
        {
          stringId,
          gaugeMm: 1.25,
          kind: 'set',
          mm,
          priceMinor: 1150,
          supplier: 'Harbour',
          place: 'drawer 1',
          day: '2026-01-05',
        },
        next,
      ),
    );
  const left = async () => (await shop.shelf.there()).map(({ leftMm }) => leftMm);
  return { shop, stringId, buy, inside, left };
}

async function aTicket(shop: Awaited<ReturnType<typeof newWorkshop>>) {
  const [clientId, frameId] = [randomUUID(), randomUUID()];
  await shop.clients.add({ name: 'Ada', contact: '', tensionUnit: null, notes: '' }, clientId);
  await shop.frames.add({ name: 'Threllan', spec: frameSpec() }, frameId);
  const racket = await shop.rackets.add({ clientId, frameId, label: '', mark: '', notes: '' });
  return shop.tickets.add(randomUUID(), {
    racketId: racket.id,
    promised: '2030-01-01T18:00',
    wish: '',
    condition: '',
  });
}

describe('the shelf', () => {
  it('has what was bought, once for a form that is sent twice, what is opened first', async () => {
    const { shop, buy, inside, left } = await withShelf();
    const ids = [randomUUID(), randomUUID(), randomUUID()];
    expect(await Promise.all([buy(ids), buy(ids)])).toEqual([true, true]);
    expect(await left()).toEqual([12_200, 12_200, 12_200]);
    // Under the same key another length, one fewer, or one more is another press, and puts nothing there.
    const [first = '', second = '', third = ''] = ids;
    expect(await buy(ids, 11_000)).toBe(false);
    expect(await buy([first, second], 12_200, third)).toBe(false);
    expect(await buy([...ids, randomUUID()])).toBe(false);
    expect(await left()).toEqual([12_200, 12_200, 12_200]);
    const ticket = await aTicket(shop);
    await inside((shelf) =>
      shelf.cut(person, ticket.id, [{ lengthId: ids[1] ?? '', mm: 6000, note: 'mains' }]),
    );
    expect(await left()).toEqual([6200, 12_200, 12_200]);
    const [move] = await shop.shelf.moves(5);
    expect(move).toMatchObject({ kind: 'cut', mm: -6000, number: ticket.number, who: 'Nell' });
  });

  it('is right by count, and what is used up is there no more', async () => {
    const { shop, buy, inside, left } = await withShelf();
    const id = randomUUID();
    await buy([id]);
    expect(await inside((shelf) => shelf.count(person, randomUUID(), id, 5900))).toBe(true);
    expect(await left()).toEqual([5900]);
    expect(await inside((shelf) => shelf.throwAway(person, randomUUID(), id))).toBe(true);
    expect(await left()).toEqual([]);
    expect(await inside((shelf) => shelf.throwAway(person, randomUUID(), id))).toBe(false);
    const [away] = await shop.shelf.moves(1);
    expect(away?.mm).toBe(-5900);
  });

  it('knows what was cut for a ticket, each piece once, and which tickets are cut', async () => {
    const { shop, buy, inside, left } = await withShelf();
    expect(await shop.shelf.isKept()).toBe(false);
    const [lengthId, again] = [randomUUID(), randomUUID()];
    await buy([lengthId]);
    expect(await shop.shelf.isKept()).toBe(true);
    const [ticket, other] = [await aTicket(shop), await aTicket(shop)];
    const cut = () =>
      inside((shelf) =>
        shelf.cut(person, ticket.id, [{ id: again, lengthId, mm: 5900, note: 'mains again' }]),
      );
    await cut();
    await cut();
    expect(await left()).toEqual([6300]);
    expect(await shop.shelf.cutsFor(ticket.id)).toEqual([
      { piece: 'mains again', mm: 5900, undone: false },
    ]);
    expect(await shop.shelf.cutOfOpen()).toEqual(new Set([ticket.id]));
    await inside((shelf) => shelf.undo(person, again));
    expect((await shop.shelf.cutsFor(ticket.id))[0]?.undone).toBe(true);
    expect(await shop.shelf.cutOfOpen()).toEqual(new Set());
    expect(await shop.shelf.cutsFor(other.id)).toEqual([]);
  });

  it('takes a movement back once, and never below nothing', async () => {
    const { shop, buy, inside, left } = await withShelf();
    const id = randomUUID();
    await buy([id]);
    await inside((shelf) => shelf.count(person, randomUUID(), id, 20_000));
    const [counted] = await shop.shelf.moves(1);
    const ticket = await aTicket(shop);
    await inside((shelf) =>
      shelf.cut(person, ticket.id, [{ lengthId: id, mm: 15_000, note: 'whole' }]),
    );
    // Back to 12.2 m would leave less than nothing.
    expect(await inside((shelf) => shelf.undo(person, counted?.id ?? ''))).toBe(false);
    const cut = (await shop.shelf.moves(5)).find(({ kind }) => kind === 'cut');
    const undo = () => inside((shelf) => shelf.undo(person, cut?.id ?? ''));
    expect((await Promise.all([undo(), undo()])).toSorted()).toEqual([false, true]);
    expect(await left()).toEqual([20_000]);
    expect((await shop.shelf.moves(5)).find(({ id: each }) => each === cut?.id)?.undone).toBe(true);
  });

  it('knows what each week has used, without what was taken back', async () => {
    const { shop, stringId, buy, inside } = await withShelf();
    const ids = [randomUUID(), randomUUID()];
    await buy(ids);
    const ticket = await aTicket(shop);
    for (const lengthId of ids)
      await inside((shelf) =>
        shelf.cut(person, ticket.id, [{ lengthId, mm: 6000, note: 'mains' }]),
      );
    const [last] = await shop.shelf.moves(1);
    await inside((shelf) => shelf.undo(person, last?.id ?? ''));
    expect((await shop.shelf.usedByWeek(3)).get(stockKey(stringId, 1.25))).toEqual([0, 0, 6000]);
  });

  it('adds a week up from its seven days, and forgets what is older than it was asked for', async () => {
    const { shop, stringId } = await withShelf();
    const used = (daysAgo: number, mm: number, gaugeMm = 1.25) =>
      open.db.insert(stockUses).values({
        workshopId: shop.id,
        day: sql`(now() at time zone 'UTC')::date - ${daysAgo}::int`,
        stringId,
        gaugeMm,
        mm,
      });
    for (const [daysAgo, mm] of [
      [0, 1000],
      [6, 200],
      [7, 5000],
      [13, 30],
      [20, 7],
      [21, 999],
    ] as const)
      await used(daysAgo, mm);
    await used(8, 42, 1.3);
    const weeks = await shop.shelf.usedByWeek(3);
    expect(weeks.get(stockKey(stringId, 1.25))).toEqual([7, 5030, 1200]);
    expect(weeks.get(stockKey(stringId, 1.3))).toEqual([0, 42, 0]);
    expect(weeks.size).toBe(2);
  });

  it('keeps what is left as the movements add up, also of what a whole number cannot say', async () => {
    const { shop, buy, inside } = await withShelf();
    const ids = [randomUUID(), randomUUID()];
    await buy(ids, 100_000.1);
    const ticket = await aTicket(shop);
    const cut = (lengthId: string, mm: number) =>
      inside((shelf) => shelf.cut(person, ticket.id, [{ lengthId, mm, note: 'mains' }]));
    await Promise.all([6100.7, 5900.2, 6000.4].map((mm) => cut(ids[0] ?? '', mm)));
    await cut(ids[1] ?? '', 100_000);
    const { rows } = await open.db.execute<{ mm: number }>(
      sql`select l.mm + sum(m.mm) mm from stock_lengths l join stock_moves m on m.length_id = l.id where l.id = ${ids[0]} group by l.id`,
    );
    const there = await shop.shelf.there();
    expect(there.map(({ id }) => id)).toEqual([ids[0]]);
    expect(there[0]?.leftMm).toBeCloseTo(81_998.8, 6);
    expect(there[0]?.leftMm).toBeCloseTo(rows[0]?.mm ?? 0, 6);
  });

  it('says how much a length has, whatever the one who writes it down says', async () => {
    const { shop, stringId, left } = await withShelf();
    await open.db.insert(stockLengths).values({
      id: randomUUID(),
      workshopId: shop.id,
      stringId,
      gaugeMm: 1.25,
      kind: 'set',
      mm: 12_200,
      leftMm: 99_000,
      priceMinor: 1150,
      day: '2026-01-05',
    });
    expect(await left()).toEqual([12_200]);
  });

  it('knows what each thickness cost, by the last ten times that it was bought', async () => {
    const { shop, stringId } = await withShelf();
    await open.db
      .update(strings)
      .set({ gaugesMm: [1.25, 1.3, 1.35] })
      .where(eq(strings.id, stringId));
    const bought = (gaugeMm: number, day: string, priceMinor: number, count = 1) =>
      shop.shelf.buy(
        person,
        Array.from({ length: count }, () => randomUUID()),
        { stringId, gaugeMm, kind: 'set', mm: 10_000, priceMinor, supplier: '', place: '', day },
      );
    await bought(1.25, '2024-03-01', 9000);
    await bought(1.25, '2026-01-05', 1000, 8);
    await bought(1.25, '2026-02-05', 2000, 2);
    await bought(1.3, '2026-02-05', 1500);
    expect(await shop.shelf.pricePerMm()).toEqual(
      new Map([
        [stockKey(stringId, 1.25), (8 * 1000 + 2 * 2000) / 100_000],
        [stockKey(stringId, 1.3), 0.15],
      ]),
    );
    expect(await (await newWorkshop(open.db)).shelf.pricePerMm()).toEqual(new Map());
  });
});
