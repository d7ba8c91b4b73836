/** Tournaments: who plays, whose rackets are promised for when, and how tags are given out. */
import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { dayJob } from '@/core/queue/day';
import { USUAL_WEEK } from '@/core/queue/hours';
import { nextTags } from '@/core/tournament/court';
import { newtons } from '@/core/measure/units';
import type { OpenDatabase } from './connection';
import type { PlayerFacts } from './events';
import { EVENT, newWorkshop, openTestDatabase, PLAYER } from './testing';
import { tickets } from './ticket-schema';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

const ORDER = {
  count: 2,
  tension: { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' },
  when: 'every morning',
} as const;
const ORDERING: PlayerFacts = { ...PLAYER, orders: { orders: [ORDER] } };

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
  await shop.events.add({ ...EVENT, benchIds: [benchId] }, eventId);
  const players: { readonly id: string; readonly clientId: string }[] = [];
  for (const name of names) {
    const [clientId, id] = [randomUUID(), randomUUID()];
    await shop.clients.add({ name, contact: '', tensionUnit: null, notes: '' }, clientId);
    await shop.events.addPlayer(id, eventId, clientId, ORDERING);
    players.push({ id, clientId });
  }
  const bag = (at: number, count: number) =>
    shop.together(async (records) => {
      const player = players[at] ?? { id: '', clientId: '' };
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
    shop.together((records) => records.events.moveCourt(id, onCourt, 'Court 2', 45));
  return { shop, eventId, benchId, players, bag, move };
}

describe('an event', () => {
  it('is changed by one at a time, and counts who plays and what came in', async () => {
    const { shop, eventId, bag } = await withPlayers('Ada', 'Bel');
    await bag(0, 3);
    expect(await shop.events.all()).toMatchObject([
      { name: 'Harbour Open', players: 2, rackets: 3 },
    ]);
    const facts = { ...EVENT, name: 'Harbour Masters' };
    expect(await shop.events.change(eventId, 1, facts)).toBe('saved');
    expect(await shop.events.change(eventId, 1, EVENT)).toBe('changed');
    await shop.events.setRemoved(eventId, true);
    expect(await shop.events.all()).toEqual([]);
    expect(await shop.events.change(eventId, 3, EVENT)).toBe('gone');
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
    expect(await shop.events.addPlayer(randomUUID(), eventId, ada?.clientId ?? '', ORDERING)).toBe(
      ada?.id,
    );
    await shop.events.setPlayerRemoved(ada?.id ?? '', true);
    expect(await shop.events.players(eventId)).toEqual([]);
    await shop.events.addPlayer(randomUUID(), eventId, ada?.clientId ?? '', ORDERING);
    const [back] = await shop.events.players(eventId);
    expect(back?.orders.orders).toEqual([ORDER]);
  });

  it('has the name of whom they were merged into', async () => {
    const { shop, eventId, players } = await withPlayers('Ada', 'A. Brill');
    const [ada, brill] = players;
    await shop.together((records) =>
      records.clients.merge(ada?.clientId ?? '', brill?.clientId ?? ''),
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

  it('are strung at the bench that they are given, anew when it is given anew, and always at the one that they want', async () => {
    const { shop, benchId, players, bag } = await withPlayers('Ada');
    const other = randomUUID();
    await shop.benches.add(
      { name: 'Back', machineId: null, hand: 'practised', hours: { week: USUAL_WEEK, others: {} } },
      other,
    );
    await bag(0, 1);
    const id = players[0]?.id ?? '';
    const past = { times: { tennis: [], badminton: [], squash: [] }, jobs: [] };
    const strungAt = async () => {
      const [ticket] = await shop.benches.ticketsOfDay();
      expect(ticket?.playerId).toBe(id);
      const all = await shop.benches.all();
      return ticket && dayJob({ ...ticket, unsuitedBenchIds: [] }, all, past).benches;
    };
    await shop.events.giveBench(id, benchId);
    expect(await strungAt()).toEqual([benchId]);
    await shop.events.giveBench(id, other);
    expect(await strungAt()).toEqual([other]);
    const player = await shop.events.player(id);
    expect(player).toMatchObject({ benchId: null, bench: 'Back' });
    await shop.events.changePlayer(id, player?.version ?? 0, { ...ORDERING, benchId });
    expect(await strungAt()).toEqual([benchId]);
  });
});
