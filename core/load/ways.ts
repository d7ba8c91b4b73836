/** Ways to string the same frame, side by side: what each school does to the hoop and leaves in the bed. */
import { jobOf, type Job } from '../bench/job';
import { newtons } from '../measure/units';
import { success, type Result } from '../terms/result';
import { methodProblem } from '../cut/methods';
import { isHybrid } from '../strings/job-string';
import type { HouseRules } from '../house/house-rules';
import type { PathChoice } from '../path/path';
import { frameLoad, type FrameLoadOptions, type MountCount } from './frame-load';
import { stringUnderLoad, type LoadQuestion, type Strung } from './stringing';

export const WAYS = [
  'as planned',
  'on six mounts',
  'on four mounts',
  'on two mounts',
  'one ahead',
  'three ahead',
  'crosses a kilogram higher',
  'crosses a kilogram lower',
  'outer strings lower',
  'crosses the other way',
  'in one piece',
  'in two pieces',
  'with a lock-out',
] as const;
export type Way = (typeof WAYS)[number];

/** The two outermost strings, each so much lower than the one inside. Common practice on very large heads; the size from memory. */
const OUTER_LOWER = { strings: 2, by: 1, unit: 'kg' } as const;

interface InWay {
  readonly job: Job;
  readonly options: FrameLoadOptions;
}

/** A job in another way; undefined where it is that way already, or cannot be. */
function inWay(job: Job, way: Way): InWay | undefined {
  const { house, tension, choice, bed, machine } = job;
  const another = (changes: Partial<Job>): InWay => ({
    job: jobOf({ ...job, ...changes }),
    options: {},
  });
  const on = (mounts: MountCount): InWay | undefined =>
    machine.mounts === mounts ? undefined : { job, options: { mounts } };
  const ahead = (school: HouseRules['ahead']) =>
    house.ahead === school ? undefined : another({ house: { ...house, ahead: school } });
  const crosses = (by: number) =>
    another({ tension: { ...tension, crossN: tension.crossN + newtons(by, 'kg') } });
  const pieces = (method: PathChoice['method']) =>
    choice.method === method || methodProblem(bed, method, isHybrid(job))
      ? undefined
      : another({ choice: { ...choice, method } });
  switch (way) {
    case 'as planned':
      return { job, options: {} };
    case 'on six mounts':
      return on(6);
    case 'on four mounts':
      return on(4);
    case 'on two mounts':
      return on(2);
    case 'one ahead':
      return ahead('one');
    case 'three ahead':
      return ahead('three');
    case 'crosses a kilogram higher':
      return crosses(1);
    case 'crosses a kilogram lower':
      return crosses(-1);
    case 'outer strings lower': {
      const { spec } = bed;
      if (spec.stringing.stepDown) return undefined;
      const stringing = { ...spec.stringing, stepDown: OUTER_LOWER };
      return another({ bed: { ...bed, spec: { ...spec, stringing } } });
    }
    case 'crosses the other way':
      return { job, options: { crossesTurned: true } };
    case 'in one piece':
      return pieces('one-piece');
    case 'in two pieces':
      return pieces('two-piece');
    case 'with a lock-out':
      return house.benchPull === 'lock-out'
        ? undefined
        : { job, options: { relaxes: house.lockOutShare } };
  }
}

