/** What the tails that were left over teach about the next cut. */
import type { Mm } from '../measure/quantities';

/** What a piece took in one past job, more (or below zero less) than its plan said, mm. */
export type Difference = number;

export interface Correction {
  /** Median of the differences, to be added to the next cut, mm. */
  readonly mm: Mm;
  readonly count: number;
  /** Half of the jobs lie within this of the median, mm. */
  readonly spreadMm: Mm;
  /** Whose past it is. */
  readonly from: 'frame' | 'workshop';
}

/** Fewer jobs than this teach nothing yet; the workshop's word needs more than the frame's own. */
const ENOUGH = { frame: 3, workshop: 6 } as const;

/**
 * How much more string a piece took than planned, mm: what was given less what was left, against
 * the plan's cut less the plan's own left-over. The corrections of the time are no part of it.
 *
 * @example
 * difference({ givenMm: 6200, leftOverMm: 700 }, { rawCutMm: 6100, leftMm: 600 }) // 0
 */
export const difference = (
  given: { readonly givenMm: Mm; readonly leftOverMm: Mm },
  plan: { readonly rawCutMm: Mm; readonly leftMm: Mm },
): Difference => given.givenMm - given.leftOverMm - (plan.rawCutMm - plan.leftMm);

/**
 * The correction for the next cut of a piece: the frame's own when it has a past of three jobs, else
 * the workshop's when that has six, else none. A median, so one absurd entry does not move it far.
 */
export function correctionFrom(
  ofFrame: readonly Difference[],
  ofWorkshop: readonly Difference[],
): Correction | undefined {
  const [from, values] =
    ofFrame.length >= ENOUGH.frame
      ? (['frame', ofFrame] as const)
      : (['workshop', ofWorkshop] as const);
  if (values.length < ENOUGH[from]) return undefined;
  const mm = median(values);
  return {
    mm,
    count: values.length,
    spreadMm: median(values.map((value) => Math.abs(value - mm))),
    from,
  };
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = sorted.length >> 1;
  const upper = sorted[middle] as number;
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[middle - 1] as number)) / 2;
}

/** One measured piece of a past job. */
export interface PastPiece<Name extends string> {
  readonly frameId: string | null;
  readonly name: Name;
  readonly difference: Difference;
}

/**
 * The correction of each piece for the next job on a frame (`null` where it is not known: then the workshop's alone),
 * from the past of one sport in a workshop.
 *
 * @example
 * learnFrom([], null) // {}
 */
export function learnFrom<Name extends string>(
  past: readonly PastPiece<Name>[],
  frameId: string | null,
): Partial<Record<Name, Correction>> {
  const learnt: Partial<Record<Name, Correction>> = {};
  for (const name of new Set(past.map((piece) => piece.name))) {
    const ofPiece = past.filter((piece) => piece.name === name);
    // Frames that are not known are not one frame.
    const ofFrame = ofPiece.filter((piece) => frameId !== null && piece.frameId === frameId);
    const correction = correctionFrom(
      ofFrame.map((piece) => piece.difference),
      ofPiece.map((piece) => piece.difference),
    );
    if (correction) learnt[name] = correction;
  }
  return learnt;
}
