/** What is measured of beds and said of them, who is due, and who is reminded. */
import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOTHING_SAID } from '@/core/ageing/court';
import { SILENT } from '@/core/advice/talk';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { drawnOf } from '@/core/record/drawn';
import { ALL_GOOD } from '@/core/reading/last-look';
import { NOTHING_SEEN } from '@/core/reading/seen';
import { recordOf } from '@/core/testing/records';
import { usual } from '@/core/testing/usual';
import type { OpenDatabase } from './connection';
import { clients, rackets } from './racket-schema';
import { workshops } from './workshop-schema';
import { newPerson, newWorkshop, openTestDatabase } from './testing';

let open: OpenDatabase;
let person = '';
beforeAll(async () => {
  open = await openTestDatabase();
  person = await newPerson(open.db, 'Ada');
});
afterAll(() => open.close());

async function withBed() {
  const shop = await newWorkshop(open.db);
  const clientId = randomUUID();
  await shop.clients.add(
    { name: 'Bel', contact: 'bel@court.example', tensionUnit: null, notes: '' },
    clientId,
  );
  const racket = await shop.rackets.add({
    clientId,
    frameId: null,
    label: 'Frame',
    mark: '',
    notes: '',
  });
  const job = async () => {
    const ticket = await shop.tickets.add(randomUUID(), {
      racketId: racket.id,
      promised: '2030-01-01T18:00',
      wish: '',
      condition: '',
    });
    const record = recordOf();
    await shop.tickets.close(ticket.number, 1, {
      labourMinor: 1800,
      stringMinor: 900,
      toPayMinor: 2700,
      collectedAt: new Date(),
      record,
      drawn: drawnOf(usual.job),
    });
    return ticket;
  };
  return { shop, clientId, racket, ticket: await job(), job };
}

const tap = (value: number, takenOn: string) =>
  ({ takenOn, kind: 'tap', value, massG: null, unit: '' }) as const;

describe('readings', () => {
  it('are kept once, in the order in which they were taken, and can be taken back', async () => {
    const { shop, ticket, racket } = await withBed();
    const [first, second] = [randomUUID(), randomUUID()];
    await shop.readings.add(first, ticket.id, person, tap(560, '2030-01-20T12:00'));
    await shop.readings.add(second, ticket.id, person, tap(600, '2030-01-02T12:00'));
    await shop.readings.add(first, ticket.id, person, tap(1, '2030-01-20T12:00'));
    const values = async () =>
      (await shop.readings.ofTickets([ticket.id])).map(({ value, who }) => [value, who]);
    expect(await values()).toEqual([
      [600, 'Ada'],
      [560, 'Ada'],
    ]);
    expect([...(await shop.readings.measuredRackets())]).toEqual([racket.id]);
    await shop.readings.setRemoved(first, true);
    expect(await values()).toEqual([[600, 'Ada']]);
    expect(await shop.readings.ofTickets([])).toEqual([]);
  });
});

describe('how a bed played', () => {
  it('is one word a job, and what is said later stands', async () => {
    const { shop, ticket } = await withBed();
    await shop.court.say(ticket.id, null, { ...NOTHING_SAID, faults: ['launches'], again: 'no' });
    await shop.court.say(ticket.id, person, { ...NOTHING_SAID, again: 'yes', note: 'after all' });
    expect(await shop.court.ofTickets([ticket.id])).toMatchObject([
      { faults: [], again: 'yes', note: 'after all' },
    ]);
  });

  it('tells how long a string lasts here', async () => {
    const { shop, job } = await withBed();
    expect(await shop.jobs.lasting(randomUUID())).toEqual({
      beds: 0,
      days: null,
      early: 0,
      hours: null,
    });
    await job();
    expect(await shop.jobs.cameAgain(new Date(0), 9)).toHaveLength(1);
  });
});

