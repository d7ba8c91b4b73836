/** A job that was done before this record began, as a table of elsewhere has it: no plan, no lengths. */
import { isValid, parse } from 'date-fns';
import type { TensionUnit } from '../measure/units';
import { failure, success, type Result } from '../terms/result';

export interface EarlierJob {
  readonly client: string;
  readonly racket: string;
  readonly mark: string;
  /** `2025-04-07` */
  readonly day: string;
  readonly mains: string;
  readonly crosses: string;
  /** What the ticket said; null where nobody wrote it down. */
  readonly tension: {
    readonly mainN: number;
    readonly crossN: number;
    readonly unit: TensionUnit;
  } | null;
  readonly priceMinor: number | null;
  readonly notes: string;
}

/** Which figure of `4/7/2025` is the day. */
export const DAY_ORDERS = ['day first', 'month first'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

const FIGURES = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})\b/;
const ISO = /^(\d{4})-(\d{2})-(\d{2})/;
/** Two figures of a year mean this century: nobody brings in jobs of a century ago. */
const CENTURY = 2000;
const EARLIEST = 1950;

/**
 * A day out of a table: ISO 8601, or three figures in the order that the table has. Errors: one that is no day, or
 * one that has not been.
 *
 * @example
 * readDay('7.4.25', 'day first', '2026-01-05').value // '2025-04-07'
 * readDay('4/7/2025', 'month first', '2026-01-05').value // '2025-04-07'
 */
export function readDay(text: string, order: DayOrder, today: string): Result<string> {
  const tidy = text.trim();
  const iso = ISO.exec(tidy);
  const figures = FIGURES.exec(tidy);
  const [, first = '', second = '', year = ''] = figures ?? [];
  const [days, months] = order === 'day first' ? [first, second] : [second, first];
  const [y, m, d] = iso
    ? [Number(iso[1]), Number(iso[2]), Number(iso[3])]
    : [year.length === 2 ? CENTURY + Number(year) : Number(year), Number(months), Number(days)];
  const day = [y, String(m).padStart(2, '0'), String(d).padStart(2, '0')].join('-');
  if ((!iso && !figures) || !isValid(parse(day, 'yyyy-MM-dd', new Date(0))))
    return failure('day.unread', { typed: tidy.slice(0, 20) });
  if (day > today) return failure('day.to come', { typed: tidy.slice(0, 20) });
  if (y < EARLIEST) return failure('day.unread', { typed: tidy.slice(0, 20) });
  return success(day);
}

/**
 * The order that fits all figures of a column; the day first where they tell nothing.
 *
 * @example
 * orderOfDays(['1/2/2025', '4/17/2025']) // 'month first'
 */
export const orderOfDays = (texts: readonly string[]): DayOrder =>
  texts.some((text) => Number(FIGURES.exec(text.trim())?.[2] ?? 0) > 12) &&
  !texts.some((text) => Number(FIGURES.exec(text.trim())?.[1] ?? 0) > 12)
    ? 'month first'
    : 'day first';
