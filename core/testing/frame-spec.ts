import type { Mm } from '../measure/quantities';
import { studyFrame, type Bed } from '../frame/bed';
import { NOTHING_SAID, type FrameSpec, type HolePositions } from '../frame/frame';
import type { OutlineFamily } from '../frame/outline';
import type { Sport } from '../terms/sport';

export interface SpecChanges {
  readonly sport?: Sport;
  readonly lengthMm?: Mm;
  readonly widthMm?: Mm;
  readonly outline?: OutlineFamily;
  readonly mains?: number;
  readonly crosses?: number;
  readonly bridgeHoles?: number | null;
  readonly tension?: FrameSpec['tension'];
  readonly head?: readonly number[] | null;
  readonly throat?: readonly number[] | null;
  readonly shared?: readonly string[];
  readonly tieOff?: readonly string[];
  readonly headOutermost?: number;
  readonly throatOutermost?: number;
  readonly double?: readonly string[];
  readonly ports?: readonly string[];
  readonly positionsMm?: HolePositions;
  readonly stringing?: Partial<FrameSpec['stringing']>;
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
  bridgeHoles: changes.bridgeHoles === undefined ? 8 : changes.bridgeHoles,
  tension: changes.tension ?? null,
  holes: {
    head: {
      skip: changes.head ? [...changes.head] : null,
      outermost: changes.headOutermost ?? null,
    },
    throat: {
      skip: changes.throat ? [...changes.throat] : null,
      outermost: changes.throatOutermost ?? null,
    },
    shared: [...(changes.shared ?? [])],
    tieOff: [...(changes.tieOff ?? [])],
    double: [...(changes.double ?? [])],
    ports: [...(changes.ports ?? [])],
    positionsMm: changes.positionsMm ?? null,
  },
  stringing: { ...NOTHING_SAID, ...changes.stringing },
  ownerInsists: changes.ownerInsists ?? false,
});

/** The bed of such a frame; a test that gives one without a bed is wrong. */
export function bedOf(changes: SpecChanges = {}): Bed {
  const { bed, problems } = studyFrame(frameSpec(changes));
  if (!bed) throw new Error(JSON.stringify(problems));
  return bed;
}

/** Rows of a ruler on an elliptical head with these strings on it: mains by x, crosses below the tip; to 0.01 mm. */
export function ruledRows(
  { lengthMm, widthMm }: { readonly lengthMm: Mm; readonly widthMm: Mm },
  mains: readonly number[],
  crosses: readonly number[],
): { head: number[]; side: number[]; throat: number[] } {
  const [a, b] = [widthMm / 2, lengthMm / 2];
  const outermost = mains.at(-1) ?? 0;
  const meetsAt = (below: number) =>
    Math.round(100 * a * Math.sqrt(1 - ((b - below) / b) ** 2)) / 100;
  const among = (side: readonly number[]) =>
    [...mains, ...side.filter((below) => meetsAt(below) < outermost).map(meetsAt)].sort(
      (p, q) => p - q,
    );
  return {
    head: among(crosses.filter((below) => below < b)),
    side: crosses.filter((below) => meetsAt(below) > outermost),
    throat: among(crosses.filter((below) => below > b)),
  };
}
