/** What one workshop can see of another: nothing, whatever is asked. */
import { randomUUID } from 'node:crypto';
import { eq, getTableName, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { USUAL_WEEK } from '@/core/queue/hours';
import { NOTHING_SAID } from '@/core/ageing/court';
import { NOTHING_SEEN } from '@/core/reading/seen';
import { invoiceFor } from '@/core/papers/invoice';
import { frameSpec } from '@/core/testing/frame-spec';
import { clientLinksOf, linkAt } from './client-links';
import { openDatabase, type Database, type OpenDatabase } from './connection';
import * as doors from './doors-schema';
import { foundOf } from './found';
import * as day from './day-schema';
import * as ageing from './ageing-schema';
import * as reading from './reading-schema';
import * as tournament from './event-schema';
import * as earlier from './earlier-schema';
import * as papers from './papers-schema';
import { giveRights } from './rights';
import * as stock from './shelf-schema';
import * as records from './schema';
import { newWorkshop, openTestDatabase } from './testing';
import { behindWalls } from './walls';
import { enterWorkshop } from './workshop';

const OWNED = [
  records.clients,
  records.frames,
  records.strings,
  records.machines,
  records.machineChecks,
  records.rackets,
  records.tickets,
  records.benchEvents,
  records.members,
  records.corrections,
  records.devices,
  records.trail,
  papers.photos,
  papers.priceItems,
  papers.invoices,
  papers.invoiceJobs,
  papers.payments,
  papers.clientLinks,
  papers.calendarFeeds,
  earlier.earlierJobs,
  day.benches,
  day.arrangements,
  ageing.bedReadings,
  reading.bedsRead,
  ageing.courtWords,
  ageing.bedsOut,
  tournament.events,
  tournament.eventPlayers,
  tournament.eventRackets,
  stock.stockLengths,
  stock.stockMoves,
  papers.wishes,
  papers.outbox,
] as const;
/** What triggers write and one function asks; the application may not even read them. */
const UNSEEN = [papers.finds, papers.foundWords] as const;
const AT_THE_DOORS = [
  doors.sessions,
  doors.accounts,
  doors.verifications,
  doors.passkeys,
  doors.rateLimits,
  doors.attempts,
] as const;

const invoiceOf = (number: number) =>
  invoiceFor(
    {
      number,
      day: '2026-11-20',
      locale: 'en-GB',
      from: { name: 'W', address: '', country: '', taxNumber: '' },
      to: { name: 'Secret', address: '' },
    },
    [{ number: 1, racket: 'F', price: { currency: 'EUR', taxIncluded: true, lines: [] } }],
  );

let owner: OpenDatabase;
let app: OpenDatabase;
let gate: OpenDatabase;

async function newPerson(db: Database): Promise<string> {
  const [person] = await db
    .insert(doors.people)
    .values({ name: 'Ada', email: `${randomUUID()}@shop.example` })
    .returning({ id: doors.people.id });
  return person?.id ?? '';
}

/** A workshop with a row in every table, and somebody who works in it. */
async function wholeWorkshop() {
  const { db } = owner;
  const { id: workshopId, ...shop } = await newWorkshop(db);
  const personId = await newPerson(db);
  await shop.members.add(personId, 'owner');
  const [clientId, frameId, machineId] = [randomUUID(), randomUUID(), randomUUID()];
  await shop.clients.add({ name: 'Secret', contact: '', tensionUnit: null, notes: '' }, clientId);
  await shop.frames.add(
    { name: 'Frame', spec: frameSpec({ head: [7, 9], throat: [7, 9], tieOff: ['6H'] }) },
    frameId,
  );
  await shop.machines.add({ name: 'Bench', gripperMm: 360 }, machineId);
  await db.insert(records.machineChecks).values({
    id: randomUUID(),
    workshopId,
    machineId,
    day: '2026-11-20',
    askedN: 240,
    measuredN: 239,
  });
  await db.insert(records.strings).values({
    workshopId,
    name: 'String',
    sport: 'tennis',
    family: 'monofilament',
    gaugesMm: [1.25],
    setMm: 12_000,
    setPriceMinor: 900,
    notes: '',
  });
  const racket = await shop.rackets.add({ clientId, frameId, label: 'F', mark: '', notes: '' });
  const ticket = await shop.tickets.add(randomUUID(), {
    racketId: racket.id,
    promised: '2030-01-01T18:00',
    wish: '',
    condition: '',
  });
  await shop.bench.keep(ticket.id, [
    {
      id: randomUUID(),
      bench: randomUUID(),
      plan: '0badcafe',
      at: '2026-11-25T10:00:00.000Z',
      done: 0,
      deed: { kind: 'open' },
      personId,
    },
  ]);
  await shop.tickets.correct(ticket.id, randomUUID(), personId, 'It was 24 kg.');
  await shop.devices.trust('Bench', randomUUID(), personId);
  await shop.photos.add(randomUUID(), ticket.id, personId, {
    caption: '',
    width: 1,
    height: 1,
    image: Buffer.from('image'),
    thumb: Buffer.from('thumb'),
  });
  await shop.priceList.add(randomUUID(), { name: 'Grip', kind: 'grip', unitMinor: 600, taxBp: 0 });
  const invoiced = await shop.invoices.issue(
    randomUUID(),
    personId,
    clientId,
    [ticket.id],
    (number) => invoiceOf(number),
  );
  expect(invoiced).toEqual({ number: 1 });
  await shop.payments.add(personId, {
    id: randomUUID(),
    ticketId: ticket.id,
    day: '2026-11-20',
    way: 'cash',
    amountMinor: 100,
    note: '',
  });
  const token = await shop.clientLinks.ensure(racket.id);
  await shop.calendarFeeds.ensure(personId);
  const [string] = await shop.strings.find('');
  const lengthId = randomUUID();
  await shop.shelf.buy(personId, [lengthId], {
    stringId: string?.id ?? '',
    gaugeMm: 1.25,
    kind: 'set',
    mm: 12_000,
    priceMinor: 900,
    supplier: '',
    place: '',
    day: '2026-11-20',
  });
  await shop.shelf.cut(personId, ticket.id, [{ lengthId, mm: 6000, note: 'mains' }]);
  await shop.benches.add({
    name: 'Bench',
    machineId,
    hand: 'practised',
    hours: { week: USUAL_WEEK, others: {} },
  });
  await shop.benches.setHereFrom(ticket.id, '2029-12-31T10:00');
  await shop.court.say(ticket.id, personId, { ...NOTHING_SAID, note: 'Secret' });
  await shop.bedsRead.add(randomUUID(), racket.id, personId, '2026-11-20T10:00', {
    ...NOTHING_SEEN,
    marks: 'few',
  });
  await shop.readings.add(randomUUID(), ticket.id, personId, {
    takenOn: '2026-11-20T10:00',
    kind: 'tap',
    value: 540,
    massG: null,
    unit: '',
  });
  await db.insert(ageing.bedsOut).values({ racketId: racket.id, workshopId, ticketId: ticket.id });
  const [eventId, playerId] = [randomUUID(), randomUUID()];
  await shop.events.add(
    {
      name: 'Open',
      sport: 'tennis',
      days: { days: { '2030-01-01': [['08:00', '20:00']] } },
      benchIds: [],
      leadMin: 45,
      labourMinor: 2200,
      ownStringMinor: 1800,
      rushMinor: 0,
      rushMin: 0,
      oneBench: true,
      boardNames: false,
    },
    eventId,
  );
  await shop.events.addPlayer(playerId, eventId, clientId, {
    orders: { orders: [] },
    mainStringId: null,
    mainGaugeMm: null,
    crossStringId: null,
    crossGaugeMm: null,
    supplied: true,
    benchId: null,
  });
  await shop.events.addRacket({ ticketId: ticket.id, eventId, playerId, tag: 1 });
  await db.insert(earlier.earlierJobs).values({
    workshopId,
    racketId: racket.id,
    day: '2025-04-07',
    mains: 'String',
    crosses: 'String',
    currency: 'EUR',
    notes: '',
  });
  await shop.clientLinks.wish(racket.id, 'again');
  await shop.outbox.add(personId, {
    id: randomUUID(),
    clientId,
    ticketId: ticket.id,
    kind: 'ready',
    about: '',
    toAddress: 'a@b.example',
    subject: 's',
    text: 't',
  });
  return { workshopId, personId, clientId, ticket, racketId: racket.id, token };
}

beforeAll(async () => {
  owner = await openTestDatabase();
  const rights = await giveRights(owner.db, process.env.TEST_DATABASE_URL ?? '', 'x'.repeat(32));
  expect(rights.apart).toBe(true);
  app = openDatabase(rights.records);
  gate = openDatabase(rights.doors);
});
afterAll(() => Promise.all([owner.close(), app.close(), gate.close()]));

describe('the walls between workshops, as the application’s own role', () => {
  it('own nothing and cannot be gone around', async () => {
    for (const { db } of [app, gate]) {
      const { rows } = await db.execute(
        sql`select rolsuper or rolbypassrls or rolcreaterole or rolcreatedb as more,
                   (select count(*)::int from pg_class where relowner = pg_roles.oid) as owns
              from pg_roles where rolname = current_user`,
      );
      expect(rows).toEqual([{ more: false, owns: 0 }]);
      await expect(
        db.execute(sql`alter table clients disable row level security`),
      ).rejects.toThrow();
      await expect(db.execute(sql`set session authorization orthotens`)).rejects.toThrow();
    }
  });

  it('stand on every table', async () => {
    const { rows } = await owner.db.execute<{ name: string }>(
      sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and not relrowsecurity`,
    );
    expect(rows).toEqual([]);
  });

  it('show a forgotten where nothing outside of a workshop, and its own rows inside', async () => {
    const { workshopId, personId } = await wholeWorkshop();
    await wholeWorkshop();
    for (const table of OWNED) {
      const bare = await app.db.select({ of: table.workshopId }).from(table);
      expect([getTableName(table), bare]).toEqual([getTableName(table), []]);
      const inside = await behindWalls(app.db, { workshopId, personId }, (transaction) =>
        transaction.selectDistinct({ of: table.workshopId }).from(table),
      );
      expect([getTableName(table), inside]).toEqual([getTableName(table), [{ of: workshopId }]]);
    }
    const seen = await behindWalls(app.db, { workshopId, personId }, (transaction) =>
      transaction.select({ id: records.workshops.id }).from(records.workshops),
    );
    expect(seen).toEqual([{ id: workshopId }]);
  });

  it('let nobody write into another workshop, nor take a row over', async () => {
    const [mine, theirs] = [await wholeWorkshop(), await wholeWorkshop()];
    const at = { workshopId: mine.workshopId, personId: mine.personId };
    const row = { contact: '', notes: '', tensionUnit: null, name: 'Intruder' };
    await expect(
      behindWalls(app.db, at, (transaction) =>
        transaction.insert(records.clients).values({ ...row, workshopId: theirs.workshopId }),
      ),
    ).rejects.toThrow();
    const changed = await behindWalls(app.db, at, (transaction) =>
      transaction
        .update(records.clients)
        .set({ name: 'Taken' })
        .where(eq(records.clients.id, theirs.clientId)),
    );
    expect(changed.rowCount).toBe(0);
    await expect(
      behindWalls(app.db, at, (transaction) =>
        transaction
          .update(records.clients)
          .set({ workshopId: theirs.workshopId })
          .where(eq(records.clients.id, mine.clientId)),
      ),
    ).rejects.toThrow();
    expect(await enterWorkshop(app.db, { ...at, workshopId: theirs.workshopId })).toBeUndefined();
    expect((await enterWorkshop(app.db, at))?.role).toBe('owner');
  });

  it('let nothing that was issued, paid or photographed be changed', async () => {
    const { workshopId, personId } = await wholeWorkshop();
    for (const harm of [
      sql`update invoices set total_minor = 1`,
      sql`delete from invoices`,
      sql`update payments set amount_minor = 1`,
      sql`delete from payments`,
      sql`delete from invoice_jobs`,
      sql`update photos set image = ''`,
      sql`update client_links set token = 'guessed'`,
    ])
      await expect(
        behindWalls(app.db, { workshopId, personId }, (transaction) => transaction.execute(harm)),
      ).rejects.toThrow();
  });

  it('open a client’s address to one racket and nothing else, until it is withdrawn', async () => {
    const mine = await wholeWorkshop();
    const outside = (token: string) =>
      behindWalls(app.db, {}, (transaction) => linkAt(transaction, token));
    expect(await outside(mine.token)).toEqual({
      workshopId: mine.workshopId,
      racketId: mine.racketId,
    });
    expect(
      await outside(mine.token.replace(/.$/, (end) => (end === 'A' ? 'B' : 'A'))),
    ).toBeUndefined();
    expect(await outside('%')).toBeUndefined();
    // Nobody outside can ask which addresses there are.
    const seen = await behindWalls(app.db, {}, (transaction) =>
      transaction.select({ token: papers.clientLinks.token }).from(papers.clientLinks),
    );
    expect(seen).toEqual([]);
    await behindWalls(app.db, mine, (transaction) =>
      clientLinksOf(transaction, mine.workshopId).withdraw(mine.racketId),
    );
    expect(await outside(mine.token)).toBeUndefined();
  });

  it('let search find what is inside, and nothing of another workshop', async () => {
    const [mine, theirs] = [await wholeWorkshop(), await wholeWorkshop()];
    for (const table of UNSEEN) await expect(app.db.select().from(table)).rejects.toThrow();
    const found = await behindWalls(app.db, mine, (transaction) =>
      foundOf(transaction).find({ words: ['secret'], days: undefined, tension: undefined }),
    );
    expect(found.map(({ kind }) => kind)).toEqual(['ticket', 'job', 'client', 'racket']);
    expect(found.map(({ rowId }) => rowId)).not.toContain(theirs.clientId);
    const nowhere = await behindWalls(app.db, {}, (transaction) =>
      foundOf(transaction).find({ words: ['secret'], days: undefined, tension: undefined }),
    );
    expect(nowhere).toEqual([]);
  });

  it('keep what is behind a workshop apart from who somebody is', async () => {
    const { workshopId, personId } = await wholeWorkshop();
    for (const table of AT_THE_DOORS) {
      await expect(app.db.select().from(table)).rejects.toThrow();
      await expect(
        behindWalls(app.db, { workshopId, personId }, (transaction) =>
          transaction.select().from(table),
        ),
      ).rejects.toThrow();
    }
    for (const table of OWNED) await expect(gate.db.select().from(table)).rejects.toThrow();
    // A name is all that the records know of a person, and of their own people only.
    await expect(app.db.select().from(doors.people)).rejects.toThrow();
    const names = await behindWalls(app.db, { workshopId, personId }, (transaction) =>
      transaction.select({ id: doors.people.id }).from(doors.people),
    );
    expect(names).toEqual([{ id: personId }]);
  });

  it('show a person every workshop that they belong to, and no other', async () => {
    const [one, two] = [await wholeWorkshop(), await wholeWorkshop()];
    await behindWalls(owner.db, {}, (transaction) =>
      transaction
        .insert(records.members)
        .values({ workshopId: two.workshopId, personId: one.personId, role: 'counter' }),
    );
    const seen = await behindWalls(app.db, { personId: one.personId }, (transaction) =>
      transaction.select({ id: records.workshops.id }).from(records.workshops),
    );
    expect(new Set(seen.map(({ id }) => id))).toEqual(new Set([one.workshopId, two.workshopId]));
  });
});

describe('the trail', () => {
  it('says who changed what and when, of itself', async () => {
    const { workshopId, personId, clientId } = await wholeWorkshop();
    const open = await enterWorkshop(app.db, { workshopId, personId });
    const client = await open?.clients.get(clientId);
    expect(client?.name).toBe('Secret');
    await open?.clients.change(clientId, client?.version ?? 0, {
      name: 'Found out',
      contact: '',
      tensionUnit: null,
      notes: '',
    });
    await open?.clients.setRemoved(clientId, true);
    const [removed, changed, added] = (await open?.trail.of('clients', clientId)) ?? [];
    expect(changed).toMatchObject({
      who: 'Ada',
      deed: 'changed',
      changes: { name: ['Secret', 'Found out'] },
    });
    expect(removed).toMatchObject({ who: 'Ada', deed: 'removed' });
    // The owner of the tables made it, by a command.
    expect(added).toMatchObject({ who: null, deed: 'added' });
  });

  it('is only added to, by the application and by the owner of the tables alike', async () => {
    const { workshopId, personId } = await wholeWorkshop();
    const at = { workshopId, personId };
    for (const harm of [
      sql`delete from trail`,
      sql`update trail set person_id = null`,
      sql`insert into trail (workshop_id, about, row_id, deed, changes) values (${workshopId}, 'clients', ${randomUUID()}, 'added', '{}')`,
      sql`truncate trail`,
    ])
      await expect(
        behindWalls(app.db, at, (transaction) => transaction.execute(harm)),
      ).rejects.toThrow();
    await expect(owner.db.execute(sql`delete from trail`)).rejects.toMatchObject({
      cause: { message: 'The trail is only added to.' },
    });
  });

  it('never holds a code, nor a whole document', async () => {
    const { workshopId, personId } = await wholeWorkshop();
    const open = await enterWorkshop(app.db, { workshopId, personId });
    await open?.members.setCode(personId, 'a hash');
    const [entry] = (await open?.trail.latest(1)) ?? [];
    expect(entry).toMatchObject({ about: 'members', changes: { code_hash: null } });
  });
});

it('a server that has one role only binds its owner to the walls', async () => {
  const url = new URL(process.env.TEST_DATABASE_URL ?? '');
  const name = `single_${randomUUID().slice(0, 8)}`;
  await owner.db.execute(sql.raw(`create role ${name} login password 'single'`));
  await owner.db.execute(sql.raw(`create database ${name} owner ${name}`));
  url.pathname = `/${name}`;
  url.username = name;
  url.password = 'single';
  const [{ migrateDatabase }, command, page] = [
    await import('./migrate'),
    openDatabase(url.toString(), 'command'),
    openDatabase(url.toString()),
  ];
  try {
    await migrateDatabase(command.db);
    const rights = await giveRights(command.db, url.toString(), '');
    expect(rights).toEqual({ records: url.toString(), doors: url.toString(), apart: false });
    const shop = await newWorkshop(command.db);
    await shop.clients.add(
      { name: 'Secret', contact: '', tensionUnit: null, notes: '' },
      randomUUID(),
    );
    expect(await command.db.$count(records.clients)).toBe(1);
    expect(await page.db.$count(records.clients)).toBe(0);
    const inside = await behindWalls(page.db, { workshopId: shop.id }, (transaction) =>
      transaction.$count(records.clients),
    );
    expect(inside).toBe(1);
  } finally {
    await Promise.all([command.close(), page.close()]);
    await owner.db.execute(sql.raw(`drop database ${name} with (force)`));
    await owner.db.execute(sql.raw(`drop role ${name}`));
  }
});
