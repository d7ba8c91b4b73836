import { expect, test } from '@playwright/test';
import { demoCookie } from '@/scripts/demo-cookie';
import { framesWhileScrubbing, keysAtTheBench } from '@/scripts/timings/browser';
import { DAILY, timePages } from '@/scripts/timings/pages';

/** Whether it is quick is said by `npm run bench`; here, that each part of it still measures what it says. */
test('what `npm run bench` times in a browser is there to be timed', async ({ page, baseURL }) => {
  const { aSecond, gaps } = await framesWhileScrubbing(page, 1);
  // One for each of 44 strings, but the first, which begins the count.
  expect(gaps.length).toBeGreaterThan(40);
  expect(aSecond).toBeGreaterThan(0);
  const { waits } = await keysAtTheBench(page, 6);
  expect(waits.length).toBeGreaterThan(0);
  const origin = baseURL ?? '';
  const house = { origin, cookie: await demoCookie(origin, 'hesper') };
  const timed = await timePages(
    house,
    new Map(),
    DAILY.filter((name) => !name.includes('page=')),
    1,
  );
  expect([...timed.values()].every(({ p50 }) => p50 > 0)).toBe(true);
});
