/** Sentences that several places of the application and of a record say in the same words. */
import type { Bed } from './bed';
import { letter } from './holes';
import type { End, Side } from './outline';
import type { Knot } from './pattern';
import type { SourceCheck } from './plan';
import { formatFeet, formatMetres, formatStringLength, type LengthSystem } from './units';

export const skipWords = (numbers: readonly number[], end: End): string =>
  numbers.length > 0 ? numbers.map((n) => `${n}${letter(end)}`).join(' ') : 'none';

export const knotWords = ({ piece, hole, side }: Knot): string => `${piece}: ${hole.label} ${side}`;

/** `3 at the head, 1 at the throat`. */
export function knotCount(knots: readonly { readonly end: End }[]): string {
  const atHead = knots.filter(({ end }) => end === 'head').length;
  return `${atHead} at the head, ${knots.length - atHead} at the throat`;
}

/** What follows for the last cross when the first one starts on this side. */
export const crossWay = (start: Side, finish: Side, crosses: number): string =>
  `start ${start}, finish ${finish} (${crosses} crosses)`;

export const mainsWay = (bed: Pick<Bed, 'mainsStart' | 'mainsFinish'>): string =>
  `start at the ${bed.mainsStart}, finish at the ${bed.mainsFinish}`;

/** A difference as one says it: whole centimetres below a metre, or feet and inches. */
export function lengthWords(mm: number, system: LengthSystem): string {
  if (system === 'imperial') return formatFeet(mm);
  return mm < 1000 ? `${Math.round(mm / 10)} cm` : formatMetres(mm);
}

/** `14 cm over`, `46 cm short`. */
export function spareText(mm: number, system: LengthSystem): string {
  if (Math.abs(mm) < 5) return 'just enough';
  return `${lengthWords(Math.abs(mm), system)} ${mm < 0 ? 'short' : 'over'}`;
}

/** Whether what it is cut from is enough, and what to do when half of it is not. */
export function cutAdvice(
  check: SourceCheck,
  system: LengthSystem,
): { caution?: string; word: string } {
  const { sharedSet, mainsSpareMm, crossesSpareMm } = check;
  if (mainsSpareMm === undefined || crossesSpareMm === undefined)
    return { word: 'Off a reel each piece is as long as it must be.' };
  const spare = (mm: number) => spareText(mm, system);
  if (!check.enough) {
    const total = mainsSpareMm + crossesSpareMm;
    return {
      word: `Mains ${spare(mainsSpareMm)}, crosses ${spare(crossesSpareMm)}.`,
      caution: sharedSet
        ? `One set is not enough: both pieces together are ${spare(total)}. Cut from a reel or open a second set.`
        : `Half a set is not enough: mains ${spare(mainsSpareMm)}, crosses ${spare(crossesSpareMm)}. Cut the short piece from a whole set or a reel.`,
    };
  }
  if (sharedSet && Math.abs(sharedSet.moveMm) > 1)
    return {
      word: `Do not halve it: cut at ${formatStringLength(sharedSet.cutAtMm, system)} from the mains’ end, ${lengthWords(Math.abs(sharedSet.moveMm), system)} ${sharedSet.moveMm > 0 ? 'beyond' : 'before'} the middle.`,
      caution: `Half a set is ${spare(-Math.abs(sharedSet.moveMm))} for the ${sharedSet.moveMm > 0 ? 'mains' : 'crosses'}. Move the cut, or the last pull will not reach.`,
    };
  return { word: `Enough: mains ${spare(mainsSpareMm)}, crosses ${spare(crossesSpareMm)}.` };
}
