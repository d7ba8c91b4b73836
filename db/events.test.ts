/** Tournaments: who plays, whose rackets are promised for when, and how tags are given out. */
import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayJob } from '@/core/queue/day';
import { USUAL_WEEK } from '@/core/queue/hours';
import { nextTags } from '@/core/tournament/court';
import { newtons } from '@/core/measure/units';
import type { OpenDatabase } from './connection';
import type { EventFacts, PlayerFacts } from './events';
import { newWorkshop, openTestDatabase } from './testing';
import { tickets } from './schema';
import { recordsOf } from './workshop';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

const OPEN: EventFacts = {
  name: 'Harbour Open',
  sport: 'tennis',
  days: { days: { '2030-06-03': [['08:00', '20:00']] } },
  benchIds: [],
  leadMin: 45,
  labourMinor: 2200,
  ownStringMinor: 1800,
  rushMinor: 0,
  rushMin: 0,
  oneBench: true,
  boardNames: false,
};
const ORDER = {
  count: 2,
  tension: { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' },
  when: 'every morning',
} as const;
const PLAYER: PlayerFacts = {
  orders: { orders: [ORDER] },
  mainStringId: null,
  mainGaugeMm: null,
  crossStringId: null,
  crossGaugeMm: null,
  supplied: false,
  benchId: null,
};

async function withPlayers(...names: string[]) {
  const shop = await newWorkshop(open.db);
  const [eventId, benchId] = [randomUUID(), randomUUID()];
  await shop.benches.add(
    {
      name: 'Window',
      machineId: null,
      hand: 'tournament',
      hours: { week: USUAL_WEEK, others: {} },
    },
    benchId,
  );
  await shop.events.add({ ...OPEN, benchIds: [benchId] }, eventId);
  const players: { readonly id: string; readonly clientId: string }[] = [];
  for (const name of names) {
    const [clientId, id] = [randomUUID(), randomUUID()];
    await shop.clients.add({ name, contact: '', tensionUnit: null, notes: '' }, clientId);
    await shop.events.addPlayer(id, eventId, clientId, PLAYER);
    players.push({ id, clientId });
  }
  const bag = (at: number, count: number) =>
    open.db.transaction(async (transaction) => {
      const player = players[at] ?? { id: '', clientId: '' };
      const records = recordsOf(transaction, shop.id);
      const tags = nextTags(await records.events.tags(eventId), count);
      for (const tag of tags) {
        const racket = await records.rackets.add({
          clientId: player.clientId,
          frameId: null,
          label: 'Frame',
          mark: String(tag),
          notes: '',
        });
        const ticket = await records.tickets.add(randomUUID(), {
          racketId: racket.id,
          promised: '2030-06-03T10:15',
          wish: '',
          condition: '',
        });
        await records.events.addRacket({ ticketId: ticket.id, eventId, playerId: player.id, tag });
      }
    });
  const move = (id: string, onCourt: string | null) =>
    open.db.transaction((transaction) =>
      recordsOf(transaction, shop.id).events.moveCourt(id, onCourt, 'Court 2', 45),
    );
  return { shop, eventId, benchId, players, bag, move };
}

describe('an event', () => {
  it('is changed by one at a time, and counts who plays and what came in', async () => {
    const { shop, eventId, bag } = await withPlayers('Ada', 'Bel');
    await bag(0, 3);
    expect(await shop.events.all()).toMatchObject([
      { name: 'Harbour Open', players: 2, rackets: 3 },
    ]);
    const facts = { ...OPEN, name: 'Harbour Masters' };
    expect(await shop.events.change(eventId, 1, facts)).toBe('saved');
    expect(await shop.events.change(eventId, 1, OPEN)).toBe('changed');
    await shop.events.setRemoved(eventId, true);
    expect(await shop.events.all()).toEqual([]);
    expect(await shop.events.change(eventId, 3, OPEN)).toBe('gone');
  });

  it('never gives a tag out twice, with two bags at two counters at once', async () => {
    const { shop, eventId, bag } = await withPlayers('Ada', 'Bel');
    await Promise.all([bag(0, 4), bag(1, 3), bag(0, 2)]);
    const tags = (await shop.events.rackets(eventId)).map(({ tag }) => tag);
    expect(tags).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
  });
});

describe('a player', () => {
  it('plays once at an event, comes back where they were taken off, and keeps what they want', async () => {
    const { shop, eventId, players } = await withPlayers('Ada');
    const [ada] = players;
    expect(await shop.events.addPlayer(randomUUID(), eventId, ada?.clientId ?? '', PLAYER)).toBe(
      ada?.id,
    );
    await shop.events.setPlayerRemoved(ada?.id ?? '', true);
    expect(await shop.events.players(eventId)).toEqual([]);
    await shop.events.addPlayer(randomUUID(), eventId, ada?.clientId ?? '', PLAYER);
    const [back] = await shop.events.players(eventId);
    expect(back?.orders.orders).toEqual([ORDER]);
  });

  it('has the name of whom they were merged into', async () => {
    const { shop, eventId, players } = await withPlayers('Ada', 'A. Brill');
    const [ada, brill] = players;
    await open.db.transaction((transaction) =>
      recordsOf(transaction, shop.id).clients.merge(ada?.clientId ?? '', brill?.clientId ?? ''),
    );
    const names = (await shop.events.players(eventId)).map(({ name }) => name);
    expect(names).toEqual(['A. Brill', 'A. Brill']);
  });

  it('goes on court later, and what is open of theirs is promised for it, nobody else’s', async () => {
    const { shop, eventId, players, bag, move } = await withPlayers('Ada', 'Bel');
    const [ada] = players;
    await bag(0, 2);
    await bag(1, 1);
    await shop.tickets.withdraw(1, 1, 'not wanted');
    expect(await move(ada?.id ?? '', '2030-06-03T14:00')).toBe(1);
    const promises = (await shop.events.rackets(eventId)).map(({ tag, promised, court }) => [
      tag,
      promised,
      court,
    ]);
    expect(promises).toEqual([
      [2, '2030-06-03T13:15', 'Court 2'],
      [3, '2030-06-03T10:15', ''],
    ]);
    // Nobody knows any more when they play: the promise stays.
    expect(await move(ada?.id ?? '', null)).toBe(0);
    expect((await shop.events.rackets(eventId))[0]?.promised).toBe('2030-06-03T13:15');
  });

  it('is told another court, and what was promised by hand stays as it was', async () => {
    const { shop, eventId, players, bag, move } = await withPlayers('Ada');
    const id = players[0]?.id ?? '';
    await bag(0, 1);
    await move(id, '2030-06-03T14:00');
    const by = { promised: '2030-06-03T11:00' };
    await open.db.update(tickets).set(by).where(eq(tickets.workshopId, shop.id));
    await shop.events.nameCourt(id, 'Court 7');
    expect(await shop.events.rackets(eventId)).toMatchObject([{ ...by, court: 'Court 7' }]);
  });

  it('keeps the bench that they were given first, and is strung there', async () => {
    const { shop, benchId, players, bag } = await withPlayers('Ada');
    const other = randomUUID();
    await shop.benches.add(
      { name: 'Back', machineId: null, hand: 'practised', hours: { week: USUAL_WEEK, others: {} } },
      other,
    );
    await bag(0, 1);
    expect(await shop.events.giveBench(players[0]?.id ?? '', benchId)).toBe(benchId);
    expect(await shop.events.giveBench(players[0]?.id ?? '', other)).toBe(benchId);
    const [ticket] = await shop.benches.ticketsOfDay();
    const past = { times: { tennis: [], badminton: [], squash: [] }, jobs: [] };
    expect(
      ticket && dayJob({ ...ticket, unsuitedBenchIds: [] }, await shop.benches.all(), past).benches,
    ).toEqual([benchId]);
  });
});
