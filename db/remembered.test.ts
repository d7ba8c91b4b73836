/** What is kept of the talk, the house rules and the advice, and the library that comes in by table. */
import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { adviceRecordSchema, recordAdvice } from '@/core/advice/record';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { SILENT } from '@/core/advice/talk';
import { adviceCase, shelfString, ticketOf } from '@/core/testing/advice-case';
import type { StringFacts } from '@/core/strings/string-facts';
import type { Database, OpenDatabase } from './connection';
import { strings } from './racket-schema';
import { workshops } from './workshop-schema';
import { newWorkshop, openTestDatabase } from './testing';

let open: OpenDatabase;
let db: Database;

beforeAll(async () => {
  open = await openTestDatabase();
  db = open.db;
});
afterAll(() => open.close());

const string = (changes: Partial<StringFacts> = {}): StringFacts => ({
  name: 'Weft',
  sport: 'tennis',
  family: 'multifilament',
  subKind: '',
  shape: 'round',
  colour: '',
  gaugesMm: [1.25],
  setMm: 12_200,
  setPriceMinor: 1500,
  reelMm: null,
  reelPriceMinor: null,
  massGPerM: null,
  stretch: null,
  lifeHours: null,
  holding: null,
  notFor: ['juniors'],
  notes: '',
  ...changes,
});

async function withTicket() {
  const bench = await newWorkshop(db);
  const clientId = randomUUID();
  await bench.clients.add({ name: 'Ada', contact: '', tensionUnit: null, notes: '' }, clientId);
  const racket = await bench.rackets.add({
    clientId,
    frameId: null,
    label: 'F',
    mark: '',
    notes: '',
  });
  const ticket = await bench.tickets.add(randomUUID(), {
    racketId: racket.id,
    promised: '2030-01-01T18:00',
    wish: '',
    condition: '',
  });
  return { bench, clientId, racket, ticket };
}

describe('what a client said', () => {
  it('is kept with client and racket, and makes no open form on them late', async () => {
    const { bench, clientId, racket } = await withTicket();
    const talk = { ...SILENT, arm: 'now' as const, wants: ['comfort' as const] };
    const build = { ...SILENT.racket, weightG: 305 };
    await bench.clients.remember(clientId, talk);
    await bench.rackets.remember(racket.id, build);
    expect(await bench.clients.get(clientId)).toMatchObject({ talk, version: 1 });
    expect(await bench.rackets.get(racket.id)).toMatchObject({ build, version: 1 });
  });

  it('stays in its workshop', async () => {
    const { bench, clientId, racket } = await withTicket();
    const other = await newWorkshop(db);
    await other.clients.remember(clientId, SILENT);
    await other.rackets.remember(racket.id, SILENT.racket);
    expect((await bench.clients.get(clientId))?.talk).toBeNull();
    expect((await bench.rackets.get(racket.id))?.build).toBeNull();
  });
});

describe('the advice of a ticket', () => {
  it('comes back as it was, and the same saved twice is saved', async () => {
    const { bench, ticket } = await withTicket();
    const soft = { string: shelfString({ name: 'Weft' }), gaugeMm: 1.25 };
    const about = adviceCase({ talk: { arm: 'before' } });
    const tension = ticketOf(23.5, 23.5, 'kg');
    const advice = recordAdvice(about, { mains: soft, crosses: soft }, tension, {
      altitude: false,
    });
    expect(await bench.tickets.change(ticket.number, 1, { advice })).toBe('saved');
    expect(await bench.tickets.change(ticket.number, 1, { advice })).toBe('saved');
    const kept = (await bench.tickets.get(ticket.number))?.advice;
    expect(adviceRecordSchema.parse(kept)).toEqual(advice);
  });
});

describe('house rules', () => {
  it('are the workshop’s own, and late where somebody changed the workshop meanwhile', async () => {
    const bench = await newWorkshop(db);
    const other = await newWorkshop(db);
    const houseRules = { ...USUAL_HOUSE, stiffFrame: 'up' as const };
    expect(await bench.changeWorkshop(1, { houseRules })).toBe('saved');
    expect(await bench.changeWorkshop(1, { houseRules })).toBe('saved');
    expect(await bench.changeWorkshop(1, { houseRules: USUAL_HOUSE })).toBe('changed');
    const rulesOf = async (id: string) =>
      (await db.select().from(workshops).where(eq(workshops.id, id)))[0]?.houseRules;
    expect(await rulesOf(bench.id)).toEqual(houseRules);
    expect(await rulesOf(other.id)).toBeNull();
  });
});

describe('a table that comes in', () => {
  it('adds what is new and changes what is there, by name and sport, once', async () => {
    const bench = await newWorkshop(db);
    await bench.strings.add(string());
    await bench.strings.add(string({ sport: 'squash' }));
    for (let twice = 0; twice < 2; twice++) {
      await bench.strings.bring(string({ name: 'WEFT', setPriceMinor: 1750 }));
      await bench.strings.bring(string({ name: 'Warp' }));
    }
    const found = await bench.strings.find('');
    expect(
      found.map(({ name, sport, setPriceMinor }) => `${name} ${sport} ${setPriceMinor}`).sort(),
    ).toEqual(['WEFT tennis 1750', 'Warp tennis 1500', 'Weft squash 1500']);
  });

  it('leaves another workshop’s string of the same name alone', async () => {
    const [bench, other] = [await newWorkshop(db), await newWorkshop(db)];
    await other.strings.add(string());
    await bench.strings.bring(string({ setPriceMinor: 1 }));
    expect((await other.strings.find(''))[0]?.setPriceMinor).toBe(1500);
  });

  it('holds a reel with its price, and nothing by halves', async () => {
    const bench = await newWorkshop(db);
    await bench.strings.add(string({ reelMm: 200_000, reelPriceMinor: 9900 }));
    await expect(
      db.execute(sql`update ${strings} set reel_price_minor = null where reel_mm is not null`),
    ).rejects.toThrow();
    expect((await bench.strings.find(''))[0]).toMatchObject({
      reelMm: 200_000,
      notFor: ['juniors'],
    });
  });
});