describe('the beds that are out', () => {
  const EDITION = 3;
  const ahead = { day: '2030-03-01', by: 'by the curve' } as const;
  /** A bed of a new workshop whose day is worked out, and what asks whether it is known still. */
  async function workedOut() {
    const made = await withBed();
    const { bedsOut } = made.shop;
    const open = () => bedsOut.toWorkOut(EDITION, 10);
    const workOut = async () =>
      bedsOut.keep(
        EDITION,
        (await open()).map((bed) => ({ ...bed, due: ahead })),
      );
    expect(await workOut()).toBe(1);
    const isKnown = async () => (await open()).length === 0 && (await due(made.shop)).count === 1;
    expect(await isKnown()).toBe(true);
    return { ...made, isKnown, workOut };
  }
  const due = (shop: Awaited<ReturnType<typeof withBed>>['shop']) =>
    shop.bedsOut.countDue('2030-01-01', '2030-12-31', '2030-02-01');

  it('are one a racket, with what their day hangs on', async () => {
    const { shop, racket, job } = await withBed();
    await job();
    const beds = await shop.bedsOut.toWorkOut(EDITION, 10);
    expect(beds).toMatchObject([{ racketId: racket.id, playsAWeek: null, heat: 'usual' }]);
    await shop.bedsOut.keep(
      EDITION,
      beds.map((bed) => ({ ...bed, due: ahead })),
    );
    expect(await shop.bedsOut.due('2030-01-01', '2030-12-31', 10)).toMatchObject([
      { number: 2, client: 'Bel', racket: 'Frame', due: ahead },
    ]);
    expect(await shop.bedsOut.due('2030-03-02', '2030-12-31', 10)).toEqual([]);
    expect(await shop.bedsOut.countDue('2030-01-01', '2030-03-01', '2030-03-01')).toEqual({
      count: 1,
      by: 1,
    });
    expect(await due(shop)).toEqual({ count: 1, by: 0 });
  });

  it('lose their day when something changes that it hangs on', async () => {
    const { shop, clientId, racket, ticket, isKnown, workOut } = await workedOut();
    const changes: readonly (() => Promise<unknown>)[] = [
      () => shop.readings.add(randomUUID(), ticket.id, person, tap(560, '2030-01-20T12:00')),
      () => open.db.update(rackets).set({ heat: 'hot' }).where(eq(rackets.id, racket.id)),
      () =>
        open.db
          .update(clients)
          .set({ talk: { ...SILENT, playsAWeek: 4 } })
          .where(eq(clients.id, clientId)),
      () =>
        open.db
          .update(workshops)
          .set({ houseRules: { ...USUAL_HOUSE, comeBack: 'twice a year' } })
          .where(eq(workshops.id, shop.id)),
      () =>
        open.db.update(workshops).set({ timeZone: 'Asia/Tokyo' }).where(eq(workshops.id, shop.id)),
    ];
    for (const change of changes) {
      await change();
      expect(await isKnown()).toBe(false);
      await workOut();
      expect(await isKnown()).toBe(true);
    }
    // What it does not hang on leaves it.
    await open.db.update(clients).set({ notes: 'pays late' }).where(eq(clients.id, clientId));
    await open.db.update(workshops).set({ name: 'Another' }).where(eq(workshops.id, shop.id));
    expect(await isKnown()).toBe(true);
    // Rules of a later edition are worked out again.
    expect(await shop.bedsOut.toWorkOut(EDITION + 1, 10)).toHaveLength(1);
  });

  it('do not keep a day that was worked out from what has changed meanwhile', async () => {
    const { shop, racket } = await withBed();
    const before = await shop.bedsOut.toWorkOut(EDITION, 10);
    await open.db.update(rackets).set({ heat: 'hot' }).where(eq(rackets.id, racket.id));
    expect(
      await shop.bedsOut.keep(
        EDITION,
        before.map((bed) => ({ ...bed, due: ahead })),
      ),
    ).toBe(0);
    expect(await shop.bedsOut.toWorkOut(EDITION, 10)).toMatchObject([{ heat: 'hot' }]);
  });

  it('are not out while their racket is here, after it went, or was strung elsewhere', async () => {
    const { shop, clientId, racket } = await workedOut();
    const isOut = async () => (await shop.bedsOut.toWorkOut(EDITION + 1, 10)).length === 1;
    await shop.rackets.strungElsewhere(racket.id, '2031-01-05');
    expect(await isOut()).toBe(false);
    await shop.rackets.strungElsewhere(racket.id, null);
    expect(await isOut()).toBe(true);
    const ticket = await shop.tickets.add(randomUUID(), {
      racketId: racket.id,
      promised: '2030-01-01T18:00',
      wish: '',
      condition: '',
    });
    expect(await isOut()).toBe(false);
    await shop.tickets.withdraw(ticket.number, 1, 'not wanted');
    expect(await isOut()).toBe(true);
    await open.db.update(clients).set({ removedAt: new Date() }).where(eq(clients.id, clientId));
    expect(await isOut()).toBe(false);
  });
});

