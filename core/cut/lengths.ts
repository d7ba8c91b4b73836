/** How much string each piece takes: a sum of named parts, and whether what it is cut from is enough. */
import type { Mm } from '../measure/quantities';
import { z } from 'zod';
import type { Bed } from '../frame/bed';
import { offsetRun, polylineLength, type Outline } from '../frame/outline';
import { isInside, type HolePlace, type Piece, type Segment } from '../path/segments';
import { isMain } from '../terms/string-name';
import type { Sport } from '../terms/sport';

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
  /** From fingertip to fingertip of this stringer, for measuring without a tape; null when unknown. */
  armSpanMm: z.number().min(1000).max(2500).nullable(),
});

export type CutAssumptions = z.infer<typeof cutAssumptionsSchema>;

/** Common practice, no source: two ends of 36 cm, and a hand's breadth for luck. */
export const USUAL_ASSUMPTIONS: CutAssumptions = {
  gripperMm: 360,
  knotMm: 60,
  tailMm: 60,
  marginMm: 50,
  armSpanMm: null,
};

/**
 * What is assumed of a cut on a machine: its own gripper, where the machine is known.
 *
 * @example
 * assumedOn(USUAL_ASSUMPTIONS, { gripperMm: 300 }).gripperMm // 300
 */
export const assumedOn = (
  assumptions: CutAssumptions,
  machine: { readonly gripperMm: Mm } | undefined,
): CutAssumptions => (machine ? { ...assumptions, gripperMm: machine.gripperMm } : assumptions);

/** From the inside of the rim to the groove that the outside runs lie in, mm. From memory. */
const PASSAGE_MM: Record<Sport, number> = { tennis: 12, squash: 10, badminton: 8 };

/**
 * @example
 * passageMm('tennis') // 12
 */
export const passageMm = (sport: Sport): Mm => PASSAGE_MM[sport];

/** In an open port the string turns round the inner part of the wall, not in a groove outside it. From memory; held to practice by 17 ft of crosses. */
const PORT_SHARE = 0.3;

const passageAt = (sport: Sport, { hole }: HolePlace): Mm =>
  passageMm(sport) * (hole.port ? PORT_SHARE : 1);

/**
 * What has to stand out of the last hole, mm: as far as the gripper, or a hand's breadth in badminton, where the thin
 * string still gives by that much under its pull and the rest is lent by a clamp. Common practice.
 */
const HAND_MM = 100;
const reachMm = (sport: Sport, gripperMm: Mm, tieMm: Mm): Mm =>
  Math.max(0, sport === 'badminton' ? Math.min(HAND_MM, gripperMm - tieMm) : gripperMm - tieMm);

export type PartName =
  | 'inside strings'
  | 'outside runs'
  | 'through the frame'
  | 'crimp'
  | 'tie-offs and knots'
  | 'reach to the gripper'
  | 'margin'
  | 'stretch'
  | 'learnt';

export interface Part {
  readonly name: PartName;
  /** Negative for stretch, which is string saved, and for what past jobs did not need. */
  readonly mm: Mm;
}

/** What is strung between one end of a piece and the middle of its centre loop. */
export interface SideLength {
  /** From that end of the string to the mark at the centre loop. */
  readonly mm: Mm;
  readonly mains: number;
  readonly crosses: number;
}

export interface PieceLength {
  readonly name: Piece['name'];
  readonly parts: readonly Part[];
  /** The sum of the parts. */
  readonly cutMm: Mm;
  /** What a bridge saves where there is not enough, mm: at its last pull, and at the first cross over the starting clamp. */
  readonly bridges: { readonly lastMm: Mm; readonly firstMm: Mm };
  /** What of it is cut off again at the two ends when all goes as planned. */
  readonly leftMm: Mm;
  /** The same length counted in lengths of this head, as one measures along the frame. */
  readonly headLengths: number;
  /** From the first end to the centre loop and from there to the other end; none for crosses alone. */
  readonly sides: readonly [SideLength, SideLength] | undefined;
  readonly mains: number;
  readonly crosses: number;
}

