/** Sentences that several places of the application and of a record say in the same words. */
import { isMain, type StringName } from '../terms/string-name';
import { listed } from '../terms/listed';
import type { Mm } from '../measure/quantities';
import type { Bed } from '../frame/bed';
import type { Covered } from '../path/covered-holes';
import { runName } from '../path/groove';
import { letter } from '../frame/holes';
import type { End, Side } from '../terms/ends';
import type { SourceCheck } from './plan';
import { placeName, type Piece } from '../path/segments';
import type { Knot } from '../path/tie-off';
import { formatFeet, formatMetres, formatStringLength, type LengthSystem } from '../measure/units';

/**
 * @example
 * skipWords([7, 9], 'head') // '7H 9H'
 */
export const skipWords = (numbers: readonly number[], end: End): string =>
  numbers.length > 0 ? numbers.map((n) => `${n}${letter(end)}`).join(' ') : 'none';

/**
 * `mains: 8H left`: whose tail is tied, and where.
 *
 * @example
 * knotWords(usual.path.knots[0]) // 'mains: 8H left'
 */
export const knotWords = ({
  ties,
  hole,
  side,
}: Pick<Knot, 'ties' | 'side'> & { readonly hole: { readonly label: string } }): string =>
  `${ties === 'main' ? 'mains' : 'crosses'}: ${hole.label} ${side}`;

export const PIECE_WORDS: Record<Piece['name'], string> = {
  mains: 'mains',
  crosses: 'crosses',
  whole: 'one piece',
};

/**
 * `9H left, before M8L is pulled: the run 8H–10H left covers it, and C2 still needs it`.
 *
 * @example
 * coverWords({ at: { hole: usual.bed.holes[7], side: 'left' }, by: { kind: 'outside', from: { hole: usual.bed.holes[6], side: 'left' }, to: { hole: usual.bed.holes[8], side: 'left' } }, before: { string: 'M6L', knot: false }, needs: { string: 'C1', knot: false } }) // '8H left, before M6L is pulled: the run 7H–9H left covers it, and C1 still needs it'
 */
export function coverWords({ at, by, before, needs }: Covered): string {
  const pull = before.knot ? `${before.string} is tied off` : `${before.string} is pulled`;
  const need = needs.knot ? `the knot of ${needs.string}` : needs.string;
  return `${placeName(at)}, before ${pull}: the run ${runName(by)} covers it, and ${need} still needs it`;
}

/**
 * `3 at the head, 1 at the throat`.
 *
 * @example
 * knotCount([{ end: 'head' }, { end: 'head' }, { end: 'throat' }]) // '2 at the head, 1 at the throat'
 */
export function knotCount(knots: readonly { readonly end: End }[]): string {
  const atHead = knots.filter(({ end }) => end === 'head').length;
  return `${atHead} at the head, ${knots.length - atHead} at the throat`;
}

/**
 * What follows for the last cross when the first one starts on this side.
 *
 * @example
 * crossWay('left', 'right', 19) // 'start left, finish right (19 crosses)'
 */
export const crossWay = (start: Side, finish: Side, crosses: number): string =>
  `start ${start}, finish ${finish} (${crosses} crosses)`;

/**
 * @example
 * mainsWay(usual.bed) // 'start at the head, finish at the head'
 */
export const mainsWay = (bed: Pick<Bed, 'mainsStart' | 'mainsFinish'>): string =>
  `start at the ${bed.mainsStart}, finish at the ${bed.mainsFinish}`;

/**
 * A difference as one says it: whole centimetres below a metre, or feet and inches.
 *
 * @example
 * lengthWords(6050, 'metric') // '6.05 m'
 */
export function lengthWords(mm: Mm, system: LengthSystem): string {
  if (system === 'imperial') return formatFeet(mm);
  return mm < 1000 ? `${Math.round(mm / 10)} cm` : formatMetres(mm);
}

/**
 * `14 cm over`, `46 cm short`.
 *
 * @example
 * spareText(-120, 'metric') // '12 cm short'
 */
export function spareText(mm: Mm, system: LengthSystem): string {
  if (Math.abs(mm) < 5) return 'just enough';
  return `${lengthWords(Math.abs(mm), system)} ${mm < 0 ? 'short' : 'over'}`;
}

/**
 * Whether what it is cut from is enough, and what to do when half of it is not.
 *
 * @example
 * cutAdvice(usual.job.supply, 'metric').word // 'Enough: mains 15 cm over, crosses 62 cm over.'
 */
