/** What a hoop does to a job, for the pages that ask. */
import { workedOutOnce } from '@/app/worked-out-once';
import type { CrossesEnd } from '@/core/advice/rule';
import type { Job } from '@/core/bench/job';
import { studyFrame } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import type { HouseRules } from '@/core/house/house-rules';
import { crossesEnd } from '@/core/load/crosses-end';
import type { Frame } from '@/db/frames';
import { figuresUnderLoad, type LoadFigures } from '@/core/load/ways';

/** What the crosses of a frame end at; undefined where it cannot be strung. */
export const crossesEndOf = workedOutOnce(
  300,
  (spec: FrameSpec, factor: number | null, house: HouseRules): CrossesEnd | undefined => {
    const { bed } = studyFrame(spec);
    const found = bed && crossesEnd(bed, house, factor);
    return found?.ok ? found.value : undefined;
  },
);

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
  const figures = figuresUnderLoad(job, { factor: factor ?? 1 });
  return figures.ok ? outOfShape(figures.value, house) : [];
}

/** How far to trust what is said of a hoop. */
export const loadTrust = (frame: Pick<Frame, 'hoopFactor' | 'hoopErrorMm'> | undefined): string =>
  frame?.hoopFactor
    ? `This hoop was measured: ${Math.round(frame.hoopFactor * 100)} % of the usual stiffness, off by ${(frame.hoopErrorMm ?? 0).toFixed(2)} mm where it was.`
    : 'How stiff a hoop is where is from memory: compare the ways, and trust a figure alone only when this frame was measured.';