describe('a reminder', () => {
  const letter = (clientId: string, ticketId: string) => ({
    id: randomUUID(),
    clientId,
    ticketId,
    toAddress: 'bel@court.example',
    subject: 's',
    text: 't',
  });

  it('goes to a client once a month, with two servers that write at the same moment', async () => {
    const { shop, clientId, ticket } = await withBed();
    const remind = (now = new Date()) =>
      shop.together((records) =>
        records.outbox.addReminder(person, letter(clientId, ticket.id), now),
      );
    const both = await Promise.all([remind(), remind(), remind()]);
    expect(both.toSorted()).toEqual(['kept', 'known', 'known']);
    expect((await shop.outbox.remindedAt()).has(clientId)).toBe(true);
    // A month later there may be another.
    expect(await remind(new Date(Date.now() + 31 * 24 * 60 * 60 * 1000))).toBe('kept');
  });

  it('is overtaken where the racket came in again, unless that was withdrawn', async () => {
    const { shop, racket, ticket } = await withBed();
    const about = { ticketId: ticket.id };
    expect(await shop.outbox.isOvertaken(about)).toBe(false);
    const next = await shop.tickets.add(randomUUID(), {
      racketId: racket.id,
      promised: '2030-02-01T18:00',
      wish: '',
      condition: '',
    });
    expect(await shop.outbox.isOvertaken(about)).toBe(true);
    await shop.tickets.withdraw(next.number, 1, 'not wanted');
    expect(await shop.outbox.isOvertaken(about)).toBe(false);
  });

  it('is counted with what it brought', async () => {
    const { shop, clientId, racket, ticket } = await withBed();
    await shop.together((records) =>
      records.outbox.addReminder(person, letter(clientId, ticket.id), new Date()),
    );
    const held = await shop.together((records) => records.outbox.hold(new Date()));
    await shop.outbox.sent(held?.id ?? '', 'ada@court.example');
    expect(await shop.outbox.broughtByReminders()).toEqual({ sent: 1, came: 0 });
    await shop.tickets.add(randomUUID(), {
      racketId: racket.id,
      promised: '2030-02-01T18:00',
      wish: '',
      condition: '',
    });
    expect(await shop.outbox.broughtByReminders()).toEqual({ sent: 1, came: 1 });
  });
});

describe('a finished bed', () => {
  it('keeps what was seen once, the latest first, until it is taken back', async () => {
    const { shop, racket } = await withBed();
    const [first, second] = [randomUUID(), randomUUID()];
    const marks = { ...NOTHING_SEEN, marks: 'few' } as const;
    for (let sent = 0; sent < 2; sent++)
      await shop.bedsRead.add(first, racket.id, person, '2026-11-20T10:00', NOTHING_SEEN);
    await shop.bedsRead.add(second, racket.id, person, '2026-11-21T10:00', marks);
    expect(await shop.bedsRead.ofRacket(racket.id)).toMatchObject([
      { id: second, seen: marks, who: 'Ada' },
      { id: first, seen: NOTHING_SEEN },
    ]);
    await shop.bedsRead.setRemoved(second, true);
    expect((await shop.bedsRead.ofRacket(racket.id)).map(({ id }) => id)).toEqual([first]);
    // Another workshop sees nothing of it, and takes nothing back.
    const other = await newWorkshop(open.db);
    await other.bedsRead.setRemoved(first, true);
    expect(await other.bedsRead.ofRacket(racket.id)).toEqual([]);
    expect(await shop.bedsRead.ofRacket(racket.id)).toHaveLength(1);
  });

  it('has a last look while its job is open, and none is written over a closed one', async () => {
    const { shop, racket, job } = await withBed();
    const open = await shop.tickets.add(randomUUID(), {
      racketId: racket.id,
      promised: '2030-01-01T18:00',
      wish: '',
      condition: '',
    });
    const mended = { ...ALL_GOOD, weave: 'mended' } as const;
    await shop.tickets.keepLastLook(open.id, mended);
    const kept = await shop.tickets.get(open.number);
    // It counts as no edit, so a hand-over that stands open is not refused for it.
    expect([kept?.lastLook, kept?.version]).toEqual([mended, 1]);
    expect(await shop.tickets.lastLooks()).toEqual([]);
    const closed = await job();
    await shop.tickets.keepLastLook(closed.id, mended);
    expect((await shop.tickets.get(closed.number))?.lastLook).toBeNull();
  });
});
