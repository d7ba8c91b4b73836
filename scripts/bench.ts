/** How long the core takes, as times and as ratios within this run; other runs and machines differ. */
import { studyFrame, type Bed } from '@/core/bed';
import type { FrameSpec } from '@/core/frame';
import { USUAL_ASSUMPTIONS } from '@/core/lengths';
import { planCut } from '@/core/plan';
import { LIBRARY } from '@/core/library';

const specOf = (name: string): FrameSpec =>
  LIBRARY.find((frame) => frame.name === name)?.spec as FrameSpec;

const tennis = specOf('Ostrevan Heron 100');
const { bed } = studyFrame(tennis) as { bed: Bed };
const string = { family: 'monofilament', gaugeMm: 1.25, stretch: null } as const;

const WORKS: readonly (readonly [string, () => unknown])[] = [
  [
    'plan a cut, 16 × 19',
    () =>
      planCut(
        bed,
        { mains: string, crosses: string },
        { method: 'two-piece', shortSide: 'left', crossStart: 'left' },
        USUAL_ASSUMPTIONS,
      ),
  ],
  ['study a frame, 16 × 19', () => studyFrame(tennis)],
  ['study a badminton frame, 22 × 22', () => studyFrame(specOf('Wexquay Wisp 7'))],
  ['study a teardrop, 14 × 18', () => studyFrame(specOf('Bryndal Cinder 120'))],
];

/** Median of many runs, after as many to warm up, in ms. */
function medianMs(work: () => unknown): number {
  const RUNS = 40;
  const times = Array.from({ length: 2 * RUNS }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
  return times.slice(RUNS).sort((a, b) => a - b)[RUNS / 2] as number;
}

const measured = WORKS.map(([name, work]) => ({ name, ms: medianMs(work) }));
const unit = measured[0]?.ms ?? 1;
for (const { name, ms } of measured)
  console.log(
    `${name.padEnd(34)} ${ms.toFixed(2).padStart(8)} ms  ${(ms / unit).toFixed(1).padStart(6)} ×`,
  );
