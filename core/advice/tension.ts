/** Single pulls that differ from the ticket, and what to be careful of with one. */
import { say } from '../terms/words/english';
import type { Newtons } from '../measure/quantities';
import type { Family } from '../terms/family';
import type { HouseRules } from '../house/house-rules';
import { printedRange, type FrameSpec } from '../frame/frame';
import {
  formatTension,
  newtons,
  roundToTicketStep,
  type TensionUnit,
  type TicketTension,
} from '../measure/units';

/** Monofilament is not pulled above this: it loses its play and is hard on the arm. Common practice. */
export const MONOFILAMENT_MOST_N = newtons(27, 'kg');

const FIVE_LB = newtons(5, 'lb');

/**
 * The last pull before a tie-off, to make up for draw-back at the knot, as the house does it. Common practice.
 *
 * @example
 * knotPull(newtons(50, 'lb'), 'lb') / newtons(1, 'lb') // 55
 */
export function knotPull(
  n: Newtons,
  unit: TensionUnit,
  school: HouseRules['knotPull'] = '10 % higher',
): number {
  switch (school) {
    case '10 % higher':
      return roundToTicketStep(n * 1.1, unit);
    case '5 lb higher':
      return roundToTicketStep(n + FIVE_LB, unit);
    case 'pull again':
      return n;
  }
}

/**
 * Pulls of the outermost strings from the inside out, N, when each is pulled `byN` lower than the one
 * inside it, never below `leastN`. Some makers ask for it on very large heads (common practice: 58, then
 * 53, 48, 43 lb).
 *
 * @example
 * steppedPulls(58, 3, 5, 0) // [53, 48, 43]
 */
export const steppedPulls = (
  n: Newtons,
  strings: number,
  byN: Newtons,
  leastN: Newtons,
): readonly number[] =>
  Array.from({ length: strings }, (_, i) => Math.max(Math.min(n, leastN), n - (i + 1) * byN));

/**
 * Whether more is pulled than the frame prints, which asks for its owner's word for that alone.
 *
 * @example
 * isOverPrint(usual.spec, usual.tension) // false
 */
export function isOverPrint(
  spec: FrameSpec,
  { mainN, crossN }: Pick<TicketTension, 'mainN' | 'crossN'>,
): boolean {
  const range = printedRange(spec);
  return range !== undefined && Math.max(mainN, crossN) > range.maxN + 0.01;
}

/**
 * What to be careful of with this ticket on this frame; nothing is refused.
 *
 * @example
 * tensionCautions(usual.spec, usual.tension, 'natural gut', 'natural gut').length // 0
 */
export function tensionCautions(
  spec: FrameSpec,
  ticket: TicketTension,
  mainFamily: Family,
  crossFamily: Family,
): readonly string[] {
  const cautions: string[] = [];
  const range = printedRange(spec);
  for (const [strings, n, family] of [
    ['Mains', ticket.mainN, mainFamily],
    ['Crosses', ticket.crossN, crossFamily],
  ] as const) {
    const typed = formatTension(n, ticket.unit);
    if (range && n > range.maxN + 0.01)
      cautions.push(
        say('tension.above the range', {
          strings,
          typed,
          limit: formatTension(range.maxN, ticket.unit),
        }),
      );
    if (range && n < range.minN - 0.01)
      cautions.push(
        say('tension.below the range', {
          strings,
          typed,
          limit: formatTension(range.minN, ticket.unit),
        }),
      );
    if (family === 'monofilament' && n > MONOFILAMENT_MOST_N + 0.01)
      cautions.push(
        say('tension.tight monofilament', {
          strings,
          most: formatTension(MONOFILAMENT_MOST_N, 'kg'),
        }),
      );
  }
  return cautions;
}
