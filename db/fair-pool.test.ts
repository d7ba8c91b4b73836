import { AsyncResource } from 'node:async_hooks';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openDatabase, type OpenDatabase } from './connection';
import { isAway, isBusy } from './failures';
import { askAs, type Asking } from './fair-pool';
import { entrancesOf, openTestDatabase } from './testing';

let owner: OpenDatabase;
let pages: OpenDatabase;

beforeAll(async () => {
  owner = await openTestDatabase();
  pages = openDatabase((await entrancesOf(owner)).records);
});
afterAll(() => Promise.all([pages.close(), owner.close()]));

/** Does work as a request to one part of the application does. */
const as = <T>(who: Asking, work: () => Promise<T>): Promise<T> =>
  new AsyncResource('request').runInAsyncScope(() => {
    askAs(who);
    return work();
  });

const asking = (part: string): Asking => ({ part, wasRefused: false });

it('a part that waits holds a few connections, and the others go on; who waits too long is told, and noted', async () => {
  const done: string[] = [];
  const stuck = Array.from({ length: 17 }, () => asking('clients'));
  const waits = stuck.map((who) =>
    as(who, async () => {
      await pages.db.execute(sql`select pg_sleep(3.1)`);
      done.push('clients');
    }).catch((error: unknown) => error),
  );
  // Ten of the other part come and go while five of the first sleep.
  for (let i = 0; i < 10; i++)
    await as(asking('strings'), async () => {
      await pages.db.execute(sql`select 1`);
      done.push('strings');
    });
  expect(done).toEqual(Array.from({ length: 10 }, () => 'strings'));
  const ends = await Promise.all(waits);
  const late = ends.filter((end) => end !== undefined);
  // Three times five, each when those before are back; the rest has waited for nine seconds.
  expect(late).toHaveLength(2);
  expect(late.every(isBusy)).toBe(true);
  expect(stuck.filter(({ wasRefused }) => wasRefused)).toHaveLength(2);
});

it.each(['53300', '53100', '57P01', '57P03', 'ECONNREFUSED', 'ECONNRESET'])(
  '%s is a database that is not there',
  (code) => {
    expect(isAway(new Error('Failed', { cause: Object.assign(new Error('x'), { code }) }))).toBe(
      true,
    );
  },
);

it('what the application does wrong is not the database’s', () => {
  expect(isAway(new Error('x'))).toBe(false);
  expect(isAway(Object.assign(new Error('x'), { code: '42703' }))).toBe(false);
});
