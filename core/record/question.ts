/** What somebody looks for in the records: words, a day or a month, a tension. */
import {
  addDays,
  endOfMonth,
  format,
  isValid,
  parse,
  startOfMonth,
  subMonths,
  subYears,
} from 'date-fns';
import type { WallTime } from '../measure/promised-time';
import { newtons, type Pulls, type TensionUnit } from '../measure/units';

export interface Question {
  /** Each has to stand somewhere, in any order. */
  readonly words: readonly string[];
  /** Days of the workshop's clock, both of them in it. */
  readonly days: { readonly from: string; readonly to: string } | undefined;
  readonly tension: Pulls | undefined;
  /** The same figures in pounds where they may be either: 24/26 is a tennis bed in kilograms and a badminton bed in pounds. */
  readonly orTension?: Pulls | undefined;
}

type Days = NonNullable<Question['days']>;

const ISO_DAY = 'yyyy-MM-dd';
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MONTH =
  '(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)';
/** A pull that a bench writes in pounds begins about here; common practice, no source. */
const LEAST_LB = 36;
/** From there on it may be one of badminton or squash, which are written in pounds; common practice, no source. */
const LEAST_LB_ELSEWHERE = 14;

const written = (date: Date): string => format(date, ISO_DAY);
const oneDay = (date: Date): Days => ({ from: written(date), to: written(date) });
const wholeMonth = (date: Date): Days => ({
  from: written(startOfMonth(date)),
  to: written(endOfMonth(date)),
});
const monthOf = (name: string): number => MONTHS.indexOf(name.slice(0, 3).toLowerCase());

/** Records are of the past: without a year it is the last one of that name. */
function latest(
  year: string | undefined,
  month: number,
  day: number,
  today: Date,
): Date | undefined {
  const on = (of: number) => parse(`${of}-${month + 1}-${day}`, 'yyyy-M-d', today);
  if (year !== undefined) return isValid(on(Number(year))) ? on(Number(year)) : undefined;
  const here = on(today.getFullYear());
  const before = on(today.getFullYear() - 1);
  const date = isValid(here) && here <= today ? here : before;
  return isValid(date) ? date : undefined;
}

type Reader = (found: RegExpExecArray, today: Date) => Days | undefined;

/** Every way in which a day or a month is written, the longest first. */
const WAYS: readonly (readonly [pattern: RegExp, read: Reader])[] = [
  [
    /(\d{4})-(\d\d)-(\d\d)/,
    ([, year, month, day], today) => dayOr(latest(year, Number(month) - 1, Number(day), today)),
  ],
  [
    /(\d{1,2})\.(\d{1,2})\.(\d{4})?/,
    ([, day, month, year], today) => dayOr(latest(year, Number(month) - 1, Number(day), today)),
  ],
  [
    new RegExp(`(\\d{1,2})(?:st|nd|rd|th)?\\.? ${MONTH}(?: (\\d{4}))?`, 'i'),
    ([, day, month = '', year], today) => dayOr(latest(year, monthOf(month), Number(day), today)),
  ],
  [
    new RegExp(`${MONTH} (\\d{4})`, 'i'),
    ([, month = '', year], today) => monthOr(latest(year, monthOf(month), 1, today)),
  ],
  [
    new RegExp(`(?:last|in) ${MONTH}`, 'i'),
    ([, month = ''], today) => monthOr(latest(undefined, monthOf(month), 1, today)),
  ],
  [/today/i, (_, today) => oneDay(today)],
  [/yesterday/i, (_, today) => oneDay(addDays(today, -1))],
  [
    /(this|last) week/i,
    ([, which], today) => {
      const monday = addDays(today, -((today.getDay() + 6) % 7) - (which === 'last' ? 7 : 0));
      return { from: written(monday), to: written(addDays(monday, 6)) };
    },
  ],
  [
    /(this|last) month/i,
    ([, which], today) => wholeMonth(which === 'last' ? subMonths(today, 1) : today),
  ],
  [
    /(this|last) year/i,
    ([, which], today) => {
      const year = (which === 'last' ? subYears(today, 1) : today).getFullYear();
      return { from: `${year}-01-01`, to: `${year}-12-31` };
    },
  ],
];

const dayOr = (date: Date | undefined): Days | undefined => date && oneDay(date);
const monthOr = (date: Date | undefined): Days | undefined => date && wholeMonth(date);

function daysIn(text: string, today: Date): readonly [days: Days | undefined, rest: string] {
  for (const [pattern, read] of WAYS) {
    const found = new RegExp(`(?<=^|\\s)${pattern.source}(?=\\s|$)`, pattern.flags).exec(text);
    const days = found && read(found, today);
    if (found && days)
      return [days, `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`];
  }
  return [undefined, text];
}

const TENSION = /^(\d{1,2}(?:[.,]\d{1,2})?)\/(\d{1,2}(?:[.,]\d{1,2})?)(kg|lbs?)?$/i;

interface FoundTension {
  readonly tension?: Pulls;
  readonly orTension?: Pulls;
  readonly words: readonly string[];
}

function tensionIn(words: readonly string[]): FoundTension {
  const at = words.findIndex((word) => TENSION.test(word));
  const [, main = '', cross = '', named] = TENSION.exec(words[at] ?? '') ?? [];
  if (at < 0) return { words };
  const figure = (text: string) => Number(text.replace(',', '.'));
  const next = words[at + 1]?.toLowerCase() ?? '';
  const apart = /^(kg|lbs?)$/.test(next);
  const said = named?.toLowerCase() ?? (apart ? next : undefined);
  const guessed: TensionUnit = figure(main) >= LEAST_LB ? 'lb' : 'kg';
  const unit: TensionUnit = said === undefined ? guessed : said === 'kg' ? 'kg' : 'lb';
  const pulls = (of: TensionUnit): Pulls => ({
    mainN: newtons(figure(main), of),
    crossN: newtons(figure(cross), of),
  });
  const mayBeEither = said === undefined && unit === 'kg' && figure(main) >= LEAST_LB_ELSEWHERE;
  return {
    tension: pulls(unit),
    ...(mayBeEither && { orTension: pulls('lb') }),
    words: words.filter((_, i) => i !== at && !(apart && i === at + 1)),
  };
}

/**
 * Takes a question apart. A day without a year is the last one of that name; a tension without a unit is in
 * pounds from 36 upwards. What is neither is a word.
 *
 * @param now on the workshop's clock
 *
 * @example
 * readQuestion('brill last march', '2026-11-26T09:00') // { words: ['brill'], days: { from: '2026-03-01', to: '2026-03-31' }, tension: undefined }
 */
export function readQuestion(text: string, now: WallTime): Question {
  const today = parse(now.slice(0, 10), ISO_DAY, new Date(0));
  const [days, rest] = daysIn(text.trim(), today);
  const { tension, orTension, words } = tensionIn(rest.split(/\s+/).filter(Boolean));
  return { words, days, tension, ...(orTension && { orTension }) };
}
