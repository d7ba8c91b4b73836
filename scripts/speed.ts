/** How fast it is, as times and as ratios within this run; other runs and machines differ. */
import { chromium, type Page } from '@playwright/test';
import { advise, type AdviceMeans } from '@/core/advice/advise';
import type { AdviceCase } from '@/core/advice/rule';
import { climb } from '@/core/advice/staircase';
import { studyFrame, type Bed } from '@/core/frame/bed';
import { benchLog, type BenchEvent } from '@/core/bench/log';
import { USUAL_MACHINE } from '@/core/house/machine';
import type { BenchPlan } from '@/core/bench/plan';
import { sameFeel } from '@/core/advice/same-feel';
import type { FrameSpec } from '@/core/frame/frame';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import { LIBRARY } from '@/core/frame/library';
import { singleFixes } from '@/core/frame/single-fixes';
import { compareMethods } from '@/core/cut/methods';
import { pathThrough } from '@/core/path/path';
import { planCut } from '@/core/cut/plan';
import { benchSequence } from '@/core/bench/sequence';
import { solveSkips } from '@/core/frame/skip-solver';
import { SILENT } from '@/core/advice/talk';
import { undoSteps } from '@/core/bench/undo';
import { newtons } from '@/core/measure/units';
import { fillWithDemo } from '@/db/demo/fill';
import { DEMO_STRINGS } from '@/db/demo/strings';
import { CHROMIUM, ensureChromium } from './house';
import { openHouse } from './open';
import { ledgerOf, libraryFrames, skipTrial, type Reading } from '@/core/testing/skip-trial';

const specOf = (name: string): FrameSpec =>
  LIBRARY.find((frame) => frame.name === name)?.spec as FrameSpec;

const tennis = specOf('Ostrevan Heron 100');
const { bed } = studyFrame(tennis) as { bed: Bed };
const string = { family: 'monofilament', gaugeMm: 1.25, stretch: null } as const;
const strings = { mains: string, crosses: string };
const sides = { shortSide: 'left', crossStart: 'left' } as const;
const largest = libraryFrames().find(
  ({ question }) => question.mainsPerSide === 11 && question.crosses === 22,
);

