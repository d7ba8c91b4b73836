import { setTimeout as wait } from 'node:timers/promises';
import { expect, it } from 'vitest';
import { readTogether } from './read-together';

/** A read that takes its time, and says how many came before it. */
function counted() {
  let begun = 0;
  return async () => {
    const mine = ++begun;
    await wait(5);
    return mine;
  };
}

it('reads once for all who ask while a read is going on, and never what was there before they asked', async () => {
  const read = counted();
  const ask = () => readTogether('a', read);
  const first = ask();
  const others = [ask(), ask(), ask()];
  expect(await first).toBe(1);
  // While the second one reads, who comes waits for a third.
  const late = ask();
  expect(await Promise.all(others)).toEqual([2, 2, 2]);
  expect(await late).toBe(3);
  await wait(1);
  expect(await ask()).toBe(4);
});

it('keeps keys apart, and a read that fails fails for nobody who came later', async () => {
  const [ofA, ofB] = [counted(), counted()];
  expect(await Promise.all([readTogether('b', ofA), readTogether('c', ofB)])).toEqual([1, 1]);
  const failing = readTogether('d', () => Promise.reject(new Error('away')));
  const after = readTogether('d', ofA);
  await expect(failing).rejects.toThrow('away');
  expect(await after).toBe(2);
});
