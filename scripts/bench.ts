/** How fast it is, as times and as ratios within this run; other runs and machines differ. */
import { chromium } from '@playwright/test';
import { advise, type AdviceMeans } from '@/core/advice/advise';
import type { AdviceCase } from '@/core/advice/rule';
import { climb } from '@/core/advice/staircase';
import { studyFrame, type Bed } from '@/core/bed';
import { sameFeel } from '@/core/feel';
import type { FrameSpec } from '@/core/frame';
import { USUAL_HOUSE } from '@/core/house-rules';
import { USUAL_ASSUMPTIONS } from '@/core/lengths';
import { LIBRARY } from '@/core/library';
import { mends } from '@/core/mends';
import { compareMethods } from '@/core/methods';
import { planCut } from '@/core/plan';
import { solveSkips } from '@/core/skip-solver';
import { SILENT } from '@/core/talk';
import { newtons } from '@/core/units';
import { fillWithDemo } from '@/db/demo/fill';
import { DEMO_STRINGS } from '@/db/demo/strings';
import { openHouse } from './open';
import { ledgerOf, libraryFrames, skipTrial, type Reading } from './skip-trial';

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
  ['same feel, on a larger head', () => sameFeel(bed, tension, other)],
  [
    'same feel, badminton 22 × 22',
    () => sameFeel(badminton, { mainN: 110, crossN: 120 }, badminton),
  ],
  ['mend 17 mains', () => mends({ ...tennis, pattern: { ...tennis.pattern, mains: 17 } })],
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
for (const reading of READINGS) console.log(ledgerOf(reading, skipTrial(reading, 12)));

/** Pulls the scrubber of a 22 × 22 cut one string a frame, and counts the frames it takes. */
async function framesWhileScrubbing(address: string): Promise<string> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-quic', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
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
    const sorted = gaps.toSorted((a, b) => a - b);
    const at = (share: number) =>
      (sorted[Math.floor(share * (sorted.length - 1))] ?? NaN).toFixed(1);
    const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
    return `${(1000 / mean).toFixed(0)} frames a second (${at(0.5)} ms a frame, the slowest in twenty ${at(0.95)} ms)`;
  } finally {
    await browser.close();
  }
}

const address = await openHouse('orthotens_demo', fillWithDemo);
console.log(`\nScrubbing a 22 × 22 cut in Chromium: ${await framesWhileScrubbing(address)}`);
