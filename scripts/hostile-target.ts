/** A running server with rows to be hostile to. */
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { and, eq, getTableColumns, isNotNull, sql } from 'drizzle-orm';
import { openDatabase, type Connection, type Database } from '@/db/connection';
import { people } from '@/db/doors-schema';
import { clients, frames, machines, rackets, strings } from '@/db/racket-schema';
import { tickets } from '@/db/ticket-schema';
import { members } from '@/db/workshop-schema';
import { recordsOf } from '@/db/workshop';
import { demoCookie } from './demo-cookie';
import type { Target } from './actions';
import { ROOT } from './house';

type Rows = Pick<Target, 'ids' | 'tickets'>;

/** The workshop that the demo’s owner works in. */
export async function demoWorkshop(db: Connection): Promise<string> {
  const [member] = await db
    .select({ workshopId: members.workshopId })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .where(eq(people.username, 'hesper'));
  return member?.workshopId ?? '';
}

/** `rows` are those that are there, or some of its own, where others work in the same workshop meanwhile. */
export async function targetAt(
  origin: string,
  databaseUrl: string,
  build: string,
  rows: 'all' | 'own',
): Promise<Target> {
  const cookie = await demoCookie(origin, 'hesper');
  const { db, close } = openDatabase(databaseUrl, 'command');
  try {
    const workshopId = await demoWorkshop(db);
    return {
      origin,
      cookie,
      build: join(ROOT, build),
      workshopId,
      ...(rows === 'own' ? await ownRows(db, workshopId) : await rowsOf(db)),
    };
  } finally {
    await close();
  }
}

async function rowsOf(db: Database): Promise<Rows> {
  const some = await Promise.all(
    [clients, rackets, frames, strings, machines].map((table) =>
      db.select({ id: table.id }).from(table).limit(6),
    ),
  );
  const numbers = await db
    .select({ number: tickets.number })
    .from(tickets)
    .orderBy(sql`${tickets.closedAt} desc nulls first`)
    .limit(10);
  return {
    ids: some.flat().map(({ id }) => id),
    tickets: numbers.map(({ number }) => number),
  };
}

/** Copies of the rows behind a ticket that is ready for the bench, and of the ticket. */
async function ownRows(db: Database, workshopId: string): Promise<Rows> {
  const records = recordsOf(db, workshopId);
  // What the database works out by itself cannot be written.
  const columns = Object.fromEntries(
    Object.entries(getTableColumns(tickets)).filter(([, { generated }]) => !generated),
  ) as ReturnType<typeof getTableColumns<typeof tickets>>;
  const [ready] = await db
    .select(columns)
    .from(tickets)
    .where(and(isNotNull(tickets.crossStart), eq(tickets.workshopId, workshopId)))
    .limit(1);
  const racket = ready && (await records.rackets.get(ready.racketId));
  const client = racket && (await records.clients.get(racket.clientId));
  const frame = racket?.frameId && (await records.frames.get(racket.frameId));
  const string = ready?.mainStringId && (await records.strings.get(ready.mainStringId));
  if (!client || !frame || !string) throw new Error('No ticket is ready for the bench.');
  const clientId = randomUUID();
  const frameId = randomUUID();
  const stringId = randomUUID();
  const machineId = randomUUID();
  await records.clients.add({ ...client, name: 'Hostile' }, clientId);
  await records.frames.add({ name: 'Hostile', spec: frame.spec }, frameId);
  await records.strings.add({ ...string, name: 'Hostile, of its own' }, stringId);
  await records.machines.add({ name: 'Hostile', gripperMm: 360 }, machineId);
  const facts = { label: 'Hostile', mark: 'H', notes: '' };
  const { id: racketId } = await records.rackets.add({ ...facts, clientId, frameId });
  const { promised } = ready;
  const asked = { racketId, promised, wish: 'hostile', condition: '' };
  const made = await records.tickets.add(randomUUID(), asked);
  const { id, number, requestKey } = made;
  await db
    .update(tickets)
    .set({
      ...ready,
      ...asked,
      id,
      number,
      requestKey,
      mainStringId: stringId,
      closedAt: null,
      record: null,
    })
    .where(eq(tickets.id, id));
  return { ids: [clientId, racketId, frameId, stringId, machineId], tickets: [number] };
}
