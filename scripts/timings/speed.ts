/** How fast it is: times, ratios within this run, and whether each keeps its goal; other runs and machines differ. */
import { chromium } from '@playwright/test';
import { ledgerOf, libraryFrames, skipTrial, type Reading } from '@/core/testing/skip-trial';
import { openDatabase } from '@/db/connection';
import { databaseBeside, workDatabase } from '../databases';
import { CHROMIUM, ensureChromium } from '../house';
import { framesWhileScrubbing, keysAtTheBench } from './browser';
import { serveDemo } from './house';
import { DAILY, pagesOf, timePages } from './pages';
import { medianMs, quantile, verdict } from './timed';
import { WORKS } from './works';

const missed: string[] = [];
function say(name: string, figures: string, holds?: boolean, goal = ''): void {
  if (holds === false) missed.push(name);
  console.log(
    `${name.padEnd(40)} ${figures}${holds === undefined ? '' : `  ${verdict(holds, goal)}`}`,
  );
}

const measured = WORKS.map((each) => ({ ...each, ms: medianMs(each.work) }));
const unit = measured[0]?.ms ?? 1;
for (const { name, ms, goalMs } of measured)
  say(
    name,
    `${ms.toFixed(2).padStart(8)} ms  ${(ms / unit).toFixed(1).padStart(6)} ×`,
    goalMs === undefined ? undefined : ms <= goalMs,
    `${goalMs} ms`,
  );

console.log('\nThe skip solver against frames read with errors');
const READINGS: readonly Reading[] = [
  { errorMm: 0.5, slipMm: 0 },
  { errorMm: 1, slipMm: 0 },
  { errorMm: 0.5, slipMm: 3 },
];
for (const reading of READINGS)
  console.log(ledgerOf(reading, skipTrial(reading, 30, libraryFrames())));

ensureChromium();
const url = await databaseBeside(await workDatabase('demo'), 'speed');
const house = await serveDemo(url);
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: ['--no-sandbox', '--disable-quic', '--disable-background-networking'],
});
try {
  const context = await browser.newContext({
    baseURL: house.origin,
    viewport: { width: 1280, height: 800 },
  });
  await context.addCookies(
    house.cookie.split('; ').map((each) => {
      const [name = '', ...value] = each.split('=');
      return { name, value: value.join('='), url: house.origin };
    }),
  );
  const page = await context.newPage();
  console.log('\nIn Chromium');
  const { aSecond, gaps } = await framesWhileScrubbing(page, 4);
  say(
    'scrubbing a 22 × 22 cut',
    `${aSecond.toFixed(0)} frames a second, the slowest in twenty ${quantile(gaps, 0.95).toFixed(1)} ms`,
    aSecond >= 55,
    '55 a second',
  );
  const { waits } = await keysAtTheBench(page, 200);
  const slowest = quantile(waits, 0.98);
  say(
    'a step of a 22 × 22 at the bench',
    `${quantile(waits, 0.5).toFixed(1)} ms from key to picture, the slowest in fifty ${slowest.toFixed(1)} ms`,
    // A frame has 16.7 ms, and two of them are 33.
    slowest <= 34,
    'two frames',
  );

  console.log('\nA page, one user, p50');
  const { db, close } = openDatabase(url, 'command');
  const pages = await pagesOf(db, true);
  await close();
  for (const [name, { p50 }] of await timePages(house, pages, DAILY, 15))
    say(name, `${p50.toFixed(0).padStart(8)} ms`, p50 <= 80, '80 ms');
} finally {
  await browser.close();
  house.stop();
}
console.log(missed.length === 0 ? '\nEvery goal holds.' : `\nMissed: ${missed.join(', ')}.`);
