/** How much string each piece takes: a sum of named parts, and whether what it is cut from is enough. */
import { z } from 'zod';
import type { Bed } from './bed';
import { offsetRun, polylineLength, type Outline } from './outline';
import type { HolePlace, Piece, Segment } from './path';
import type { Sport } from './sport';

/** What a workshop assumes about its machine and habits; all mm. */
export const cutAssumptionsSchema = z.object({
  /** From the last hole to the far side of the tension head's gripper. */
  gripperMm: z.number().min(100).max(900),
  /** String a knot takes up. */
  knotMm: z.number().min(20).max(200),
  /** What stays beyond the knot to pull it up by. */
  tailMm: z.number().min(20).max(300),
  /** Added to each piece for reading errors. */
  marginMm: z.number().min(0).max(500),
});

export type CutAssumptions = z.infer<typeof cutAssumptionsSchema>;

/** Common practice, no source: two ends of 36 cm, and a hand's breadth for luck. */
export const USUAL_ASSUMPTIONS: CutAssumptions = {
  gripperMm: 360,
  knotMm: 60,
  tailMm: 60,
  marginMm: 50,
};

/** From the inside of the rim to the groove that the outside runs lie in, mm. From memory. */
const PASSAGE_MM: Record<Sport, number> = { tennis: 12, squash: 10, badminton: 8 };

export const passageMm = (sport: Sport): number => PASSAGE_MM[sport];

export type PartName =
  | 'inside strings'
  | 'outside runs'
  | 'through the frame'
  | 'crimp'
  | 'tie-offs and knots'
  | 'reach to the gripper'
  | 'margin'
  | 'stretch';

export interface Part {
  readonly name: PartName;
  /** Negative for stretch, which is string saved. */
  readonly mm: number;
}

export interface PieceLength {
  readonly name: Piece['name'];
  readonly parts: readonly Part[];
  /** The sum of the parts. */
  readonly cutMm: number;
  /** The same length counted in lengths of this head, as one measures along the frame. */
  readonly headLengths: number;
}

const point = ({ hole, side }: HolePlace) => ({ x: side === 'left' ? -hole.x : hole.x, y: hole.y });

/** True chord of an inside string between its two holes, mm. */
export function chordMm(from: HolePlace, to: HolePlace): number {
  const [p, q] = [point(from), point(to)];
  return Math.hypot(p.x - q.x, p.y - q.y);
}

/** Way along the groove between two holes, mm: the rim moved outwards by the depth of the frame. */
export function outsideRunMm(
  outline: Outline,
  sport: Sport,
  from: HolePlace,
  to: HolePlace,
): number {
  const depth = passageMm(sport);
  if (from.side === to.side)
    return polylineLength(offsetRun(outline, from.hole.arc, to.hole.arc, depth));
  const middle = from.hole.end === 'head' ? 0 : (outline.half.at(-1)?.arc ?? 0);
  const half = (hole: HolePlace) =>
    polylineLength(offsetRun(outline, hole.hole.arc, middle, depth));
  return half(from) + half(to);
}

/**
 * What the weave adds, mm. At each crossing the two strings lie one thickness apart, half of it
 * taken by each, so over the gap g to the next crossing a string of the bed climbs by the mean
 * thickness d: √(g² + d²) − g ≈ d²/2g. Small-slope geometry; the real bend radius is left out.
 */
function crimpMm(chord: number, crossings: number, thicknessMm: number): number {
  const gap = chord / (crossings + 1);
  return (crossings + 1) * (Math.hypot(gap, thicknessMm) - gap);
}

export interface StringInPiece {
  readonly gaugeMm: number;
  /** Fraction by which the string is longer under pull. */
  readonly stretch: number;
}

/** Length to cut for a piece. `otherGaugeMm` is the thickness of the strings it is woven with. */
export function pieceLength(
  bed: Bed,
  piece: Piece,
  string: StringInPiece,
  otherGaugeMm: number,
  assumptions: CutAssumptions,
): PieceLength {
  const sport = bed.spec.sport;
  const { outline } = bed;
  const sum = (measure: (segment: Segment) => number) =>
    piece.segments.reduce((total, segment) => total + measure(segment), 0);

  const inside = sum((s) => (s.kind === 'inside' ? chordMm(s.from, s.to) : 0));
  const outside = sum((s) =>
    s.kind === 'outside' ? outsideRunMm(outline, sport, s.from, s.to) : 0,
  );
  const through = 2 * passageMm(sport) * piece.segments.filter((s) => s.kind === 'inside').length;
  const thickness = (string.gaugeMm + otherGaugeMm) / 2;
  const crimp = sum((s) =>
    s.kind === 'inside' ? crimpMm(chordMm(s.from, s.to), s.crossings.length, thickness) : 0,
  );
  let ties = 0;
  let reach = 0;
  for (const segment of piece.segments) {
    if (segment.kind !== 'tie-off run') continue;
    const run = outsideRunMm(outline, sport, segment.from, segment.to);
    const tie = run + passageMm(sport) + assumptions.knotMm + assumptions.tailMm;
    ties += tie;
    // The tail that reached the gripper is the one that is tied, so only the longer of the two counts.
    reach += Math.max(0, assumptions.gripperMm - tie);
  }
  const stretched = inside + outside + through + crimp;
  const parts: readonly Part[] = [
    { name: 'inside strings', mm: inside },
    { name: 'outside runs', mm: outside },
    { name: 'through the frame', mm: through },
    { name: 'crimp', mm: crimp },
    { name: 'tie-offs and knots', mm: ties },
    { name: 'reach to the gripper', mm: reach },
    { name: 'margin', mm: assumptions.marginMm },
    { name: 'stretch', mm: -(stretched * string.stretch) / (1 + string.stretch) },
  ];
  const cutMm = parts.reduce((total, part) => total + part.mm, 0);
  return { name: piece.name, parts, cutMm, headLengths: cutMm / bed.spec.head.lengthMm };
}

export interface SetCheck {
  /** What each piece gets when the set is cut where `cutAtMm` says, from the mains' end. */
  readonly cutAtMm: number;
  readonly mainsSpareMm: number;
  readonly crossesSpareMm: number;
  readonly enough: boolean;
  /** How far the cut must move from the middle towards the crosses' end (negative: towards the mains'), mm. */
  readonly moveMm: number;
}

/**
 * One set for both pieces. It is halved when half does for each; otherwise the cut moves just far
 * enough for the piece that is short. When even that is not enough, both spares are counted from
 * the middle, and one is negative.
 */
export function checkSharedSet(setMm: number, mainsMm: number, crossesMm: number): SetCheck {
  const half = setMm / 2;
  const enough = mainsMm + crossesMm <= setMm;
  const cutAtMm = !enough
    ? half
    : mainsMm > half
      ? mainsMm
      : crossesMm > half
        ? setMm - crossesMm
        : half;
  return {
    cutAtMm,
    mainsSpareMm: cutAtMm - mainsMm,
    crossesSpareMm: setMm - cutAtMm - crossesMm,
    enough,
    moveMm: cutAtMm - half,
  };
}
