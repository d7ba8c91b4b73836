/** What a hoop does to a job, worked out once for all pages that ask. */
import { LRUCache } from 'lru-cache';
import type { CrossesEnd } from '@/core/advice/rule';
import type { Job } from '@/core/bench/job';
import type { Bed } from '@/core/frame/bed';
import type { HouseRules } from '@/core/house/house-rules';
import { crossesEnd } from '@/core/load/crosses-end';
import type { Frame } from '@/db/frames';
import { loadFigures, stringInWay, type LoadFigures } from '@/core/load/ways';

const ends = new LRUCache<string, { readonly end: CrossesEnd | undefined }>({ max: 300 });

/** What the crosses of a frame end at; undefined where it cannot be strung. */
export function crossesEndOf(
  bed: Bed,
  factor: number | null,
  house: HouseRules,
): CrossesEnd | undefined {
  const key = JSON.stringify([bed.spec, factor, house]);
  const known = ends.get(key);
  if (known) return known.end;
  const found = crossesEnd(bed, house, factor);
  const end = found.ok ? found.value : undefined;
  ends.set(key, { end });
  return end;
}

/** What is said before the bench where a job leaves its hoop further out of shape than the house allows. */
export const outOfShape = (
  { onTheWayMm }: LoadFigures,
  { mostOutOfShapeMm }: HouseRules,
): readonly string[] =>
  onTheWayMm > mostOutOfShapeMm
    ? [
        `On the way this hoop is ${onTheWayMm.toFixed(1)} mm out of shape: more than the ${mostOutOfShapeMm} mm of the house. Look at the maker’s instructions, and at the mounts.`,
      ]
    : [];

/** The same, of a job that was not strung in thought yet. */
export function outOfShapeAsPlanned(
  job: Job,
  factor: number | null,
  house: HouseRules,
): readonly string[] {
  const strung = stringInWay(job, 'as planned', factor ?? 1);
  return strung?.ok ? outOfShape(loadFigures(strung.value.strung), house) : [];
}

/** How far to trust what is said of a hoop. */
export const loadTrust = (frame: Pick<Frame, 'hoopFactor' | 'hoopErrorMm'> | undefined): string =>
  frame?.hoopFactor
    ? `This hoop was measured: ${Math.round(frame.hoopFactor * 100)} % of the usual stiffness, off by ${(frame.hoopErrorMm ?? 0).toFixed(2)} mm where it was.`
    : 'How stiff a hoop is where is from memory: compare the ways, and trust a figure alone only when this frame was measured.';
