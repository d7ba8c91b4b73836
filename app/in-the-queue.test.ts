import { setImmediate as aTurn } from 'node:timers/promises';
import { expect, test } from 'vitest';
import { inTheQueue } from './in-the-queue';

/** Four works that are put in the queue, which have begun, and how each is ended. */
function fourWorks() {
  const begun: string[] = [];
  const ends = new Map<string, { good: () => void; bad: () => void }>();
  const made = ['a', 'b', 'c', 'd'].map((name) =>
    inTheQueue('made', () => {
      begun.push(name);
      return new Promise<string>((resolve, reject) => {
        ends.set(name, { good: () => resolve(name), bad: () => reject(new Error(name)) });
      });
    }),
  );
  return { begun, made: Promise.allSettled(made), end: (name: string) => ends.get(name) };
}

test('two are made at once, the others in the order in which they came', async () => {
  const { begun, made, end } = fourWorks();
  await aTurn();
  expect(begun).toEqual(['a', 'b']);
  end('b')?.good();
  await aTurn();
  expect(begun).toEqual(['a', 'b', 'c']);
  for (const name of ['a', 'c']) end(name)?.good();
  await aTurn();
  end('d')?.good();
  expect((await made).map(({ status }) => status)).toEqual(Array(4).fill('fulfilled'));
});

test('what fails leaves its place to the next', async () => {
  const { begun, made, end } = fourWorks();
  await aTurn();
  for (const name of ['a', 'b']) end(name)?.bad();
  await aTurn();
  expect(begun).toEqual(['a', 'b', 'c', 'd']);
  for (const name of ['c', 'd']) end(name)?.good();
  expect((await made).map(({ status }) => status)).toEqual([
    'rejected',
    'rejected',
    'fulfilled',
    'fulfilled',
  ]);
});