const point = ({ hole, side }: HolePlace) => ({ x: side === 'left' ? -hole.x : hole.x, y: hole.y });

/** True chord of an inside string between its two holes, mm. */
function chordMm(from: HolePlace, to: HolePlace): number {
  const [p, q] = [point(from), point(to)];
  return Math.hypot(p.x - q.x, p.y - q.y);
}

/** Way along the groove between two holes, mm: the rim moved outwards by the depth of the frame. */
function outsideRunMm(outline: Outline, sport: Sport, from: HolePlace, to: HolePlace): number {
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
function crimpMm(chord: number, crossings: number, thicknessMm: Mm): number {
  const gap = chord / (crossings + 1);
  return (crossings + 1) * (Math.hypot(gap, thicknessMm) - gap);
}

export interface StringInPiece {
  readonly gaugeMm: Mm;
  /** Fraction by which the string is longer under pull. */
  readonly stretch: number;
}

/** Sums over some of the segments of a piece, mm. */
interface Sums {
  readonly inside: number;
  readonly outside: number;
  readonly through: number;
  readonly crimp: number;
  readonly ties: number;
  readonly reach: number;
}

function sumsOver(
  bed: Bed,
  segments: readonly Segment[],
  thicknessMm: Mm,
  assumptions: CutAssumptions,
): Sums {
  const { outline } = bed;
  const { sport } = bed.spec;
  const sums = { inside: 0, outside: 0, through: 0, crimp: 0, ties: 0, reach: 0 };
  for (const segment of segments) {
    if (segment.kind === 'inside') {
      const chord = chordMm(segment.from, segment.to);
      sums.inside += chord;
      sums.through += passageAt(sport, segment.from) + passageAt(sport, segment.to);
      sums.crimp += crimpMm(chord, segment.crossings.length, thicknessMm);
    } else if (segment.kind === 'outside') {
      sums.outside += outsideRunMm(outline, sport, segment.from, segment.to);
    } else if (segment.kind === 'tie-off run') {
      const run = outsideRunMm(outline, sport, segment.from, segment.to);
      const tie = run + passageMm(sport) + assumptions.knotMm + assumptions.tailMm;
      sums.ties += tie;
      // The tail that reached the gripper is the one that is tied, so only the longer of the two counts.
      sums.reach += reachMm(sport, assumptions.gripperMm, tie);
    }
  }
  return sums;
}

/** What must stand out of the last hole for a clamp to take hold of, when a bridge reaches the gripper for it, mm. From memory. */
const BRIDGE_TAIL_MM = 120;

/**
 * What each end can do without when a bridge lends its reach. The last pull of a piece may go over one; the
 * first cross of a piece of crosses is held outside by the starting clamp anyway, and can be pulled again by it.
 */
function bridgesOf(piece: Piece, bed: Bed, assumptions: CutAssumptions): PieceLength['bridges'] {
  const saved = piece.segments
    .filter((segment) => segment.kind === 'tie-off run')
    .map((segment) => {
      const { reach } = sumsOver(bed, [segment], 0, assumptions);
      return Math.max(0, Math.min(reach, assumptions.gripperMm - BRIDGE_TAIL_MM));
    });
  const [first = 0, last = 0] = saved;
  return { lastMm: last, firstMm: piece.name === 'crosses' ? first : 0 };
}

const pulledLength = ({ inside, outside, through, crimp }: Sums): number =>
  inside + outside + through + crimp;

/** The run that joins the two innermost mains. */
const isCentreLoop = (segments: readonly Segment[], i: number): boolean => {
  const [before, here, after] = [segments[i - 1], segments[i], segments[i + 1]];
  return (
    here?.kind === 'outside' &&
    before?.kind === 'inside' &&
    after?.kind === 'inside' &&
    before.string.startsWith('M1') &&
    after.string.startsWith('M1') &&
    before.from.hole.main === 1 &&
    after.from.hole.main === 1
  );
};

/**
 * Length to cut for a piece, mm. `otherGaugeMm` is the thickness of the strings it is woven with;
 * `learntMm` is what past jobs took more (or, below zero, less) than the sum says.
 */
export function pieceLength(
  bed: Bed,
  piece: Piece,
  string: StringInPiece,
  otherGaugeMm: Mm,
  assumptions: CutAssumptions,
  learntMm = 0,
): PieceLength {
  const { segments } = piece;
  const thickness = (string.gaugeMm + otherGaugeMm) / 2;
  const measure = (some: readonly Segment[]) => sumsOver(bed, some, thickness, assumptions);
  const slack = 1 / (1 + string.stretch);
  const sums = measure(segments);
  const pulled = pulledLength(sums);
  const parts: readonly Part[] = [
    { name: 'inside strings', mm: sums.inside },
    { name: 'outside runs', mm: sums.outside },
    { name: 'through the frame', mm: sums.through },
    { name: 'crimp', mm: sums.crimp },
    { name: 'tie-offs and knots', mm: sums.ties },
    { name: 'reach to the gripper', mm: sums.reach },
    { name: 'margin', mm: assumptions.marginMm },
    { name: 'stretch', mm: pulled * (slack - 1) },
    ...(learntMm === 0 ? [] : [{ name: 'learnt' as const, mm: learntMm }]),
  ];
  const cutMm = parts.reduce((total, part) => total + part.mm, 0);
  const strung = segments.filter(isInside);
  const mains = strung.filter(({ string: name }) => isMain(name)).length;

  const loop = segments.findIndex((_, i) => isCentreLoop(segments, i));
  const sideOf = (some: readonly Segment[]): SideLength => {
    const side = measure(some);
    const half = measure(loop < 0 ? [] : [segments[loop] as Segment]);
    const inside = some.filter(isInside);
    const ownMains = inside.filter(({ string: name }) => isMain(name)).length;
    return {
      mm:
        (pulledLength(side) + pulledLength(half) / 2) * slack +
        side.ties +
        side.reach +
        (assumptions.marginMm + learntMm) / 2,
      mains: ownMains,
      crosses: inside.length - ownMains,
    };
  };
  return {
    name: piece.name,
    parts,
    cutMm,
    bridges: bridgesOf(piece, bed, assumptions),
    leftMm: 2 * assumptions.tailMm + sums.reach + assumptions.marginMm,
    headLengths: cutMm / bed.spec.head.lengthMm,
    sides:
      loop < 0 ? undefined : [sideOf(segments.slice(0, loop)), sideOf(segments.slice(loop + 1))],
    mains,
    crosses: strung.length - mains,
  };
}

/** A piece's length to cut, and the least that does with every bridge, mm. */
interface Need {
  readonly cutMm: Mm;
  readonly leastMm: Mm;
}

/**
 * Where one length is cut for two pieces, mm from the mains' end. It is halved when half does for
 * each; otherwise the cut moves just far enough for the piece that is short. When it is not enough for
 * both, what is missing is taken from the crosses as far as their bridges go, then from the mains; when even
 * that is not enough it is halved, and both pieces are counted from the middle. `moveMm` is how far the cut
 * lies from the middle towards the crosses' end (negative: towards the mains').
 */
export function checkSharedSet(
  setMm: Mm,
  mains: Need,
  crosses: Need,
): { readonly cutAtMm: Mm; readonly moveMm: Mm } {
  const half = setMm / 2;
  const at = (cutAtMm: Mm) => ({ cutAtMm, moveMm: cutAtMm - half });
  if (mains.leastMm + crosses.leastMm > setMm) return at(half);
  if (mains.cutMm + crosses.cutMm > setMm)
    return at(Math.min(mains.cutMm, setMm - crosses.leastMm));
  if (mains.cutMm > half) return at(mains.cutMm);
  return at(crosses.cutMm > half ? setMm - crosses.cutMm : half);
}
