/** What the core is timed at, and what each may take. */
import { advise, type AdviceMeans } from '@/core/advice/advise';
import type { AdviceCase } from '@/core/advice/rule';
import { climb } from '@/core/advice/staircase';
import { studyFrame, type Bed } from '@/core/frame/bed';
import { benchLog, type LoggedDeed } from '@/core/bench/log';
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
import { DEMO_STRINGS } from '@/db/demo/strings';
import { libraryFrames } from '@/core/testing/skip-trial';
import { frameLoad } from '@/core/load/frame-load';
import { stringUnderLoad } from '@/core/load/stringing';
import { usualJob } from '@/core/testing/jobs';

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
const deeds = steps.map((_, i): LoggedDeed => ({
  id: '',
  bench: '',
  plan: '',
  at: new Date(20_000 * i).toISOString(),
  done: i + 1,
  deed: { kind: 'step' },
}));

const load = frameLoad(usualJob({ bed }), { mounts: 6 });

export interface Work {
  readonly name: string;
  readonly work: () => unknown;
  /** What it may take on two cores, ms. */
  readonly goalMs?: number;
}

/** The first is the unit of the ratios. */
export const WORKS: readonly Work[] = [
  {
    name: 'plan a cut, 16 × 19',
    work: () => planCut(bed, strings, { method: 'two-piece', ...sides }, USUAL_ASSUMPTIONS),
    goalMs: 2,
  },
  {
    name: 'compare the methods, 16 × 19',
    work: () => compareMethods(bed, strings, false, sides, USUAL_ASSUMPTIONS, 'least string'),
  },
  {
    name: 'solve the skips, 22 × 22 ruled',
    work: () => largest && solveSkips(largest.question),
    goalMs: 10,
  },
  { name: 'study a frame, 16 × 19', work: () => studyFrame(tennis), goalMs: 10 },
  {
    name: 'study a badminton frame, 22 × 22',
    work: () => studyFrame(specOf('Wexquay Wisp 7')),
    goalMs: 10,
  },
  { name: 'study a teardrop, 14 × 18', work: () => studyFrame(specOf('Bryndal Cinder 120')) },
  { name: 'advise, nine setups of thirty strings', work: () => advise(about, means) },
  { name: 'climb one staircase', work: () => climb(about, firm, 'kg') },
  {
    name: 'same feel, on a larger head',
    work: () => sameFeel(bed, tension, other, strings),
    goalMs: 5,
  },
  {
    name: 'same feel, badminton 22 × 22',
    work: () => sameFeel(badminton, { mainN: 110, crossN: 120 }, badminton, strings),
    goalMs: 8,
  },
  { name: 'prove a sequence at the bench, 16 × 19', work: () => benchSequence(job), goalMs: 6 },
  {
    name: 'string a hoop in thought, 16 × 19',
    work: () => load.ok && stringUnderLoad(load.value),
    goalMs: 40,
  },
  { name: 'the log of a whole job', work: () => benchLog(deeds) },
  {
    name: 'undo a whole job',
    work: () => sequence.ok && undoSteps(sequence.value, steps.length, 0),
  },
  {
    name: 'mend 17 mains',
    work: () => singleFixes({ ...tennis, pattern: { ...tennis.pattern, mains: 17 } }),
  },
];
