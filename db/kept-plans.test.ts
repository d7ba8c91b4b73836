import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openDatabase, type OpenDatabase } from './connection';

let open: OpenDatabase;
beforeAll(() => {
  open = openDatabase(process.env.TEST_DATABASE_URL ?? '');
});
afterAll(() => open.close());

/** What one connection has kept of the questions that are marked by a word. */
const keptOf = (
  word: string,
  ask: (run: (times: number, extra?: string) => Promise<void>) => Promise<void>,
) =>
  open.db.transaction(async (transaction) => {
    await ask(async (times, extra = '') => {
      for (let i = 0; i < times; i++)
        await transaction.execute(sql`select ${i}::int as ${sql.raw(word + extra)}`);
    });
    // Without a value, so that this question is none of them.
    const { rows } = await transaction.execute<{ statement: string }>(
      sql.raw(`select statement from pg_prepared_statements where statement like '%as ${word}%'`),
    );
    return rows.map(({ statement }) => statement);
  });

it('keeps the plan of what is asked often, and none of what is asked once', async () => {
  expect(await keptOf('rare', (run) => run(2))).toEqual([]);
  expect(await keptOf('often', (run) => run(4))).toEqual(['select $1::int as often']);
});

it('answers a kept question by the values of each time', async () => {
  const answers = await open.db.transaction(async (transaction) => {
    const said: unknown[] = [];
    for (const value of [3, 1, 4, 1, 5, 9, 2, 6])
      said.push((await transaction.execute(sql`select ${value}::int * 2 as doubled`)).rows[0]);
    return said;
  });
  expect(answers).toEqual([6, 2, 8, 2, 10, 18, 4, 12].map((doubled) => ({ doubled })));
});

it('keeps so many and no more, and still answers', async () => {
  const kept = await keptOf('many', async (run) => {
    for (let i = 0; i < 300; i++) await run(3, String(i));
  });
  expect(kept.length).toBeGreaterThan(100);
  expect(kept.length).toBeLessThanOrEqual(250);
});
