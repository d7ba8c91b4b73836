/** From a frame and a setup to everything the bench needs: the path, the knots and the lengths. */
import type { Mm, Newtons } from '../measure/quantities';
import { z } from 'zod';
import type { Bed } from '../frame/bed';
import { stretchUnderPull, type Family } from '../terms/family';
import { USUAL_HOUSE, type HouseRules } from '../house/house-rules';
import type { Correction } from './learning';
import { checkSharedSet, pieceLength, type CutAssumptions, type PieceLength } from './lengths';
import { pathThrough, type Path, type PathChoice } from '../path/path';
import { inOrderOf, type OrderCustom } from '../path/pull-order';
import { USUAL_PULL_N } from '../measure/pull-limits';
import type { Piece } from '../path/segments';
import type { Sport } from '../terms/sport';

export interface PlannedString {
  readonly family: Family;
  readonly gaugeMm: Mm;
  /** Fraction by which it is longer under pull; null goes by its family, its thickness and its pull. */
  readonly stretch: number | null;
  /** What it is pulled at, N; the usual pull of its sport where nobody has said. */
  readonly pullN?: Newtons | undefined;
}

/** What past jobs have taught about each piece; a piece without an entry goes by its sum alone. */
export type Learnt = Partial<Record<Piece['name'], Correction>>;

export interface CutPlan {
  readonly path: Path;
  /** In the order of the path's pieces. */
  readonly pieces: readonly PieceLength[];
}

/**
 * The pieces of a job, their way and their length, the strings in the order in which `custom` pulls them: the
 * one order that the Cut station, the work sheet and the bench show. A job in one piece is strung with its
 * mains' string.
 *
 * @example
 * planCut(usual.bed, usual.job, usual.job.choice, usual.job.assumptions).pieces.length // 2
 */
export function planCut(
  bed: Bed,
  strings: { readonly mains: PlannedString; readonly crosses: PlannedString },
  choice: PathChoice,
  assumptions: CutAssumptions,
  learnt: Learnt = {},
  custom: OrderCustom = USUAL_HOUSE,
): CutPlan {
  const path = inOrderOf(pathThrough(bed, choice), bed.spec.sport, custom);
  const pieces = path.pieces.map((piece) => {
    const string = piece.name === 'crosses' ? strings.crosses : strings.mains;
    const other = piece.name === 'mains' ? strings.crosses : strings.mains;
    return pieceLength(
      bed,
      piece,
      {
        gaugeMm: string.gaugeMm,
        stretch: stretchOf(string, bed.spec.sport),
      },
      other.gaugeMm,
      assumptions,
      learnt[piece.name]?.mm,
    );
  });
  return { path, pieces };
}

/**
 * How much longer a string is under its pull: as it was measured, or as its family has it.
 *
 * @example
 * stretchOf({ family: 'monofilament', gaugeMm: 1.25, stretch: 0.04 }, 'tennis') // 0.04
 */
export const stretchOf = (
  { family, gaugeMm, stretch, pullN }: PlannedString,
  sport: Sport,
): number => stretch ?? stretchUnderPull(family, gaugeMm, pullN ?? USUAL_PULL_N[sport]);

export const cutSourceSchema = z.enum(['one set', 'two half sets', 'reel', 'remnant']);
export type CutSourceKind = z.infer<typeof cutSourceSchema>;

export type CutSource =
  | { readonly kind: 'one set'; readonly setMm: Mm }
  | { readonly kind: 'two half sets'; readonly mainSetMm: Mm; readonly crossSetMm: Mm }
  | { readonly kind: 'reel' }
  /** One length for the whole job, or one for each of two pieces. */
  | { readonly kind: 'remnant'; readonly lengthsMm: readonly Mm[] };

export interface SetLengths {
  readonly mainSetMm: Mm;
  readonly crossSetMm: Mm;
  readonly remnantsMm: readonly Mm[];
}

/**
 * What a choice at the Cut station means for these two strings.
 *
 * @example
 * cutSource('one set', { mainSetMm: 12_200, crossSetMm: 12_200, remnantsMm: [] }).kind // 'one set'
 */
export function cutSource(
  kind: CutSourceKind,
  { mainSetMm, crossSetMm, remnantsMm }: SetLengths,
): CutSource {
  switch (kind) {
    case 'reel':
      return { kind };
    case 'one set':
      return { kind, setMm: mainSetMm };
    case 'two half sets':
      return { kind, mainSetMm, crossSetMm };
    case 'remnant':
      return { kind, lengthsMm: remnantsMm };
  }
}

