/** How a bed stands on some day: how old its strings are, what they should have lost, and when it is due. */
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { dueAfter, type Due, type StrungJob } from './due';
import { lossAfter } from './wear';

export interface BedToday {
  readonly days: number;
  /** Plays a week that it was worked out with; null where nobody said. */
  readonly playsAWeek: number | null;
  /** Share of its tension that is gone, between which it is likely to lie. */
  readonly loss: readonly [least: number, most: number];
  readonly due: Due;
  readonly isDue: boolean;
}

/**
 * A bed that was strung on `strungDay`, as it stands `today`; both `2026-01-05`. Goes by the plays a week that its
 * client says now, or said then.
 *
 * Limits: those of `lossAfter` and `dueAfter`.
 *
 * @example
 * bedToday({ setup: { mains: usual.strung.mains, crosses: usual.strung.crosses }, frame: usual.spec, advice: null }, '2026-01-05', '2026-02-04', 2).days // 30
 */
export function bedToday(
  job: StrungJob,
  strungDay: string,
  today: string,
  saysNow: number | null,
): BedToday {
  const days = Math.max(0, differenceInCalendarDays(parseISO(today), parseISO(strungDay)));
  const playsAWeek = saysNow ?? job.advice?.talk.playsAWeek ?? null;
  const due = dueAfter(job, strungDay, playsAWeek);
  const { mains, crosses } = job.setup;
  return {
    days,
    playsAWeek,
    loss: lossAfter([mains.family, crosses.family], days, playsAWeek),
    due,
    isDue: due.day <= today,
  };
}
