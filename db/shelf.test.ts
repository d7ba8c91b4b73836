/** The shelf: what is there, what is cut, counted and taken back. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { OpenDatabase } from './connection';
import { people } from './doors-schema';
import { frameSpec } from '@/core/testing/frame-spec';
import { strings } from './schema';
import { stockKey } from './shelf';
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
  const buy = (ids: readonly string[], mm = 12_200) =>
    shop.shelf.buy(person, ids, {
      stringId,
      gaugeMm: 1.25,
      kind: 'set',
      mm,
      priceMinor: 1150,
      supplier: 'Harbour',
      place: 'drawer 1',
      day: '2026-01-05',
    });
  const inside = <T>(work: (shelf: ReturnType<typeof recordsOf>['shelf']) => Promise<T>) =>
    open.db.transaction((transaction) => work(recordsOf(transaction, shop.id).shelf));
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
    await Promise.all([buy(ids), buy(ids)]);
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
});
