/** Clients who were taken in twice: merged, and parted again. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SILENT } from '@/core/advice/talk';
import type { OpenDatabase } from './connection';
import { newWorkshop, openTestDatabase } from './testing';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

describe('two rows that are one person', () => {
  it('are merged with their rackets, and unmerged again', async () => {
    const bench = await newWorkshop(open.db);
    const [one, two] = [randomUUID(), randomUUID()];
    const person = (name: string) => ({ name, contact: '', tensionUnit: null, notes: '' });
    await bench.clients.add(person('Ada Skerry'), one);
    await bench.clients.add(person('Ada Skery'), two);
    const racket = (clientId: string, label: string) =>
      bench.rackets.add({ clientId, frameId: null, label, mark: '', notes: '' });
    await racket(one, 'A');
    await racket(two, 'B');
    const owned = async (id: string) =>
      (await bench.rackets.ofClient(id)).map(({ label }) => label).sort();
    expect((await bench.clients.findNear('Ada Skerri', 5)).map(({ name }) => name)).toEqual(
      expect.arrayContaining(['Ada Skerry', 'Ada Skery']),
    );
    expect(await bench.clients.merge(two, one)).toBe('saved');
    expect(await owned(one)).toEqual(['A', 'B']);
    expect(await bench.clients.find('Skery')).toEqual([]);
    expect(await bench.clients.merge(two, one)).toBe('gone');
    await racket(one, 'C');
    expect(await bench.clients.unmerge(two)).toBe('saved');
    expect(await owned(one)).toEqual(['A', 'C']);
    expect(await owned(two)).toEqual(['B']);
    expect(await bench.clients.unmerge(two)).toBe('gone');
  });

  it('merged one into the other and on, they are parted in the order of the merges, each with their own', async () => {
    const bench = await newWorkshop(open.db);
    const [one, two, three] = [randomUUID(), randomUUID(), randomUUID()];
    for (const [id, label] of [
      [one, 'A'],
      [two, 'B'],
      [three, 'C'],
    ] as const) {
      await bench.clients.add({ name: label, contact: '', tensionUnit: null, notes: '' }, id);
      await bench.rackets.add({ clientId: id, frameId: null, label, mark: '', notes: '' });
    }
    const owned = async () =>
      Promise.all(
        [one, two, three].map(async (id) =>
          (await bench.rackets.ofClient(id)).map(({ label }) => label).sort(),
        ),
      );
    await bench.clients.merge(one, two);
    await bench.clients.merge(two, three);
    expect(await owned()).toEqual([[], [], ['A', 'B', 'C']]);
    // To put one back as if they had been removed would part them from their rackets.
    await bench.clients.setRemoved(two, false);
    expect((await bench.clients.get(two))?.removedAt).not.toBeNull();
    expect(await bench.clients.unmerge(one)).toBe('merged on');
    expect(await bench.clients.unmerge(two)).toBe('saved');
    expect(await owned()).toEqual([[], ['A', 'B'], ['C']]);
    expect(await bench.clients.unmerge(one)).toBe('saved');
    expect(await owned()).toEqual([['A'], ['B'], ['C']]);
  });

  it('what is known of either goes along, and parting gives back both', async () => {
    const { clients } = await newWorkshop(open.db);
    const [kept, other, third] = [randomUUID(), randomUUID(), randomUUID()];
    const add = (id: string, name: string, contact: string, notes: string) =>
      clients.add({ name, contact, notes, tensionUnit: null, mayWrite: 'yes' }, id);
    await add(kept, 'Ada Skerry', '555 01', 'left-handed');
    await add(other, 'Ada Skery', 'ada@post.example', 'Sore arm left: never above 23.');
    await add(third, 'A. Skerry', '555 03', 'pays late');
    await clients.remember(kept, { ...SILENT, level: 'club', arm: 'well' });
    await clients.remember(other, { ...SILENT, arm: 'now', armPart: 'elbow', playsAWeek: 3 });
    const before = await clients.get(kept);
    await clients.merge(other, kept);
    expect(await clients.get(kept)).toMatchObject({
      contact: '555 01, ada@post.example',
      notes: 'left-handed\nSore arm left: never above 23.',
      mayWrite: 'yes',
      talk: { level: 'club', arm: 'now', armPart: 'elbow', playsAWeek: 3 },
    });
    await clients.unmerge(other);
    const after = await clients.get(kept);
    expect({ ...after, version: before?.version }).toEqual(before);
    expect(await clients.get(other)).toMatchObject({
      contact: 'ada@post.example',
      notes: 'Sore arm left: never above 23.',
      talk: { arm: 'now' },
      mergedFrom: null,
    });

    // Two merges into one, the first parted first: what the second brought, and what was typed since, stays.
    await clients.merge(other, kept);
    await clients.merge(third, kept);
    const now = await clients.get(kept);
    await clients.change(kept, now?.version ?? 0, {
      name: 'Ada Skerry',
      contact: now?.contact ?? '',
      notes: `${now?.notes}\nnew shoes`,
      tensionUnit: 'kg',
    });
    await clients.unmerge(other);
    expect(await clients.get(kept)).toMatchObject({
      contact: '555 01, 555 03',
      notes: 'left-handed\npays late\nnew shoes',
      tensionUnit: 'kg',
    });
  });

  it('another workshop’s client is nobody to merge with', async () => {
    const [here, there] = [await newWorkshop(open.db), await newWorkshop(open.db)];
    const [one, two] = [randomUUID(), randomUUID()];
    await here.clients.add({ name: 'A', contact: '', tensionUnit: null, notes: '' }, one);
    await there.clients.add({ name: 'B', contact: '', tensionUnit: null, notes: '' }, two);
    expect(await here.clients.merge(one, two)).toBe('gone');
    expect(await there.clients.find('B')).toHaveLength(1);
  });
});
