/** What a player always wants: so many rackets, at which tension, how often. */
import { z } from 'zod';
import { plainFigures } from '../measure/figures';
import { parseTicketTension } from '../measure/parsing';
import {
  ticketEntry,
  ticketTensionSchema,
  type TensionUnit,
  type TicketTension,
} from '../measure/units';
import { failure, success, type Result } from '../terms/result';
import type { Sport } from '../terms/sport';

const orderWhenSchema = z.enum(['every morning', 'every match', 'once']);
export type OrderWhen = z.infer<typeof orderWhenSchema>;

export interface StandingOrder {
  readonly count: number;
  readonly tension: TicketTension;
  readonly when: OrderWhen;
}

export const standingOrdersSchema: z.ZodType<readonly StandingOrder[]> = z
  .array(
    z.object({
      count: z.number().int().min(1).max(12),
      tension: ticketTensionSchema,
      when: orderWhenSchema,
    }),
  )
  .max(12)
  .readonly();

const NUMBER_WORDS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];
const WHEN: readonly (readonly [RegExp, OrderWhen])[] = [
  [/,? ?(every|each) (morning|day)$/, 'every morning'],
  [/,? ?(every|each|before (every|each)) match$/, 'every match'],
  [/,? ?once$/, 'once'],
];
const ORDER = /^(\d{1,2}|[a-z]+)(?: rackets?)?(?: ?[x×]| at| @)? (.+)$/;
const MOST_RACKETS = 12;

/**
 * Standing orders, one a line: `2 at 24/23 every morning`, `two at 25/24, every match`. Where a line does not say how
 * often, it is once. Errors: a line that is none, too many rackets, and what a tension may not be.
 *
 * @example
 * parseOrders('two at 24/23, every morning', 'tennis', 'kg').value.map(({ count, when }) => `${count} ${when}`) // ['2 every morning']
 */
export function parseOrders(
  text: string,
  sport: Sport,
  unit: TensionUnit,
): Result<readonly StandingOrder[]> {
  const orders: StandingOrder[] = [];
  for (const line of text.split('\n').map((each) => plainFigures(each).toLowerCase().trim())) {
    if (line === '') continue;
    const [pattern, when] = WHEN.find(([each]) => each.test(line)) ?? [undefined, 'once' as const];
    const what = pattern ? line.replace(pattern, '') : line;
    const match = ORDER.exec(what);
    const word = NUMBER_WORDS.indexOf(match?.[1] ?? '');
    const count = word >= 0 ? word + 1 : Number(match?.[1]);
    if (!match || !Number.isInteger(count))
      return failure('orders.unread', { typed: line.slice(0, 40) });
    const tension = parseTicketTension(match[2] ?? '', sport, unit);
    if (!tension.ok) return tension;
    if (count < 1 || count > MOST_RACKETS) return failure('orders.count', { most: MOST_RACKETS });
    orders.push({ count, tension: tension.value, when });
  }
  if (orders.length > MOST_RACKETS || racketCount(orders) > 2 * MOST_RACKETS)
    return failure('orders.count', { most: MOST_RACKETS });
  return success(orders);
}

/**
 * The same as it is typed.
 *
 * @example
 * formatOrders([]) // ''
 */
export const formatOrders = (orders: readonly StandingOrder[]): string =>
  orders
    .map(
      ({ count, tension, when }) =>
        `${count} at ${ticketEntry(tension)}${when === 'once' ? '' : `, ${when}`}`,
    )
    .join('\n');

/**
 * How many rackets orders ask for, all of them or those of one kind.
 *
 * @example
 * racketCount([{ count: 2, tension: { mainN: 235, crossN: 226, unit: 'kg' }, when: 'once' }], 'every match') // 0
 */
export const racketCount = (orders: readonly StandingOrder[], when?: OrderWhen): number =>
  orders.reduce((sum, order) => sum + (!when || order.when === when ? order.count : 0), 0);

/**
 * The tension of each racket in a bag, in the order of the orders.
 *
 * @example
 * tensionsOf([{ count: 2, tension: { mainN: 235, crossN: 226, unit: 'kg' }, when: 'once' }]).length // 2
 */
export const tensionsOf = (orders: readonly StandingOrder[]): readonly TicketTension[] =>
  orders.flatMap(({ count, tension }) => Array.from({ length: count }, () => tension));
