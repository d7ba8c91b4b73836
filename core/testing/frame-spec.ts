import type { FrameSpec } from '../frame';
import type { OutlineFamily } from '../outline';
import type { Sport } from '../sport';

export interface SpecChanges {
  readonly sport?: Sport;
  readonly lengthMm?: number;
  readonly widthMm?: number;
  readonly outline?: OutlineFamily;
  readonly mains?: number;
  readonly crosses?: number;
  readonly bridgeHoles?: number;
  readonly tension?: FrameSpec['tension'];
  readonly head?: readonly number[] | null;
  readonly throat?: readonly number[] | null;
  readonly shared?: readonly string[];
  readonly tieOff?: readonly string[];
  readonly mainsMm?: readonly number[] | null;
  readonly crossesMm?: readonly number[] | null;
  readonly ownerInsists?: boolean;
}

/**
 * The frame that practice figures are given for, an oval of 336 × 248 mm (100 in²) with 16 × 19
 * and nothing read from it yet, and whatever a test wants otherwise.
 */
export const frameSpec = (changes: SpecChanges = {}): FrameSpec => ({
  sport: changes.sport ?? 'tennis',
  head: {
    lengthMm: changes.lengthMm ?? 336,
    widthMm: changes.widthMm ?? 248,
    outline: changes.outline ?? 'oval',
  },
  pattern: { mains: changes.mains ?? 16, crosses: changes.crosses ?? 19 },
  bridgeHoles: changes.bridgeHoles ?? 8,
  tension: changes.tension ?? null,
  holes: {
    head: { skip: changes.head ? [...changes.head] : null },
    throat: { skip: changes.throat ? [...changes.throat] : null },
    shared: [...(changes.shared ?? [])],
    tieOff: [...(changes.tieOff ?? [])],
    positionsMm:
      changes.mainsMm || changes.crossesMm
        ? {
            mains: changes.mainsMm ? [...changes.mainsMm] : null,
            crosses: changes.crossesMm ? [...changes.crossesMm] : null,
          }
        : null,
  },
  ownerInsists: changes.ownerInsists ?? false,
});
