/** What the court taught: how a bed played, in its client's words. */
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { z } from 'zod';
import { FAULTS, type Fault } from '../advice/talk';
import { countWords } from '../terms/count-words';

export const AGAIN = ['yes', 'no'] as const;
export type Again = (typeof AGAIN)[number];
export const COURT_PLACES = ['middle', 'head', 'throat', 'side'] as const;
export type CourtPlace = (typeof COURT_PLACES)[number];

const faultSchema = z.enum(FAULTS.map(({ value }) => value) as [Fault, ...Fault[]]);

export const courtWordsSchema = z.object({
  faults: z.array(faultSchema).max(FAULTS.length),
  again: z.enum(AGAIN).nullable(),
  brokeHours: z.number().positive().max(500).nullable(),
  brokeAt: z.enum(COURT_PLACES).nullable(),
  note: z.string().max(400),
});

/** How a bed played. */
export type CourtWords = z.output<typeof courtWordsSchema>;

export const NOTHING_SAID: CourtWords = {
  faults: [],
  again: null,
  brokeHours: null,
  brokeAt: null,
  note: '',
};

/**
 * What was said, in a line; empty where nothing was.
 *
 * @example
 * courtLine({ faults: ['launches'], again: 'no', brokeHours: 6, brokeAt: 'head', note: '' }) // 'launches, broke after 6 h at the head, would not take it again'
 */
export function courtLine({ faults, again, brokeHours, brokeAt, note }: CourtWords): string {
  const words = FAULTS.filter(
    ({ value }) => faults.includes(value) && !(value === 'broke' && brokeHours),
  ).map(({ text }) => text);
  return [
    ...words,
    brokeHours !== null && `broke after ${brokeHours} h${brokeAt ? ` at the ${brokeAt}` : ''}`,
    again === 'no' && 'would not take it again',
    again === 'yes' && 'would take it again',
    note,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Nobody plays longer in a day. From memory. */
const MOST_HOURS_A_DAY = 10;

/**
 * Why so many hours of play cannot be, some days after stringing; nothing where they can.
 *
 * @example
 * hoursProblem(400, 10) // 'It was strung 10 days ago: nobody has played 400 hours with it.'
 */
export const hoursProblem = (hours: number | null, days: number): string | undefined =>
  hours !== null && hours > MOST_HOURS_A_DAY * (Math.max(0, days) + 1)
    ? `It was strung ${countWords(Math.max(0, days), 'day')} ago: nobody has played ${hours} hours with it.`
    : undefined;

/** A racket that came again. */
export interface CameAgain {
  /** When it was due, and when it came; `2026-01-05`. */
  readonly dueDay: string;
  readonly cameDay: string;
}

export interface CameAgainFigures {
  readonly rackets: number;
  /** By their due day. */
  readonly inTime: number;
  /** Median days after it, of those that came later. */
  readonly lateDays: number;
}

/**
 * How many rackets came again in time, and how late the others were.
 *
 * @example
 * cameAgainFigures([{ dueDay: '2026-01-05', cameDay: '2026-01-04' }, { dueDay: '2026-01-05', cameDay: '2026-01-15' }]) // { rackets: 2, inTime: 1, lateDays: 10 }
 */
export function cameAgainFigures(rackets: readonly CameAgain[]): CameAgainFigures {
  const late = rackets
    .map(({ dueDay, cameDay }) => differenceInCalendarDays(parseISO(cameDay), parseISO(dueDay)))
    .filter((days) => days > 0)
    .toSorted((a, b) => a - b);
  return {
    rackets: rackets.length,
    inTime: rackets.length - late.length,
    lateDays: late[Math.floor(late.length / 2)] ?? 0,
  };
}

/** A bed that a client had, and whether they would take it again. */
export interface HadSetup {
  readonly strings: string;
  readonly again: Again | null;
}

export interface KeptSetup {
  readonly strings: string;
  readonly times: number;
  /** They said no the last time. */
  readonly left: boolean;
}

/**
 * Which beds a client kept and which they left: whoever said no the last time they had it has left it, however often it was
 * strung before. Those that were kept come first, the most often strung first.
 *
 * @example
 * keptSetups([{ strings: 'A', again: 'no' }, { strings: 'B', again: null }]).map(({ strings, left }) => `${strings} ${left}`) // ['B false', 'A true']
 */
export function keptSetups(had: readonly HadSetup[]): readonly KeptSetup[] {
  const kept = new Map<string, KeptSetup>();
  // The latest first: what was said last stands.
  for (const { strings, again } of had) {
    const known = kept.get(strings);
    kept.set(strings, {
      strings,
      times: (known?.times ?? 0) + 1,
      left: known ? known.left : again === 'no',
    });
  }
  return [...kept.values()].toSorted(
    (a, b) => Number(a.left) - Number(b.left) || b.times - a.times,
  );
}
