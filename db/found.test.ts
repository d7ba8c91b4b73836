import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readQuestion } from '@/core/record/question';
import type { OpenDatabase } from './connection';
import { ASKED, openTestDatabase, withJobs } from './testing';

let open: OpenDatabase;
beforeAll(async () => {
  open = await openTestDatabase();
});
afterAll(() => open.close());

describe('what is found by words', () => {
  const ask = async (
    shop: Awaited<ReturnType<typeof withJobs>>['shop'],
    text: string,
  ): Promise<string[]> => {
    const found = await shop.found.find(readQuestion(text, '2026-11-26T09:00'));
    return found.map(({ kind, number }) => (number === null ? kind : `${kind} ${number}`));
  };

  it('goes by words in any order, parts, accents and slips of the pen', async () => {
    const { shop } = await withJobs(open.db, [1200, 1200]);
    await shop.tickets.add(randomUUID(), {
      racketId: (await shop.rackets.find(''))[0]?.id ?? '',
      ...ASKED,
    });
    for (const text of [
      'ottoline',
      'brueg otto'.slice(6),
      'bruggmann 100',
      'O1 threllan',
      'ottolien',
      'thrlelan',
    ])
      expect([text, (await ask(shop, text)).slice(0, 3)]).toEqual([
        text,
        ['ticket 3', 'job 2', 'job 1'],
      ]);
    expect(await ask(shop, 'brüggmann')).toContain('client');
    expect(await ask(shop, 'nobody of that name')).toEqual([]);
    expect(await ask(shop, '%')).toEqual([]);
    expect(await ask(shop, "'; drop table finds; --")).toEqual([]);
  });

  it('goes by number, string, gauge, remark, hand, day and tension', async () => {
    const { shop } = await withJobs(open.db, [1200]);
    for (const text of [
      '1',
      'notched',
      'orrin',
      '1.25',
      'otto@court',
      '23/22',
      '50.7/48.5 lb',
      'today',
    ]) {
      const today = new Date().toISOString().slice(0, 10);
      const found = await ask(shop, text === 'today' ? today : text);
      expect([text, found[0]]).toEqual([text, 'job 1']);
    }
    expect(await ask(shop, '24/22')).toEqual([]);
    expect(await ask(shop, 'last march')).toEqual([]);
  });

  it('knows a client by their new name, and a removed one with their rackets no more', async () => {
    const { shop, clientId } = await withJobs(open.db, [1200]);
    const client = await shop.clients.get(clientId);
    await shop.clients.change(clientId, client?.version ?? 0, {
      name: 'Zephyrine',
      contact: '',
      tensionUnit: null,
      notes: '',
    });
    expect(await ask(shop, 'zephyrine')).toEqual(['job 1', 'client', 'racket']);
    // The record keeps the name that stood there.
    expect(await ask(shop, 'ottoline')).toEqual(['job 1']);
    await shop.clients.setRemoved(clientId, true);
    expect(await ask(shop, 'zephyrine')).toEqual(['job 1']);
    for (const text of ['', 'o1', 'threllan']) expect(await shop.rackets.find(text)).toEqual([]);
    await shop.clients.setRemoved(clientId, false);
    expect(await ask(shop, 'zephyrine')).toEqual(['job 1', 'client', 'racket']);
    expect(await shop.rackets.find('threllan')).toHaveLength(1);
  });
});

describe('lists of clients and rackets by words', () => {
  it('page to their end, each row on one page and in order', async () => {
    const { shop, racket } = await withJobs(open.db, []);
    for (let i = 0; i < 23; i++) {
      const clientId = randomUUID();
      await shop.clients.add(
        {
          name: `Vale ${String.fromCharCode(97 + ((i * 7) % 23))}`,
          contact: '',
          tensionUnit: null,
          notes: '',
        },
        clientId,
      );
      await shop.rackets.add({
        clientId,
        frameId: racket.frameId,
        label: '',
        mark: `W${i}`,
        notes: '',
      });
    }
    const all = async <T>(page: (limit: number, offset: number) => Promise<T[]>): Promise<T[]> => {
      const rows = [];
      for (let offset = 0; offset < 30; offset += 5) rows.push(...(await page(5, offset)));
      return rows;
    };
    for (const text of ['vale', 'VALE', 'va']) {
      const names = (await all((limit, offset) => shop.clients.find(text, limit, offset))).map(
        ({ name }) => name,
      );
      expect([text, names]).toEqual([text, names.toSorted()]);
      expect(new Set(names).size).toBe(23);
      const rackets = await all((limit, offset) => shop.rackets.find(text, limit, offset));
      expect(rackets.map(({ clientName }) => clientName)).toEqual(names);
    }
    // The frame that all of them are of, and the mark of one.
    expect(await all((limit, offset) => shop.rackets.find('threllan', limit, offset))).toHaveLength(
      24,
    );
    expect((await shop.rackets.find('w22 threllan')).map(({ mark }) => mark)).toEqual(['W22']);
    expect(await shop.clients.find('vale zz')).toEqual([]);
  });

  it('a client who is typed begins with the letters, then has them anywhere, then is near', async () => {
    const { shop } = await withJobs(open.db, []);
    for (const name of ['Orla Tarn', 'Tarn Brill', 'Tarnia Weft', 'Bo Starn', 'Mira Lull'])
      await shop.clients.add({ name, contact: '', tensionUnit: null, notes: '' }, randomUUID());
    const typed = async (text: string, limit = 9) =>
      (await shop.clients.findNear(text, limit)).map(({ name }) => name);
    expect(await typed('tarn')).toEqual(['Tarn Brill', 'Tarnia Weft', 'Bo Starn', 'Orla Tarn']);
    expect(await typed('ta')).toEqual(['Tarn Brill', 'Tarnia Weft', 'Bo Starn', 'Orla Tarn']);
    expect(await typed('tarn', 3)).toEqual(['Tarn Brill', 'Tarnia Weft', 'Bo Starn']);
    expect(await typed('mria lull')).toEqual(['Mira Lull']);
    expect(await typed('brill tarn')).toEqual(['Tarn Brill']);
    expect(await typed('nobody at all')).toEqual([]);
    expect(await typed('%')).toEqual([]);
  });
});
