/** The day by which a bed is due again. */
import { addDays, format, parse } from 'date-fns';
import { HOURS_A_PLAY, playingHours, type Hours } from '../advice/character';
import type { StringClass } from '../advice/rule';
import { SILENT, type Talk } from '../advice/talk';
import type { Sport } from '../terms/sport';

const DAYS_A_WEEK = 7;
/** A bed that is hardly played still loses its tension by lying: half a year, common practice, no source. */
export const LONGEST_DAYS = 182;
const SHORTEST_DAYS = 7;

const ISO_DAY = 'yyyy-MM-dd';

export interface Due {
  /** `2026-05-04` */
  readonly day: string;
  readonly why: 'by play' | 'by lying';
}

/** What of a job says how long its bed lasts. */
export interface StrungJob {
  readonly setup: { readonly mains: StringClass; readonly crosses: StringClass };
  readonly frame: { readonly sport: Sport };
  readonly advice: { readonly talk: Talk } | null;
}

/**
 * The day on which a bed that was strung on `strungDay` is due: when the hours that its shorter-lived string is
 * good for are played, at what the client said they play; half a year at the latest.
 *
 * Source: hours by family as in `advice/character.ts`; an hour and a half a play and half a year, common practice.
 * Limits: it knows nothing of breakage, heat or how hard somebody hits.
 *
 * @example
 * dueOn('2026-01-05', [8, 16], 2) // { day: '2026-02-02', why: 'by play' }
 */
export function dueOn(strungDay: string, [least, most]: Hours, playsAWeek: number | null): Due {
  const days = playsAWeek
    ? Math.round(((least + most) / 2 / (playsAWeek * HOURS_A_PLAY)) * DAYS_A_WEEK)
    : LONGEST_DAYS;
  const within = Math.min(LONGEST_DAYS, Math.max(SHORTEST_DAYS, days));
  return {
    day: format(addDays(parse(strungDay, ISO_DAY, new Date(0)), within), ISO_DAY),
    why: playsAWeek && days < LONGEST_DAYS ? 'by play' : 'by lying',
  };
}

/**
 * The same for a job, from its record: its strings and what its client said, unless they say otherwise by now.
 *
 * @example
 * dueAfter({ setup: { mains: usual.strung.mains, crosses: usual.strung.crosses }, frame: usual.spec, advice: null }, '2026-01-05').why // 'by lying'
 */
export function dueAfter(
  { setup, frame, advice }: StrungJob,
  strungDay: string,
  playsAWeek: number | null = advice?.talk.playsAWeek ?? null,
): Due {
  const talk = advice?.talk ?? SILENT;
  const lived = (string: StrungJob['setup']['mains']) => ({ ...string, lifeHours: null });
  const bed = { mains: lived(setup.mains), crosses: lived(setup.crosses) };
  return dueOn(strungDay, playingHours(bed, frame.sport, talk, null), playsAWeek);
}
