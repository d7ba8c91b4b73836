/** How to measure a piece without a tape: along the frame, and in arm spans. */
import type { Mm } from '../measure/quantities';
import type { Bed } from '../frame/bed';
import type { CutAssumptions, PieceLength, SideLength } from './lengths';
import type { Piece } from '../path/segments';

/** A length laid out along the frame: head lengths, head widths, ends that reach the gripper, the rest. */
interface AlongFrame {
  readonly headLengths: number;
  readonly headWidths: number;
  readonly ends: number;
  /** Still to add, or below zero to leave off, mm. */
  readonly restMm: Mm;
}

/**
 * A length as one measures it along the frame (common practice): a head length a main, a head width
 * a cross, and the distance to the gripper for each end; the rest makes it exact.
 */
function alongFrame(
  { spec }: Bed,
  { mm, mains, crosses }: SideLength,
  ends: number,
  { gripperMm }: CutAssumptions,
): AlongFrame {
  const { lengthMm, widthMm } = spec.head;
  return {
    headLengths: mains,
    headWidths: crosses,
    ends,
    restMm: mm - mains * lengthMm - crosses * widthMm - ends * gripperMm,
  };
}

const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

function recipe(
  { headLengths, headWidths, ends, restMm }: AlongFrame,
  words: (mm: Mm) => string,
): string {
  const laid = [
    ...(headLengths > 0 ? [plural(headLengths, 'head length', 'head lengths')] : []),
    ...(headWidths > 0 ? [plural(headWidths, 'head width', 'head widths')] : []),
    `from the last hole to the gripper${ends === 2 ? ', twice' : ''}`,
  ].join(', ');
  return `${laid}, ${words(Math.abs(restMm))} ${restMm < 0 ? 'less' : 'more'}`;
}

const NAMES: Record<Piece['name'], string> = {
  mains: 'Mains',
  crosses: 'Crosses',
  whole: 'The one piece',
};

/**
 * One sentence on measuring this piece without a tape. `words` says a length as the workshop does.
 *
 * @example
 * measureWords(usual.bed, usual.job.plan.pieces[1], usual.job.assumptions, (mm) => `${Math.round(mm / 10)} cm`) // 'Crosses: 19 head widths, from the last hole to the gripper, twice, 5 cm more.'
 */
export function measureWords(
  bed: Bed,
  piece: PieceLength,
  assumptions: CutAssumptions,
  words: (mm: Mm) => string,
): string {
  const { cutMm, sides, mains, crosses } = piece;
  const how =
    piece.name === 'whole' && sides
      ? `short side ${recipe(alongFrame(bed, sides[0], 1, assumptions), words)}, and mark it; from the mark the long side ${recipe(alongFrame(bed, sides[1], 1, assumptions), words)}`
      : recipe(alongFrame(bed, { mm: cutMm, mains, crosses }, 2, assumptions), words);
  const { armSpanMm } = assumptions;
  const spans =
    armSpanMm === null ? '' : ` That is ${(cutMm / armSpanMm).toFixed(1)} of your arm spans.`;
  return `${NAMES[piece.name]}: ${how}.${spans}`;
}