export interface LoadFigures {
  /** The largest change of length or width while it is strung, mm; both after the last main, and when the mounts are open. */
  readonly onTheWayMm: number;
  readonly lengthMainsMm: number;
  readonly widthMainsMm: number;
  readonly lengthEndMm: number;
  readonly widthEndMm: number;
  /** Means beside what was set, N. */
  readonly mainsN: { readonly set: number; readonly final: number };
  readonly crossesN: { readonly set: number; readonly final: number };
  /** How far final tensions scatter around their means, N (standard deviation). */
  readonly spreadN: number;
  readonly weakest: { readonly name: string; readonly finalN: number };
  /** The worst bending moment while it is strung, N·m, anywhere and at 10 and 2 o’clock. */
  readonly momentNm: number;
  readonly momentTenAndTwoNm: number;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/**
 * The figures of a job that was strung in thought.
 *
 * @example
 * loadFigures({ pulls: [], strings: [], end: { string: '', shape: new Float64Array(), lengthChangeMm: 1, widthChangeMm: -2, tensions: {}, mountsN: [], momentNmm: 0, momentAt: 0, momentTenAndTwoNmm: 0 } }).lengthEndMm // 1
 */
export function loadFigures({ pulls, strings, end }: Strung): LoadFigures {
  const of = (kind: 'M' | 'C') => strings.filter(({ name }) => name.startsWith(kind));
  const means = (kind: 'M' | 'C') => ({
    set: mean(of(kind).map(({ setN }) => setN)),
    final: mean(of(kind).map(({ finalN }) => finalN)),
  });
  const [mainsN, crossesN] = [means('M'), means('C')];
  const off = strings.map(
    ({ name, finalN }) => finalN - (name.startsWith('M') ? mainsN.final : crossesN.final),
  );
  const mains = pulls.findLast(({ string }) => string.startsWith('M'));
  const [weakest = { name: '', finalN: 0 }] = strings.toSorted((a, b) => a.finalN - b.finalN);
  const most = (figure: (state: Strung['end']) => number) =>
    pulls.reduce((largest, state) => Math.max(largest, figure(state)), 0);
  return {
    onTheWayMm: most(({ lengthChangeMm, widthChangeMm }) =>
      Math.max(Math.abs(lengthChangeMm), Math.abs(widthChangeMm)),
    ),
    lengthMainsMm: mains?.lengthChangeMm ?? 0,
    widthMainsMm: mains?.widthChangeMm ?? 0,
    lengthEndMm: end.lengthChangeMm,
    widthEndMm: end.widthChangeMm,
    mainsN,
    crossesN,
    spreadN: Math.sqrt(mean(off.map((each) => each ** 2))),
    weakest: { name: weakest.name, finalN: weakest.finalN },
    momentNm: most(({ momentNmm }) => momentNmm) / 1000,
    momentTenAndTwoNm: most(({ momentTenAndTwoNmm }) => momentTenAndTwoNmm) / 1000,
  };
}

/**
 * The figures of a job, strung in thought. Errors: those of `frameLoad`.
 *
 * @example
 * figuresUnderLoad(usual.job).value.mainsN.set > 200 // true
 */
export function figuresUnderLoad(job: Job, options: FrameLoadOptions = {}): Result<LoadFigures> {
  const load = frameLoad(job, options);
  return load.ok ? success(loadFigures(stringUnderLoad(load.value))) : load;
}

export interface StrungInWay {
  readonly question: LoadQuestion;
  readonly strung: Strung;
}

/**
 * A job strung in thought in one way; undefined where it is that way already, or cannot be. Errors: those of `frameLoad`.
 *
 * @param factor stiffness of the hoop beside what is usual, where it was measured
 *
 * @example
 * stringInWay(usual.job, 'as planned').value.strung.pulls.length >= 35 // true
 */
export function stringInWay(job: Job, way: Way, factor = 1): Result<StrungInWay> | undefined {
  const other = inWay(job, way);
  if (!other) return undefined;
  const load = frameLoad(other.job, { ...other.options, factor });
  if (!load.ok) return load;
  return success({ question: load.value, strung: stringUnderLoad(load.value) });
}

/** What more 10 and 2 o’clock bear when the crosses come from the other end, N·m. */
export interface OtherEnd {
  readonly byPlaceNm: number;
  /** Of a hoop that is as stiff all round: what is left when nobody knows how stiff it is where. */
  readonly alikeNm: number;
}

/**
 * How much of what is said of the two ends hangs on how stiff a hoop is where, which is from memory. Errors: those of `frameLoad`.
 *
 * @example
 * otherEnd(usual.job).value.byPlaceNm > 0 // true
 */
export function otherEnd(job: Job, factor = 1): Result<OtherEnd> {
  const more = (uniform: boolean): Result<number> => {
    const planned = figuresUnderLoad(job, { factor, uniform });
    if (!planned.ok) return planned;
    const turned = figuresUnderLoad(job, { factor, uniform, crossesTurned: true });
    if (!turned.ok) return turned;
    return success(turned.value.momentTenAndTwoNm - planned.value.momentTenAndTwoNm);
  };
  const byPlace = more(false);
  if (!byPlace.ok) return byPlace;
  const alike = more(true);
  if (!alike.ok) return alike;
  return success({ byPlaceNm: byPlace.value, alikeNm: alike.value });
}
