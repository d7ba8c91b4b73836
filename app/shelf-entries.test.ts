import { describe, expect, it } from 'vitest';
import { orderLines } from './(house)/shelf/cuts-of-day';
import { boughtSchema, countedSchema, NOTHING_BOUGHT } from './(house)/shelf/shelf-entry';
import { benchEntryOf, benchSchema, NEW_BENCH } from './(house)/workshop/benches/bench-entry';

const STRING = '0f8b3f2e-6f3c-4b7a-9c1d-2a5e8d7c6b5a';
const typed = {
  ...NOTHING_BOUGHT,
  stock: `${STRING} 1.25`,
  count: '3',
  length: '40 ft',
  price: '11,50',
};
const problems = (entry: object): readonly string[] => {
  const read = boughtSchema('EUR').safeParse(entry);
  return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'));
};

describe('what was bought', () => {
  it('is read in the units that people type', () => {
    // Source: 40 ft of 304.8 mm.
    expect(boughtSchema('EUR').parse(typed)).toMatchObject({
      kind: 'set',
      count: 3,
      length: 12_192,
      price: 1150,
    });
  });

  it.each([
    [{ stock: '' }, 'stock'],
    [{ stock: 'Warp 1.25' }, 'stock'],
    [{ count: '-3' }, 'count'],
    [{ count: '0' }, 'count'],
    [{ count: '101' }, 'count'],
    [{ length: 'a lot' }, 'length'],
    [{ length: '0.2' }, 'length'],
    [{ length: '200' }, 'length'],
    [{ kind: 'half set', length: '200' }, 'length'],
    [{ price: 'free' }, 'price'],
  ])('is refused at its field: %o', (changes, field) => {
    expect(problems({ ...typed, ...changes })).toEqual([field]);
  });

  it('may be as long as a reel where it is one', () => {
    expect(problems({ ...typed, kind: 'reel', length: '200' })).toEqual([]);
  });
});

it('nothing left is a count too, and less than nothing is none', () => {
  expect(countedSchema.parse({ left: '0' })).toEqual({ left: 0 });
  expect(countedSchema.safeParse({ left: '-1' }).success).toBe(false);
});

describe('a bench', () => {
  it('comes back as it was typed', () => {
    const entry = { ...NEW_BENCH, name: 'Window', others: '2026-12-25 closed' };
    expect(benchEntryOf(benchSchema.parse(entry))).toEqual(entry);
  });

  it('is refused at the day that is wrong', () => {
    const read = benchSchema.safeParse({
      ...NEW_BENCH,
      name: '',
      sun: '9 to nine',
      others: 'soon',
    });
    expect(read.error?.issues.map(({ path }) => path.join('.'))).toEqual(['name', 'sun', 'others']);
  });
});

describe('what to order', () => {
  const warp = { id: 'w', name: 'Warp', setMm: 12_000, gaugesMm: [1.25, 1.3] };
  const set = {
    id: 'a',
    stringId: 'w',
    string: 'Warp',
    gaugeMm: 1.25,
    kind: 'set' as const,
    mm: 12_000,
    leftMm: 12_000,
    priceMinor: 1150,
    supplier: '',
    place: '',
    day: '2026-01-05',
  };

  it('counts in sets what is there and what a week uses, by string and gauge', () => {
    const used = new Map([['w 1.25', [24_000, 0, 24_000, 0]]]);
    const [line, ...others] = orderLines([warp], [set, { ...set, id: 'b', leftMm: 6000 }], used);
    expect(others).toEqual([]);
    expect(line).toMatchObject({ there: 1.5, aWeek: 1 });
    expect(line?.toOrder).toBe(Math.ceil((line?.level ?? 0) - 1.5));
    expect(line?.toOrder).toBeGreaterThan(0);
  });

  it('says nothing of what nobody has or uses, and orders nothing that nobody uses', () => {
    expect(orderLines([warp], [], new Map())).toEqual([]);
    expect(orderLines([warp], [set], new Map())[0]).toMatchObject({ level: 0, toOrder: 0 });
  });
});
