/** Ways to string the same frame, side by side: what each school does to the hoop and leaves in the bed. */
import { jobOf, type Job } from '../bench/job';
import { newtons } from '../measure/units';
import type { Result } from '../terms/result';
import { frameLoad, type MountCount } from './frame-load';
import { stringUnderLoad, type Strung } from './stringing';

export const WAYS = [
  'as planned',
  'on two mounts',
  'on four mounts',
  'one ahead',
  'three ahead',
  'crosses a kilogram higher',
  'crosses a kilogram lower',
  'in one piece',
] as const;
export type Way = (typeof WAYS)[number];

/** A job in another way; undefined where it is that way already. */
function inWay(job: Job, way: Way): Job | undefined {
  const { house, tension, choice } = job;
  const another = (changes: Partial<Job>) => jobOf({ ...job, ...changes });
  const crosses = (by: number) =>
    another({ tension: { ...tension, crossN: tension.crossN + newtons(by, 'kg') } });
  switch (way) {
    case 'as planned':
    case 'on two mounts':
    case 'on four mounts':
      return job;
    case 'one ahead':
      return house.ahead === 'one' ? undefined : another({ house: { ...house, ahead: 'one' } });
    case 'three ahead':
      return house.ahead === 'three' ? undefined : another({ house: { ...house, ahead: 'three' } });
    case 'crosses a kilogram higher':
      return crosses(1);
    case 'crosses a kilogram lower':
      return crosses(-1);
    case 'in one piece':
      return choice.method === 'one-piece'
        ? undefined
        : another({ choice: { ...choice, method: 'one-piece' } });
  }
}

const mountsOf = (way: Way): MountCount =>
  way === 'on two mounts' ? 2 : way === 'on four mounts' ? 4 : 6;

export interface WayFigures {
  readonly way: Way;
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
  /** The worst bending moment while it is strung, N·m. */
  readonly momentNm: number;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/**
 * The figures of a job that was strung in thought.
 *
 * @example
 * wayFigures('as planned', { pulls: [], strings: [], end: { string: '', shape: new Float64Array(), lengthChangeMm: 1, widthChangeMm: -2, tensions: {}, mountsN: [], momentNmm: 0, momentAt: 0 } }).lengthEndMm // 1
 */
export function wayFigures(way: Way, { pulls, strings, end }: Strung): WayFigures {
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
  return {
    way,
    onTheWayMm: pulls.reduce(
      (most, { lengthChangeMm, widthChangeMm }) =>
        Math.max(most, Math.abs(lengthChangeMm), Math.abs(widthChangeMm)),
      0,
    ),
    lengthMainsMm: mains?.lengthChangeMm ?? 0,
    widthMainsMm: mains?.widthChangeMm ?? 0,
    lengthEndMm: end.lengthChangeMm,
    widthEndMm: end.widthChangeMm,
    mainsN,
    crossesN,
    spreadN: Math.sqrt(mean(off.map((each) => each ** 2))),
    weakest: { name: weakest.name, finalN: weakest.finalN },
    momentNm: pulls.reduce((most, { momentNmm }) => Math.max(most, momentNmm), 0) / 1000,
  };
}

/**
 * A job strung in thought in one way; undefined where it is that way already. Errors: those of `frameLoad`.
 *
 * @param factor stiffness of the hoop beside what is usual, where it was measured
 *
 * @example
 * stringInWay(usual.job, 'as planned').value.pulls.length >= 35 // true
 */
export function stringInWay(job: Job, way: Way, factor = 1): Result<Strung> | undefined {
  const other = inWay(job, way);
  if (!other) return undefined;
  const load = frameLoad(other, { mounts: mountsOf(way), factor });
  return load.ok ? { ok: true, value: stringUnderLoad(load.value) } : load;
}

/** Further out of shape than this on the way, mm, a frame is at risk; a house figure. From memory. */
export const MOST_OUT_OF_SHAPE_MM = 4;