const bedNamed = (name: string) => studyFrame(specOf(name)).bed as Bed;
const other = bedNamed('Tarnhelve Groyne Wide 115');
const badminton = bedNamed('Wexquay Wisp 7');
const tension = { mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg') };
const about: AdviceCase = {
  spec: tennis,
  areaMm2: bed.areaMm2,
  talk: {
    ...SILENT,
    age: 'older',
    level: 'club',
    arm: 'before',
    wants: ['control'],
    playsAWeek: 3,
  },
  house: USUAL_HOUSE,
  last: undefined,
};
const means: AdviceMeans = {
  shelf: DEMO_STRINGS.map((each) => ({ ...each, id: each.name })),
  labourMinor: 1800,
  unit: 'kg',
};
const firm = {
  mains: { ...string, shape: 'round' },
  crosses: { ...string, shape: 'round' },
} as const;

const job: BenchPlan = {
  bed,
  path: pathThrough(bed, { method: 'two-piece', ...sides }),
  tension: { ...tension, unit: 'kg' },
  custom: USUAL_HOUSE,
  machine: USUAL_MACHINE,
  preStretch: [],
  shortMm: {},
};
const sequence = benchSequence(job);
const steps = sequence.ok ? sequence.value.steps : [];
const events = steps.map((_, i): BenchEvent => ({
  id: '',
  bench: '',
  plan: '',
  at: new Date(20_000 * i).toISOString(),
  done: i + 1,
  deed: { kind: 'step' },
}));

const WORKS: readonly (readonly [string, () => unknown])[] = [
  [
    'plan a cut, 16 × 19',
    () => planCut(bed, strings, { method: 'two-piece', ...sides }, USUAL_ASSUMPTIONS),
  ],
  [
    'compare the methods, 16 × 19',
    () => compareMethods(bed, strings, false, sides, USUAL_ASSUMPTIONS, 'least string'),
  ],
  ['solve the skips, 22 × 22 ruled', () => largest && solveSkips(largest.question)],
  ['study a frame, 16 × 19', () => studyFrame(tennis)],
  ['study a badminton frame, 22 × 22', () => studyFrame(specOf('Wexquay Wisp 7'))],
  ['study a teardrop, 14 × 18', () => studyFrame(specOf('Bryndal Cinder 120'))],
  ['advise, nine setups of thirty strings', () => advise(about, means)],
  ['climb one staircase', () => climb(about, firm, 'kg')],
  ['same feel, on a larger head', () => sameFeel(bed, tension, other, strings)],
  [
    'same feel, badminton 22 × 22',
    () => sameFeel(badminton, { mainN: 110, crossN: 120 }, badminton, strings),
  ],
  ['prove a sequence at the bench, 16 × 19', () => benchSequence(job)],
  ['the log of a whole job', () => benchLog(events)],
  ['undo a whole job', () => sequence.ok && undoSteps(sequence.value, steps.length, 0)],
  ['mend 17 mains', () => singleFixes({ ...tennis, pattern: { ...tennis.pattern, mains: 17 } })],
];

/** Median of many runs, after as many to warm up, in ms. */
function medianMs(work: () => unknown): number {
  const RUNS = 25;
  const times = Array.from({ length: 2 * RUNS }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return times.slice(RUNS).sort((a, b) => a - b)[Math.floor(RUNS / 2)] as number;
}

const measured = WORKS.map(([name, work]) => ({ name, ms: medianMs(work) }));
const unit = measured[0]?.ms ?? 1;
for (const { name, ms } of measured)
  console.log(
    `${name.padEnd(40)} ${ms.toFixed(2).padStart(8)} ms  ${(ms / unit).toFixed(1).padStart(6)} ×`,
  );

console.log('\nThe skip solver against frames read with errors');
const READINGS: readonly Reading[] = [
  { errorMm: 0.5, slipMm: 0 },
  { errorMm: 1, slipMm: 0 },
  { errorMm: 0.5, slipMm: 3 },
];
for (const reading of READINGS)
  console.log(ledgerOf(reading, skipTrial(reading, 30, libraryFrames())));

const quantile = (values: readonly number[], share: number): string =>
  (values.toSorted((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN).toFixed(1);

async function inChromium<T>(work: (page: Page) => Promise<T>): Promise<T> {
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-quic', '--disable-background-networking'],
  });
  try {
    return await work(await browser.newPage({ viewport: { width: 1280, height: 800 } }));
  } finally {
    await browser.close();
  }
}

/** Pulls the scrubber of a 22 × 22 cut one string a frame, and counts the frames it takes. */
const framesWhileScrubbing = (address: string): Promise<string> =>
  inChromium(async (page) => {
    await page.goto(`${address}/tickets/404/cut`);
    await page.getByRole('slider', { name: 'Strings that are in' }).waitFor();
    await page.waitForTimeout(1000);
    const gaps = await page.evaluate(async () => {
      const slider = document.querySelector<HTMLInputElement>('input[type=range]');
      const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      if (!slider || !write) return [];
      const most = Number(slider.max);
      const times: number[] = [];
      for (let step = 0; step < 4 * most; step++) {
        write.call(slider, String(step % most));
        slider.dispatchEvent(new Event('input', { bubbles: true }));
        times.push(await new Promise<number>((resolve) => requestAnimationFrame(resolve)));
      }
      return times.slice(1).map((time, i) => time - (times[i] as number));
    });
    const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
    return `${(1000 / mean).toFixed(0)} frames a second (${quantile(gaps, 0.5)} ms a frame, the slowest in twenty ${quantile(gaps, 0.95)} ms)`;
  });

/** Goes through a badminton job at the bench by key, and times each from the key to the picture that answers it. */
const keysAtTheBench = (address: string): Promise<string> =>
  inChromium(async (page) => {
    await page.goto(`${address}/practice`);
    await page.getByRole('link', { name: 'Wexquay Wisp 7' }).click();
    await page.getByRole('button', { name: 'Begin anew' }).waitFor();
    await page.waitForTimeout(1000);
    const { waits, gaps } = await page.evaluate(async () => {
      const main = document.querySelector('main');
      const waits: number[] = [];
      const gaps: number[] = [];
      // Ten keys a second for twenty seconds, more than any hand.
      for (let key = 0; key < 200; key++) {
        const before = main?.innerText;
        const pressed = performance.now();
        // A digit answers where it asks, and does nothing elsewhere.
        for (const each of ['1', ' '])
          window.dispatchEvent(new KeyboardEvent('keydown', { key: each, cancelable: true }));
        let last = pressed;
        for (let frame = 0; frame < 6; frame++) {
          const now = await new Promise<number>((resolve) => requestAnimationFrame(resolve));
          if (frame > 0) gaps.push(now - last);
          // The frame after the one in which the picture was drawn: it is on the screen.
          if (frame === 1 && main?.innerText !== before) waits.push(now - pressed);
          last = now;
        }
      }
      return { waits, gaps };
    });
    return `${quantile(waits, 0.5)} ms from key to picture, the slowest in twenty ${quantile(waits, 0.95)} ms; ${quantile(gaps, 0.5)} ms a frame meanwhile, the slowest in twenty ${quantile(gaps, 0.95)} ms`;
  });

ensureChromium();
const address = await openHouse('demo', fillWithDemo);
console.log(`\nScrubbing a 22 × 22 cut in Chromium: ${await framesWhileScrubbing(address)}`);
console.log(`A step of a 22 × 22 at the bench: ${await keysAtTheBench(address)}`);
