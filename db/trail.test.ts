import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { OpenDatabase } from './connection';
import { newWorkshop, openTestDatabase } from './testing';
import { LOOKED_THROUGH } from './trail';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

/** A workshop in which so many clients were changed, one after the other. */
async function withChanges(names: readonly string[], more = 0) {
  const shop = await newWorkshop(open.db);
  const rowId = randomUUID();
  await open.db.execute(sql`
    insert into trail (workshop_id, about, row_id, name, deed, changes)
    select ${shop.id}, 'clients', ${rowId}, name, 'changed', '{}'
    from (
      select n, name from unnest(array[${sql.join(
        names.map((name) => sql`${name}`),
        sql`, `,
      )}]) with ordinality as given (name, n)
      union all select 1000000 + n, 'somebody' from generate_series(1, ${more}) n
    ) rows order by n`);
  return { shop, rowId };
}

describe('the trail, page by page', () => {
  it('goes on to its end, each change on one page', async () => {
    const names = Array.from({ length: 7 }, (_, i) => `n${i}`);
    const { shop, rowId } = await withChanges(names);
    for (const page of [
      (before?: number) => shop.trail.latest(3, '', before),
      (before?: number) => shop.trail.of('clients', rowId, 3, before),
    ]) {
      const seen: string[] = [];
      let next: number | undefined;
      do {
        const found = await page(next);
        seen.push(...found.entries.map(({ name }) => name));
        next = found.next;
      } while (next !== undefined);
      // The first change of all is that the workshop was made.
      expect(seen.filter((name) => name.startsWith('n'))).toEqual(names.toReversed());
    }
  });

  it('says where to look on when what is looked for is not among the latest', async () => {
    const { shop } = await withChanges(['Needle', 'Nobody'], LOOKED_THROUGH);
    const first = await shop.trail.latest(60, 'needle');
    expect(first.entries).toEqual([]);
    expect(first.next).toBeDefined();
    const second = await shop.trail.latest(60, 'needle', first.next);
    expect(second.entries.map(({ name }) => name)).toEqual(['Needle']);
    expect(second.next).toBeUndefined();
    // What is everywhere fills its page at once.
    expect((await shop.trail.latest(60, 'some')).entries).toHaveLength(60);
  });
});