interface PieceSupply {
  readonly name: Piece['name'];
  readonly needMm: Mm;
  /** What it is cut from, mm; undefined off a reel. */
  readonly givenMm: Mm | undefined;
  /** Over, or below zero short; undefined off a reel. */
  readonly spareMm: Mm | undefined;
}

/** What helps a piece that is short: the last pull over a bridge, or the first cross over the starting clamp too. */
type BridgeHelp = 'last' | 'first and last';

export interface SourceCheck {
  /** Every tail reaches the gripper. */
  readonly enough: boolean;
  /** By which pieces it is enough all the same, and with what help; none where it is enough or never is. */
  readonly bridged: readonly { readonly name: Piece['name']; readonly help: BridgeHelp }[];
  readonly pieces: readonly PieceSupply[];
  /** Set when one length serves two pieces: where it is cut, and how far that is from the middle. */
  readonly shared: { readonly cutAtMm: Mm; readonly moveMm: Mm; readonly spareMm: Mm } | undefined;
}

/** Lengths that differ by less are the same to any tape, mm. */
const SAME_MM = 0.5;

/** With what help a piece that is so much short can be strung all the same; undefined where none is enough. */
function bridgeHelp(
  { bridges }: Pick<PieceLength, 'bridges'>,
  shortMm: Mm,
  house: Pick<HouseRules, 'bridge'>,
): BridgeHelp | undefined {
  if (house.bridge === 'never') return undefined;
  if (shortMm <= bridges.lastMm + SAME_MM) return 'last';
  return shortMm <= bridges.lastMm + bridges.firstMm + SAME_MM ? 'first and last' : undefined;
}

/**
 * Whether what the pieces are cut from is enough, and by how much each is over or short.
 *
 * @example
 * checkSource(cutSource('one set', { mainSetMm: 4000, crossSetMm: 4000, remnantsMm: [] }), usual.job.plan.pieces).pieces.some(({ spareMm }) => spareMm < 0) // true
 */
export function checkSource(
  source: CutSource,
  pieces: readonly PieceLength[],
  house: Pick<HouseRules, 'bridge'> = USUAL_HOUSE,
): SourceCheck {
  const supply = (given: readonly (number | undefined)[]): readonly PieceSupply[] =>
    pieces.map(({ name, cutMm }, i) => {
      const givenMm = given[i];
      return {
        name,
        needMm: cutMm,
        givenMm,
        spareMm: givenMm === undefined ? undefined : givenMm - cutMm,
      };
    });
  const verdict = (
    supplied: readonly PieceSupply[],
    shared: SourceCheck['shared'] = undefined,
  ): SourceCheck => {
    const short = supplied.flatMap(({ name, spareMm }, i) => {
      const piece = pieces[i];
      return piece && spareMm !== undefined && spareMm < 0
        ? [{ name, help: bridgeHelp(piece, -spareMm, house) }]
        : [];
    });
    const bridged = short.flatMap(({ name, help }) => (help ? [{ name, help }] : []));
    return {
      enough: short.length === 0,
      bridged: bridged.length === short.length ? bridged : [],
      pieces: supplied,
      shared,
    };
  };
  const total = pieces.reduce((sum, { cutMm }) => sum + cutMm, 0);
  const one = (lengthMm: Mm): SourceCheck => {
    const [first, second] = pieces;
    if (!first || !second) return verdict(supply([lengthMm]));
    const lent = (piece: PieceLength) =>
      house.bridge === 'never' ? 0 : piece.bridges.lastMm + piece.bridges.firstMm;
    const { cutAtMm, moveMm } = checkSharedSet(
      lengthMm,
      { cutMm: first.cutMm, leastMm: first.cutMm - lent(first) },
      { cutMm: second.cutMm, leastMm: second.cutMm - lent(second) },
    );
    return verdict(supply([cutAtMm, lengthMm - cutAtMm]), {
      cutAtMm,
      moveMm,
      spareMm: lengthMm - total,
    });
  };
  switch (source.kind) {
    case 'reel':
      return verdict(supply([]));
    case 'one set':
      return one(source.setMm);
    case 'two half sets':
      return verdict(supply([source.mainSetMm / 2, source.crossSetMm / 2]));
    case 'remnant': {
      const [only, second] = source.lengthsMm;
      return second === undefined ? one(only ?? 0) : verdict(supply([only, second]));
    }
  }
}
