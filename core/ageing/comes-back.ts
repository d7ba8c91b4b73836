/** When a client is asked back: each school says a day and why, and one of them decides. */
import { addDays, format, parse } from 'date-fns';
import { HOUSE_QUESTIONS, type HouseRules } from '../house/house-rules';
import { LONGEST_DAYS } from './life';

export const SCHOOLS = HOUSE_QUESTIONS.comeBack;
export type ComeBackSchool = HouseRules['comeBack'];

const ISO_DAY = 'yyyy-MM-dd';
const DAYS_A_YEAR = 365;
const SHORTEST_DAYS = 7;
/** Monofilament, on court three or four times a week: every month, at most every two. Common practice. */
const MONTH_DAYS = 30;
const OFTEN = 3;
/** The warm and the cold season begin, in either half of the world. From memory. */
const SEASONS = ['04-01', '10-01'] as const;

export interface ComeBackCase {
  /** `2026-01-05` */
  readonly strungDay: string;
  /** Days after which the curve says so. */
  readonly curveDays: number;
  /** Null where nobody said. */
  readonly playsAWeek: number | null;
  readonly hasMonofilament: boolean;
}

export interface ComeBack {
  readonly day: string;
  /** What decided: the school of the house, or that half a year is over. */
  readonly by: ComeBackSchool | 'half a year';
}

const after = (day: string, days: number): string =>
  format(
    addDays(parse(day, ISO_DAY, new Date(0)), Math.max(SHORTEST_DAYS, Math.round(days))),
    ISO_DAY,
  );

/** The start of the next season that is at least a month away: a bed of last week is not brought again for it. */
function nextSeason(strungDay: string): string {
  const earliest = after(strungDay, MONTH_DAYS);
  const year = Number(strungDay.slice(0, 4));
  return (
    [year, year + 1]
      .flatMap((each) => SEASONS.map((season) => `${each}-${season}`))
      .find((day) => day >= earliest) ?? after(strungDay, LONGEST_DAYS)
  );
}

/**
 * The day that a school says; undefined where it says nothing of such a bed.
 *
 * Source: common practice, no source: as many times a year as plays a week (from the days of nylon); at least twice a year,
 * at the start of the warm and of the cold season; monofilament that is played three or four times a week every month, else
 * every two.
 *
 * @example
 * schoolDay('old rule', { strungDay: '2026-01-05', curveDays: 60, playsAWeek: 4, hasMonofilament: true }) // '2026-04-06'
 */
export function schoolDay(school: ComeBackSchool, about: ComeBackCase): string | undefined {
  const { strungDay, curveDays, playsAWeek, hasMonofilament } = about;
  switch (school) {
    case 'by the curve':
      return after(strungDay, curveDays);
    case 'old rule':
      return playsAWeek ? after(strungDay, DAYS_A_YEAR / playsAWeek) : undefined;
    case 'twice a year':
      return nextSeason(strungDay);
    case 'monthly for monofilament':
      return hasMonofilament && playsAWeek
        ? after(strungDay, playsAWeek >= OFTEN ? MONTH_DAYS : 2 * MONTH_DAYS)
        : undefined;
  }
}

/**
 * When a bed is due: what the house’s school says, or the curve where it says nothing, and half a year after stringing at
 * the latest.
 *
 * @example
 * comesBack('twice a year', { strungDay: '2026-01-05', curveDays: 60, playsAWeek: null, hasMonofilament: false }) // { day: '2026-04-01', by: 'twice a year' }
 */
export function comesBack(house: ComeBackSchool, about: ComeBackCase): ComeBack {
  const said = schoolDay(house, about);
  const by = said === undefined ? 'by the curve' : house;
  const day = said ?? after(about.strungDay, about.curveDays);
  const latest = after(about.strungDay, LONGEST_DAYS);
  return day < latest ? { day, by } : { day: latest, by: 'half a year' };
}

/** What decided, in a letter to the client. */
export const COME_BACK_LETTER: Readonly<Record<ComeBack['by'], string>> = {
  'by the curve': 'when these strings have lost what you came for',
  'old rule': 'for a racket is strung as many times a year as it plays a week',
  'twice a year': 'at the start of the season',
  'monthly for monofilament': 'for strings of this kind are tired long before they break',
  'half a year': 'for by then these strings have lost their life by lying, played or not',
};

/** What decided, as the workshop reads it. */
export const COME_BACK_WORDS: Readonly<Record<ComeBack['by'], string>> = {
  'by the curve': 'by what its strings have lost by then',
  'old rule': 'as many times a year as they play a week',
  'twice a year': 'at the start of the season',
  'monthly for monofilament': 'because of its monofilament',
  'half a year': 'because half a year has passed',
};
