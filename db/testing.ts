import { randomUUID } from 'node:crypto';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import { newtons } from '@/core/measure/units';
import { drawnOf } from '@/core/record/drawn';
import { frameSpec } from '@/core/testing/frame-spec';
import { recordOf } from '@/core/testing/records';
import { usual } from '@/core/testing/usual';
import { openDatabase, type Database, type OpenDatabase } from './connection';
import { people } from './doors-schema';
import type { EventFacts, PlayerFacts } from './events';
import { migrateDatabase } from './migrate';
import { giveRights, type Entrances } from './rights';
import { workshops } from './workshop-schema';
import { signWith } from './walls';
import { openTo } from './workshop';

/** The database that `npm test` makes for this run; there is no other to fall back on. */
export async function openTestDatabase(): Promise<OpenDatabase> {
  const url = process.env.TEST_DATABASE_URL;
  if (!url) throw new Error('Run these tests with npm test: it makes a database for them.');
  // As a command: a busy machine is no failure.
  const open = openDatabase(url, 'command');
  await migrateDatabase(open.db);
  signWith((await entrancesOf(open)).wallKey);
  return open;
}

/** Where the application comes in, by roles that own nothing. */
export const entrancesOf = ({ db }: OpenDatabase): Promise<Entrances> =>
  giveRights(db, process.env.TEST_DATABASE_URL ?? '', 'x'.repeat(32));

/** A workshop of a test's own, so that tests cannot see each other's rows. */
export async function newWorkshop(db: Database) {
  const id = randomUUID();
  const facts = {
    id,
    name: 'Test bench',
    tensionUnit: 'kg',
    lengthSystem: 'metric',
    currency: 'EUR',
    timeZone: 'UTC',
    labourMinor: 1800,
    cutAssumptions: USUAL_ASSUMPTIONS,
  } as const;
  const [workshop] = await db.insert(workshops).values(facts).returning();
  if (!workshop) throw new Error('no workshop');
  // Nobody in particular works in it.
  return { id, ...openTo(db, '', { workshop }) };
}

/** Somebody who works here. */
export async function newPerson(db: Database, name = 'Nell'): Promise<string> {
  const id = randomUUID();
  await db.insert(people).values({ id, name, email: `${id}@shop.example` });
  return id;
}

/** What is asked for at take-in. */
export const ASKED = { promised: '2030-01-01T18:00', wish: 'softer', condition: '' };

/** A tournament of a day. */
export const EVENT: EventFacts = {
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

/** Somebody who plays there and has said nothing yet. */
export const PLAYER: PlayerFacts = {
  orders: { orders: [] },
  mainStringId: null,
  mainGaugeMm: null,
  crossStringId: null,
  crossGaugeMm: null,
  supplied: false,
  benchId: null,
};

/** Stringing alone, at a price. */
export const price = (unitMinor: number) => ({
  currency: 'EUR',
  taxIncluded: true,
  lines: [{ what: 'labour' as const, text: 'Stringing', quantity: 1, unitMinor, taxBp: 2000 }],
});
const DRAWN = drawnOf(usual.job);

/** A workshop with one client, whose racket was strung some times. */
export async function withJobs(
  db: Database,
  toPay: readonly number[],
  client = 'Ottoline Brüggmann',
) {
  const shop = await newWorkshop(db);
  const [clientId, frameId] = [randomUUID(), randomUUID()];
  await shop.clients.add(
    { name: client, contact: 'otto@court.example', tensionUnit: null, notes: '' },
    clientId,
  );
  await shop.frames.add({ name: 'Threllan 100', spec: frameSpec() }, frameId);
  const racket = await shop.rackets.add({ clientId, frameId, label: '', mark: 'O1', notes: '' });
  const jobs = [];
  for (const minor of toPay) {
    const ticket = await shop.tickets.add(randomUUID(), { racketId: racket.id, ...ASKED });
    await shop.tickets.change(ticket.number, 1, {
      mainN: newtons(23, 'kg'),
      crossN: newtons(22, 'kg'),
      tensionUnit: 'kg',
      mainGaugeMm: 1.25,
      crossGaugeMm: 1.25,
    });
    await shop.tickets.close(ticket.number, 2, {
      labourMinor: minor,
      stringMinor: 0,
      toPayMinor: minor,
      collectedAt: null,
      record: recordOf({ client, price: price(minor), remarks: 'notched at the crossings' }),
      drawn: DRAWN,
    });
    jobs.push({ id: ticket.id, number: ticket.number });
  }
  return { shop, clientId, racket, jobs };
}