export function cutAdvice(
  check: SourceCheck,
  system: LengthSystem,
): { caution?: string; word: string } {
  const { shared, pieces } = check;
  const spare = (mm: Mm) => spareText(mm, system);
  const each = pieces
    .flatMap(({ name, spareMm }) =>
      spareMm === undefined ? [] : [`${PIECE_WORDS[name]} ${spare(spareMm)}`],
    )
    .join(', ');
  if (each === '') return { word: 'Off a reel each piece is as long as it must be.' };
  if (check.bridged.length > 0) {
    const how = check.bridged.map(({ name, help }) => {
      const last = name === 'mains' ? 'the last main' : 'the last cross';
      return help === 'last'
        ? `a bridge on ${last}`
        : `the first cross pulled again by the starting clamp, and a bridge on ${last}`;
    });
    const at = shared
      ? ` Cut at ${formatStringLength(shared.cutAtMm, system)} from the mains’ end.`
      : '';
    return {
      word: `Enough, with ${listed(how)}: ${each}.${at}`,
      caution:
        'A tail that does not reach the gripper goes over a bridge: a second clamp with a length of scrap string. One that slips lets the tail fly: glasses on, face aside.',
    };
  }
  if (!check.enough)
    return {
      word: `${each[0]?.toUpperCase()}${each.slice(1)}.`,
      caution: shared
        ? `One set is not enough: both pieces together are ${spare(shared.spareMm)}. Cut from a reel or open a second set.`
        : `Not enough: ${each}. Cut the short piece from a whole set or a reel.`,
    };
  if (shared && Math.abs(shared.moveMm) > 1)
    return {
      word: `Do not halve it: cut at ${formatStringLength(shared.cutAtMm, system)} from the mains’ end, ${lengthWords(Math.abs(shared.moveMm), system)} ${shared.moveMm > 0 ? 'beyond' : 'before'} the middle.`,
      caution: `Half of it is ${spare(-Math.abs(shared.moveMm))} for the ${shared.moveMm > 0 ? 'mains' : 'crosses'}. Move the cut, or the last pull will not reach.`,
    };
  return { word: `Enough: ${each}.` };
}

/**
 * The order of the pulls, in short: `M1 to M8, right then left by turns; then C1 to C19`, or run by run where
 * the sides do not take turns, `M1R, M1L, M2R to M4R, M2L to M7L; then …`.
 *
 * @example
 * orderWords(['M1R', 'M1L', 'M2R', 'M3R']) // 'M1 to M1, right then left by turns; then M2R to M3R'
 */
export function orderWords(order: readonly StringName[]): string {
  let pairs = 0;
  while (isPair(order[2 * pairs], order[2 * pairs + 1], pairs + 1)) pairs++;
  const firstCross = order.findIndex((string) => !isMain(string));
  const mains = order.slice(0, firstCross < 0 ? undefined : firstCross);
  const left = mains.slice(2 * pairs);
  // A pair at the centre alone is no taking of turns: then every run is told.
  const turns = pairs > 0 && left.length <= 2;
  const side = order[0]?.endsWith('R') ? 'right then left' : 'left then right';
  return [
    ...(turns
      ? [`M1 to M${pairs}, ${side} by turns`, ...runsOf(left)]
      : [runsOf(mains).join(', ')]),
    ...runsOf(order.slice(mains.length)),
  ].join('; then ');
}

/** Strings whose numbers grow or fall by one, as one run: `C1 to C19`. */
function runsOf(strings: readonly StringName[]): readonly string[] {
  const runs: string[] = [];
  for (let i = 0; i < strings.length;) {
    const step = stepBetween(strings[i], strings[i + 1]);
    let to = i;
    if (Math.abs(step) === 1) while (stepBetween(strings[to], strings[to + 1]) === step) to++;
    runs.push(to > i ? `${strings[i]} to ${strings[to]}` : `${strings[i]}`);
    i = to + 1;
  }
  return runs;
}

/** By how much the number grows between two strings of one kind and side; NaN between others. */
function stepBetween(from: string | undefined, to: string | undefined): number {
  const kind = (string: string | undefined) => string?.replace(/\d+/, '');
  const number = (string: string | undefined) => Number(string?.replace(/\D/g, ''));
  return kind(from) === kind(to) ? number(to) - number(from) : NaN;
}

const isPair = (a: string | undefined, b: string | undefined, main: number): boolean =>
  a !== undefined &&
  b !== undefined &&
  a.slice(0, -1) === `M${main}` &&
  b.slice(0, -1) === `M${main}`;
