import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Connection, OpenDatabase } from './connection';
import { clients } from './racket-schema';
import { newPerson, newWorkshop, openTestDatabase } from './testing';
import { inRounds } from './walls';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

const transactionOf = async (db: Connection): Promise<string> => {
  const { rows } = await db.execute<{ id: string }>(sql`select pg_current_xact_id()::text as id`);
  return rows[0]?.id ?? '';
};

it('what is asked at one moment is one transaction, what is asked later another', async () => {
  const ask = inRounds(open.db, { workshopId: (await newWorkshop(open.db)).id });
  const together = await Promise.all([1, 2, 3].map(() => ask(transactionOf)));
  expect(new Set(together).size).toBe(1);
  expect(together).not.toContain(await ask(transactionOf));
});

it('one that fails keeps none of its own, and takes nothing from the others', async () => {
  const { id } = await newWorkshop(open.db);
  const personId = await newPerson(open.db);
  const ask = inRounds(open.db, { workshopId: id, personId });
  const client = (name: string) => ({ name, contact: '', notes: '', workshopId: id });
  const add = (name: string) => ask((db) => db.insert(clients).values(client(name)));
  const fails = ask(async (db) => {
    await db.insert(clients).values(client('Nobody'));
    throw new Error('No.');
  });
  const ends = await Promise.allSettled([add('Ada'), fails, add('Bo')]);
  expect(ends.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
  const kept = await open.db
    .select({ name: clients.name })
    .from(clients)
    .where(eq(clients.workshopId, id))
    .orderBy(clients.name);
  expect(kept).toEqual([{ name: 'Ada' }, { name: 'Bo' }]);
});

it('nothing is asked again of a database that went away meanwhile: it may have done it', async () => {
  const ask = inRounds(open.db, { workshopId: (await newWorkshop(open.db)).id });
  let asked = 0;
  const ends = await Promise.allSettled([
    ask(() => Promise.resolve(asked++)),
    ask(() => Promise.reject(Object.assign(new Error('Gone.'), { code: '57P01' }))),
  ]);
  expect(ends.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
  expect(asked).toBe(1);
});
