/** From a frame and a setup to everything the bench needs: the path, the knots and the lengths. */
import { stretchUnderPull, type Family } from './family';
import type { Bed } from './bed';
import {
  checkSharedSet,
  pieceLength,
  type CutAssumptions,
  type PieceLength,
  type SetCheck,
} from './lengths';
import type { Side } from './outline';
import { twoPiecePath, type TwoPiecePath } from './path';

export interface PlannedString {
  readonly family: Family;
  readonly gaugeMm: number;
  /** Fraction by which it is longer under pull; null goes by its family. */
  readonly stretch: number | null;
}

export interface CutPlan {
  readonly path: TwoPiecePath;
  readonly mains: PieceLength;
  readonly crosses: PieceLength;
}

/** The two pieces of a job, their way and their length. */
export function planCut(
  bed: Bed,
  strings: { readonly mains: PlannedString; readonly crosses: PlannedString },
  crossStart: Side,
  assumptions: CutAssumptions,
): CutPlan {
  const path = twoPiecePath(bed, crossStart);
  const pulled = (string: PlannedString) => ({
    gaugeMm: string.gaugeMm,
    stretch: string.stretch ?? stretchUnderPull(string.family, bed.spec.sport),
  });
  const { mains, crosses } = strings;
  return {
    path,
    mains: pieceLength(bed, path.mains, pulled(mains), crosses.gaugeMm, assumptions),
    crosses: pieceLength(bed, path.crosses, pulled(crosses), mains.gaugeMm, assumptions),
  };
}

export type CutSource =
  | { readonly kind: 'one set'; readonly setMm: number }
  | { readonly kind: 'two half sets'; readonly mainSetMm: number; readonly crossSetMm: number }
  | { readonly kind: 'reel' };

/** What a choice at the Cut station means for these two strings. */
export function cutSource(
  kind: CutSource['kind'],
  mainSetMm: number,
  crossSetMm: number,
): CutSource {
  if (kind === 'reel') return { kind };
  return kind === 'one set' ? { kind, setMm: mainSetMm } : { kind, mainSetMm, crossSetMm };
}

export interface SourceCheck {
  readonly enough: boolean;
  readonly mainsSpareMm: number | undefined;
  readonly crossesSpareMm: number | undefined;
  /** Set when one set serves both pieces. */
  readonly sharedSet: SetCheck | undefined;
}

/** Whether what the pieces are cut from is enough, and by how much each is over or short. */
export function checkSource(source: CutSource, mainsMm: number, crossesMm: number): SourceCheck {
  if (source.kind === 'reel')
    return {
      enough: true,
      mainsSpareMm: undefined,
      crossesSpareMm: undefined,
      sharedSet: undefined,
    };
  if (source.kind === 'one set') {
    const sharedSet = checkSharedSet(source.setMm, mainsMm, crossesMm);
    const { enough, mainsSpareMm, crossesSpareMm } = sharedSet;
    return { enough, mainsSpareMm, crossesSpareMm, sharedSet };
  }
  const mainsSpareMm = source.mainSetMm / 2 - mainsMm;
  const crossesSpareMm = source.crossSetMm / 2 - crossesMm;
  return {
    enough: mainsSpareMm >= 0 && crossesSpareMm >= 0,
    mainsSpareMm,
    crossesSpareMm,
    sharedSet: undefined,
  };
}
