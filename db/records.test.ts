import { randomUUID } from 'node:crypto';
import { count, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { studyFrame } from '@/core/frame/bed';
import { drawnOf } from '@/core/record/drawn';
import { usualJob } from '@/core/testing/jobs';
import { jobRecordSchema, recordJob } from '@/core/record/record';
import { frameSpec } from '@/core/testing/frame-spec';
import { newtons } from '@/core/measure/units';
import type { Database, OpenDatabase } from './connection';
import { fillWithDemo } from './demo/fill';
import { migrateDatabase } from './migrate';
import { clients, frames, strings } from './racket-schema';
import { tickets } from './ticket-schema';
import { workshops } from './workshop-schema';
import { newPerson, newWorkshop, openTestDatabase } from './testing';
import { recordsOf } from './workshop';

let open: OpenDatabase;
let db: Database;

beforeAll(async () => {
  open = await openTestDatabase();
  db = open.db;
});
afterAll(() => open.close());

const SPEC = frameSpec({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
const ASKED = { promised: '2030-01-01T18:00', wish: '', condition: '' };

async function withTicket() {
  const bench = await newWorkshop(db);
  const [clientId, frameId, requestKey] = [randomUUID(), randomUUID(), randomUUID()];
  await bench.clients.add({ name: 'Ada', contact: '', tensionUnit: null, notes: '' }, clientId);
  await bench.frames.add({ name: 'Frame', spec: SPEC }, frameId);
  const racket = await bench.rackets.add({
    clientId,
    frameId,
    label: 'Frame',
    mark: 'A1',
    notes: '',
  });
  const ticket = await bench.tickets.add(requestKey, { racketId: racket.id, ...ASKED });
  return { bench, clientId, frameId, racket, ticket, requestKey };
}

function doneJob() {
  const { bed } = studyFrame(SPEC);
  if (!bed) throw new Error('no bed');
  return usualJob({ bed });
}

function record(client = 'Ada', leftOverMm: readonly (number | null)[] = []) {
  return recordJob({
    job: doneJob(),
    client,
    racket: { frameName: 'Frame', mark: 'A1' },
    advice: null,
    leftOverMm,
    bench: null,
    remarks: '',
    inspection: null,
    price: null,
    machine: null,
    dial: null,
    closing: null,
    strung: null,
    hands: null,
  });
}

const PRICED = { labourMinor: 0, stringMinor: 0, toPayMinor: 0, collectedAt: null };

describe('a workshop', () => {
  it('cannot see, change or remove what belongs to another', async () => {
    const { clientId, frameId, racket, ticket, requestKey } = await withTicket();
    const other = await newWorkshop(db);
    expect(await other.clients.get(clientId)).toBeUndefined();
    expect(await other.clients.find('')).toEqual([]);
    expect(await other.frames.get(frameId)).toBeUndefined();
    expect(await other.rackets.get(racket.id)).toBeUndefined();
    expect(await other.rackets.find('')).toEqual([]);
    expect(await other.tickets.get(ticket.number)).toBeUndefined();
    expect(await other.tickets.byRequest([requestKey])).toEqual([]);
    expect(await other.tickets.open()).toEqual([]);
    expect(
      await other.clients.change(clientId, 1, {
        name: 'X',
        contact: '',
        tensionUnit: null,
        notes: '',
      }),
    ).toBe('gone');
    await other.clients.setRemoved(clientId, true);
    const [row] = await db.select().from(clients).where(eq(clients.id, clientId));
    expect(row).toMatchObject({ name: 'Ada', removedAt: null });
  });

  it('cannot put its racket under another’s client: the database itself refuses', async () => {
    const { clientId } = await withTicket();
    const other = await newWorkshop(db);
    await expect(
      other.rackets.add({ clientId, frameId: null, label: 'x', mark: '', notes: '' }),
    ).rejects.toThrow();
  });

  it('numbers its tickets by itself, from 1, without gaps under a rush', async () => {
    const { bench, racket } = await withTicket();
    await Promise.all(
      Array.from({ length: 12 }, () =>
        bench.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED }),
      ),
    );
    const numbers = (await bench.tickets.open()).map(({ number }) => number).sort((a, b) => a - b);
    expect(numbers).toEqual(Array.from({ length: 13 }, (_, i) => i + 1));
  });
});

describe('a form that is sent twice', () => {
  it('adds one client, frame or string', async () => {
    const bench = await newWorkshop(db);
    const id = randomUUID();
    const facts = { name: 'Twice', contact: '', tensionUnit: null, notes: '' };
    await Promise.all([bench.clients.add(facts, id), bench.clients.add(facts, id)]);
    expect(await bench.clients.find('Twice')).toHaveLength(1);
  });
  it('makes one ticket: the second is refused and leaves no gap', async () => {
    const { bench, racket, ticket, requestKey } = await withTicket();
    await expect(
      bench.together((records) =>
        records.tickets.add(requestKey, { racketId: racket.id, ...ASKED }),
      ),
    ).rejects.toThrow();
    expect((await bench.tickets.byRequest([requestKey]))[0]?.number).toBe(ticket.number);
    const next = await bench.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    expect(next.number).toBe(ticket.number + 1);
  });
});

describe('a change', () => {
  const facts = { name: 'New name', contact: '', tensionUnit: null, notes: '' } as const;

  it('is kept once; a form opened before it is told so', async () => {
    const { bench, clientId } = await withTicket();
    expect(await bench.clients.change(clientId, 1, facts)).toBe('saved');
    expect(await bench.clients.change(clientId, 1, { ...facts, name: 'Other' })).toBe('changed');
    expect((await bench.clients.get(clientId))?.name).toBe('New name');
  });
  it('that is sent again after its answer was lost is saved, not refused', async () => {
    const { bench, clientId, frameId, ticket } = await withTicket();
    const frame = { name: 'Twice', spec: frameSpec({ head: [8] }) };
    const asked = { wish: 'softer' };
    for (let i = 0; i < 2; i++) {
      expect(await bench.clients.change(clientId, 1, facts)).toBe('saved');
      expect(await bench.frames.change(frameId, 1, frame)).toBe('saved');
      expect(await bench.tickets.change(ticket.number, 1, asked)).toBe('saved');
    }
    expect((await bench.clients.get(clientId))?.version).toBe(2);
    expect(await bench.tickets.change(ticket.number, 1, { wish: 'harder' })).toBe('changed');
  });
  it('to something removed is told so, and works again after it is put back', async () => {
    const { bench, frameId } = await withTicket();
    await bench.frames.setRemoved(frameId, true);
    expect(await bench.frames.find('')).toEqual([]);
    expect(await bench.frames.change(frameId, 1, { name: 'F', spec: SPEC })).toBe('gone');
    await bench.frames.setRemoved(frameId, false);
    expect(await bench.frames.change(frameId, 3, { name: 'F', spec: SPEC })).toBe('saved');
  });
  it('happens whole or not at all', async () => {
    const { bench } = await withTicket();
    await expect(
      bench.together(async (records) => {
        await records.clients.add({ ...facts, name: 'Half' });
        throw new Error('the other half failed');
      }),
    ).rejects.toThrow('other half');
    expect(await bench.clients.find('Half')).toEqual([]);
  });
});

describe('finding', () => {
  it('takes wildcards, quotes and any script literally', async () => {
    const bench = await newWorkshop(db);
    for (const name of ["Niamh O'Skerry", '100%', 'a_b', 'ليلى', '🎾 Joe', 'back\\slash'])
      await bench.clients.add({ name, contact: '', tensionUnit: null, notes: '' });
    for (const [text, name] of [
      ["o'sk", "Niamh O'Skerry"],
      ['%', '100%'],
      ['_', 'a_b'],
      ['ليل', 'ليلى'],
      ['🎾', '🎾 Joe'],
      ['\\', 'back\\slash'],
    ] as const)
      expect((await bench.clients.find(text)).map((client) => client.name)).toEqual([name]);
    expect(await bench.clients.find("'; drop table clients; --")).toEqual([]);
  });
});

describe('closing a job', () => {
  it('happens once, and later edits of the library leave the record alone', async () => {
    const { bench, frameId, ticket } = await withTicket();
    const drawn = drawnOf(doneJob());
    const closing = { ...PRICED, labourMinor: 1800, stringMinor: 1150, record: record(), drawn };
    const both = await Promise.all([
      bench.tickets.close(ticket.number, 1, closing),
      bench.tickets.close(ticket.number, 1, closing),
    ]);
    // The same closing twice is one closing; another one comes too late.
    expect(both).toEqual(['saved', 'saved']);
    expect((await bench.tickets.get(ticket.number))?.version).toBe(2);
    expect(await bench.tickets.close(ticket.number, 1, { ...closing, labourMinor: 1 })).toBe(
      'changed',
    );
    expect(await bench.tickets.change(ticket.number, 2, { wish: 'too late' })).toBe('changed');
    await bench.frames.change(frameId, 1, { name: 'Renamed', spec: frameSpec({ mains: 18 }) });
    const closed = await bench.tickets.get(ticket.number);
    // What it drew is asked for by itself, and not carried about in lists.
    expect(await bench.tickets.drawn(ticket.number)).toEqual(drawn);
    expect(closed).not.toHaveProperty('drawn');
    const kept = jobRecordSchema.parse(closed?.record);
    expect(kept.racket.frameName).toBe('Frame');
    expect(kept.frame).toEqual(SPEC);
    expect(kept.plan.pieces).toEqual(record().plan.pieces);
  });

  it('keeps a tension as it was typed', async () => {
    const { bench, ticket } = await withTicket();
    await bench.tickets.change(ticket.number, 1, {
      mainN: newtons(55, 'lb'),
      crossN: newtons(53, 'lb'),
      tensionUnit: 'lb',
    });
    expect(await bench.tickets.get(ticket.number)).toMatchObject({
      mainN: newtons(55, 'lb'),
      crossN: newtons(53, 'lb'),
      tensionUnit: 'lb',
    });
  });

  it('teaches by the tails that somebody measured, this workshop only', async () => {
    const { bench, frameId, ticket, racket } = await withTicket();
    const closing = {
      ...PRICED,
      record: record('Ada', [900, null]),
      drawn: drawnOf(doneJob()),
    };
    await bench.tickets.close(ticket.number, 1, closing);
    const second = await bench.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    await bench.tickets.close(second.number, 1, { ...closing, record: record() });
    const past = await bench.tickets.pastPieces('tennis');
    expect(past).toEqual([{ frameId, name: 'mains', difference: expect.any(Number) as number }]);
    expect(await bench.tickets.pastPieces('squash')).toEqual([]);
    expect(await (await newWorkshop(db)).tickets.pastPieces('tennis')).toEqual([]);
  });

  it('remembers what the parts of past jobs took at the bench, this workshop only', async () => {
    const { bench, ticket } = await withTicket();
    const timed = [{ group: 'mains' as const, expectedS: 300, tookS: 400 }];
    const atTheBench = {
      minutes: 30,
      steps: null,
      pulls: [],
      notes: [],
      mishaps: [],
      timed,
      imbalanceN: 462,
    };
    await bench.tickets.close(ticket.number, 1, {
      ...PRICED,
      drawn: drawnOf(doneJob()),
      record: { ...record(), bench: atTheBench },
    });
    expect(await bench.tickets.pastTimes('tennis')).toEqual(timed);
    expect(await bench.tickets.pastTimes('badminton')).toEqual([]);
    expect(await bench.tickets.pastDays()).toEqual({
      times: { tennis: timed, badminton: [], squash: [] },
      jobs: [timed],
    });
    expect(await (await newWorkshop(db)).tickets.pastTimes('tennis')).toEqual([]);
  });

  it('a cut is planned as a whole or not at all', async () => {
    const { bench, ticket } = await withTicket();
    await expect(bench.tickets.change(ticket.number, 1, { method: 'one-piece' })).rejects.toThrow();
    const cut = {
      method: 'one-piece',
      shortSide: 'right',
      crossStart: 'left',
      cutFrom: 'remnant',
      remnantsMm: [10_900],
      machineId: null,
    } as const;
    const facts = { ...cut, remnantsMm: [...cut.remnantsMm] };
    expect(await bench.tickets.change(ticket.number, 1, facts)).toBe('saved');
    expect(await bench.tickets.get(ticket.number)).toMatchObject(facts);
  });

  it('checks of a machine are kept once, removed and put back, and belong to their workshop', async () => {
    const house = await newWorkshop(db);
    const other = await newWorkshop(db);
    const machineId = randomUUID();
    await house.machines.add({ name: 'Ours', gripperMm: 360 }, machineId);
    const check = { id: randomUUID(), day: '2026-11-20', askedN: 235, measuredN: 231 };
    await house.machines.addCheck(machineId, check);
    await house.machines.addCheck(machineId, check);
    const earlier = { ...check, id: randomUUID(), day: '2026-10-20' };
    await house.machines.addCheck(machineId, earlier);
    expect(await house.machines.checks(machineId)).toEqual([earlier, check]);
    expect(await other.machines.checks(machineId)).toEqual([]);
    await expect(
      other.machines.addCheck(machineId, { ...check, id: randomUUID() }),
    ).rejects.toThrow();
    await other.machines.setCheckRemoved(check.id, true);
    expect(await house.machines.checks(machineId)).toHaveLength(2);
    await house.machines.setCheckRemoved(check.id, true);
    expect(await house.machines.checks(machineId)).toEqual([earlier]);
    await house.machines.setCheckRemoved(check.id, false);
    expect(await house.machines.checks(machineId)).toHaveLength(2);
  });

  it('a machine of another workshop is refused', async () => {
    const { bench, ticket } = await withTicket();
    const other = await newWorkshop(db);
    const machineId = randomUUID();
    await other.machines.add({ name: 'Theirs', gripperMm: 300 }, machineId);
    expect(await bench.machines.all()).toEqual([]);
    await expect(bench.tickets.change(ticket.number, 1, { machineId })).rejects.toThrow();
    expect(await other.machines.change(machineId, 1, { name: 'Theirs', gripperMm: 310 })).toBe(
      'saved',
    );
    await other.machines.setRemoved(machineId, true);
    expect(await other.machines.all()).toEqual([]);
    // What goes by it goes on to.
    expect(await other.machines.all(machineId)).toMatchObject([{ name: 'Theirs' }]);
    expect(await bench.machines.all(machineId)).toEqual([]);
  });
});

describe('the demo', () => {
  it('fills an empty workshop once, and never one that is in use', async () => {
    await db.execute('truncate workshops cascade');
    await migrateDatabase(db);
    await fillWithDemo(db);
    const counts = async () =>
      Promise.all(
        [clients, frames, strings, tickets].map(
          async (table) => (await db.select({ n: count() }).from(table))[0]?.n,
        ),
      );
    const first = await counts();
    expect(first[0]).toBe(30);
    expect(first[3]).toBe(406);
    await fillWithDemo(db);
    expect(await counts()).toEqual(first);
    const [workshop] = await db.select().from(workshops);
    const bench = recordsOf(db, workshop?.id ?? '');
    expect(await bench.tickets.open()).toHaveLength(6);
    const kept = await db.select({ record: tickets.record }).from(tickets);
    for (const { record: one } of kept) if (one) jobRecordSchema.parse(one);
  });
});

describe('a ticket that is not wanted any more', () => {
  it('is out of the day with its reason, cannot be changed, and comes back as it was', async () => {
    const { bench, ticket, racket } = await withTicket();
    const { number } = ticket;
    expect(await bench.tickets.withdraw(number, ticket.version, 'cracked')).toBe('saved');
    // Sent twice, its first answer lost on the way.
    expect(await bench.tickets.withdraw(number, ticket.version, 'cracked')).toBe('saved');
    expect(await bench.tickets.open()).toEqual([]);
    expect((await bench.tickets.withdrawn()).map((each) => each.number)).toEqual([number]);
    expect((await bench.rackets.get(racket.id))?.openNumber).toBeNull();
    expect(await bench.tickets.change(number, ticket.version + 1, { wish: 'x' })).toBe('changed');
    expect(await bench.tickets.takeUp(number, ticket.version)).toBe('changed');
    expect(await bench.tickets.takeUp(number, ticket.version + 1)).toBe('saved');
    expect((await bench.tickets.open())[0]).toMatchObject({ number, withdrawnWhy: '' });
  });

  it('is not taken up while its racket is on another ticket', async () => {
    const { bench, ticket, racket } = await withTicket();
    await bench.tickets.withdraw(ticket.number, ticket.version, 'not today');
    const again = await bench.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    expect(await bench.tickets.takeUp(ticket.number, ticket.version + 1)).toEqual({
      on: again.number,
    });
  });

  it('is never closed, and a closed one never withdrawn', async () => {
    const { bench, ticket } = await withTicket();
    const closing = {
      ...PRICED,
      record: record(),
      drawn: drawnOf(doneJob()),
    };
    await bench.tickets.withdraw(ticket.number, ticket.version, 'cracked');
    expect(await bench.tickets.close(ticket.number, ticket.version + 1, closing)).toBe('changed');
    await bench.tickets.takeUp(ticket.number, ticket.version + 1);
    expect(await bench.tickets.close(ticket.number, ticket.version + 2, closing)).toBe('saved');
    expect(await bench.tickets.withdraw(ticket.number, ticket.version + 3, 'late')).toBe('changed');
  });
});

it('a correction is added to a record, once and beside what stands there', async () => {
  const { bench, ticket } = await withTicket();
  const [first, second] = [randomUUID(), randomUUID()];
  const personId = await newPerson(db, 'Ada');
  await bench.tickets.correct(ticket.id, first, personId, 'It was 24 kg.');
  await bench.tickets.correct(ticket.id, first, personId, 'It was 25 kg.');
  await bench.tickets.correct(ticket.id, second, personId, 'And 1.30.');
  const kept = await bench.tickets.corrections(ticket.id);
  expect(kept.map(({ text, who }) => `${who}: ${text}`)).toEqual([
    'Ada: It was 24 kg.',
    'Ada: And 1.30.',
  ]);
  const other = await newWorkshop(db);
  expect(await other.tickets.corrections(ticket.id)).toEqual([]);
});
