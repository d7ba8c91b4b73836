import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { behindWalls } from './walls';
import { entrancesOf, openTestDatabase } from './testing';
import { wholeWorkshop } from './testing-whole';
import { openDatabase, type OpenDatabase } from './connection';
import { enterWorkshop } from './workshop';

let open: OpenDatabase;
/** As the application comes in, which may change little of what was bought. */
let app: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
  app = openDatabase((await entrancesOf(open)).records);
});
afterAll(() => Promise.all([open.close(), app.close()]));

/** What is asked or was paid in the currency of the workshop, whichever that is. */
const ASKED = [
  'events.labour_minor',
  'events.own_string_minor',
  'events.rush_minor',
  'price_items.unit_minor',
  'stock_lengths.price_minor',
  'strings.reel_price_minor',
  'strings.set_price_minor',
];
/** What was billed in a currency that is kept beside it, and what is typed in the same form as the currency. */
const BILLED = [
  'earlier_jobs.price_minor',
  'invoices.total_minor',
  'payments.amount_minor',
  'tickets.labour_minor',
  'tickets.paid_minor',
  'tickets.string_minor',
  'tickets.to_pay_minor',
  'workshops.labour_minor',
];

describe('another currency', () => {
  async function house() {
    const { workshopId, personId, ticket } = await wholeWorkshop(open.db);
    const place = { workshopId, personId };
    const enter = async () => {
      const shop = await enterWorkshop(app.db, place);
      if (!shop) throw new Error('Nobody is let in.');
      return shop;
    };
    const to = async (currency: string, labourMinor: number) => {
      const { workshop, changeWorkshop } = await enter();
      const { name, tensionUnit, lengthSystem, timeZone, cutAssumptions } = workshop;
      const { methodPreference, hand, version } = workshop;
      const facts = { name, tensionUnit, lengthSystem, timeZone, cutAssumptions, methodPreference };
      return changeWorkshop(version, { ...facts, hand, currency, labourMinor });
    };
    const minor = (of: string) =>
      behindWalls(app.db, place, async (db) => {
        const [table = '', column = ''] = of.split('.');
        const { rows } = await db.execute<{ minor: string | null }>(
          sql`select ${sql.identifier(column)} as minor from ${sql.identifier(table)} where workshop_id = ${workshopId}`,
        );
        return rows.map((row) => (row.minor === null ? null : Number(row.minor)));
      });
    return { enter, to, minor, ticket };
  }

  it('is thought of wherever there is money', async () => {
    const { rows } = await open.db.execute<{ column: string }>(
      sql`select table_name || '.' || column_name as "column" from information_schema.columns where table_schema = 'public' and column_name like '%minor' order by 1`,
    );
    expect(rows.map(({ column }) => column)).toEqual([...ASKED, ...BILLED].toSorted());
  });

  // Source: ISO 4217: the euro has two decimals, the dinar of Kuwait three, the yen none.
  it('leaves figures as they are read, and what was billed in what it was billed in', async () => {
    const { enter, to, minor, ticket } = await house();
    const shop = await enter();
    await shop.tickets.change(ticket.number, ticket.version, {
      extra: {
        lines: [{ kind: 'grip', name: 'Grip', quantity: 2, unitMinor: 650, taxBp: 0 }],
        agreed: null,
      },
    });
    const before = Object.fromEntries(
      await Promise.all(ASKED.map(async (of) => [of, await minor(of)] as const)),
    );
    expect(before['strings.set_price_minor']).toEqual([900]);
    expect(await to('KWD', 18_000)).toBe('saved');
    for (const of of ASKED)
      expect(await minor(of), of).toEqual(
        before[of]?.map((each) => (each === null ? null : each * 10)),
      );
    expect(await minor('payments.amount_minor')).toEqual([100]);
    const unitMinor = async () =>
      (await shop.tickets.get(ticket.number))?.extra?.lines[0]?.unitMinor;
    expect(await unitMinor()).toBe(6500);
    expect(await to('JPY', 18)).toBe('saved');
    expect(await minor('strings.set_price_minor')).toEqual([9]);
    expect(await minor('price_items.unit_minor')).toEqual([6]);
    // 6.50 of a coin that has no half.
    expect(await unitMinor()).toBe(7);
    // The other way nothing is made of nothing: the figures stay.
    expect(await to('EUR', 1800)).toBe('saved');
    expect(await minor('strings.set_price_minor')).toEqual([900]);
  });

  it('is not carried twice where two tabs say the same', async () => {
    const { to, minor } = await house();
    expect(
      (await Promise.all([to('KWD', 18_000), to('KWD', 18_000)])).every((each) => each === 'saved'),
    ).toBe(true);
    expect(await minor('strings.set_price_minor')).toEqual([9000]);
  });
});
