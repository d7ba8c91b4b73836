/** How a bed stands on some day: how old its strings are, what they have lost, and when it is due. */
import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { Talk } from '../advice/talk';
import type { StringClass } from '../advice/rule';
import { SILENT } from '../advice/talk';
import type { Sport } from '../terms/sport';
import { bandAt, USUAL_RATE, type Band, type Rate } from './curve';
import { comesBack, type ComeBack, type ComeBackCase, type ComeBackSchool } from './comes-back';
import { lifeDays, lifeLoss, lossOn, type Playing } from './life';
import type { AgeingBed, Heat } from './loss';

/** What of a job says how its bed ages. */
export interface StrungJob {
  readonly setup: { readonly mains: StringClass; readonly crosses: StringClass };
  readonly frame: { readonly sport: Sport };
  readonly advice: { readonly talk: Talk } | null;
}

/** What else is known of it; nothing of it has to be. */
export interface KnownOfBed {
  /** What its client says now; else what they said when it was strung. */
  readonly playsAWeek?: number | null;
  /** The rate of this racket, from what was measured. */
  readonly rate?: Rate;
  readonly school?: ComeBackSchool;
  readonly pull?: AgeingBed['pull'];
  readonly preStretched?: boolean;
  /** Where it lies. */
  readonly heat?: Heat;
}

export interface BedToday {
  readonly days: number;
  /** Plays a week that it was worked out with; null where nobody said. */
  readonly playsAWeek: number | null;
  /** Share of its tension that is gone. */
  readonly loss: Band;
  readonly due: ComeBack;
  readonly isDue: boolean;
  /** What the schools of coming back are asked about. */
  readonly about: ComeBackCase;
  /** The loss at which it has left what its client came for. */
  readonly ends: number;
  /** Days after stringing at which that is likely so. */
  readonly life: Band;
}

/**
 * The bed of a job as it ages.
 *
 * @example
 * ageingBed({ setup: { mains: usual.strung.mains, crosses: usual.strung.crosses }, frame: usual.spec, advice: null }).pull // 'constant pull'
 */
export const ageingBed = (
  { setup, frame }: StrungJob,
  { pull = 'constant pull', preStretched = false }: KnownOfBed = {},
): AgeingBed => ({
  sport: frame.sport,
  mains: setup.mains,
  crosses: setup.crosses,
  pull,
  preStretched,
});

/**
 * How its client plays, as they said; what they did not say is usual.
 *
 * @example
 * playingOf(usual.about.talk, 2).swing // 'medium'
 */
export const playingOf = (
  talk: Talk,
  playsAWeek: number | null,
  heat: Heat = 'usual',
): Playing => ({
  playsAWeek,
  swing: talk.swing ?? 'medium',
  spin: talk.style === 'spin',
  heat,
});

/**
 * A bed that was strung on `strungDay`, as it stands `today`; both `2026-01-05`.
 *
 * Limits: those of `usualLoss`, `lifeLoss` and `comesBack`.
 *
 * @example
 * bedToday({ setup: { mains: usual.strung.mains, crosses: usual.strung.crosses }, frame: usual.spec, advice: null }, '2026-01-05', '2026-02-04', { playsAWeek: 2 }).days // 30
 */
export function bedToday(
  job: StrungJob,
  strungDay: string,
  today: string,
  known: KnownOfBed = {},
): BedToday {
  const talk = job.advice?.talk ?? SILENT;
  const playsAWeek = known.playsAWeek ?? talk.playsAWeek;
  const rate = known.rate ?? USUAL_RATE;
  const bed = ageingBed(job, known);
  const playing = playingOf(talk, playsAWeek, known.heat);
  const days = Math.max(0, differenceInCalendarDays(parseISO(today), parseISO(strungDay)));
  const ends = lifeLoss(bed, talk);
  const life = lifeDays(bed, playing, ends, rate);
  const about: ComeBackCase = {
    strungDay,
    curveDays: life.middle,
    playsAWeek,
    hasMonofilament: [bed.mains, bed.crosses].some(({ family }) => family === 'monofilament'),
  };
  const due = comesBack(known.school ?? 'by the curve', about);
  return {
    days,
    playsAWeek,
    loss: bandAt(rate, lossOn(bed, days, playing)),
    due,
    isDue: due.day <= today,
    about,
    ends,
    life,
  };
}

/**
 * `10 to 15 %`
 *
 * @example
 * lossWords({ low: 0.1, middle: 0.12, high: 0.149 }) // '10 to 15 %'
 */
export function lossWords({ low, high }: Band): string {
  const [from, to] = [Math.round(low * 100), Math.round(high * 100)];
  return from === to ? `${from} %` : `${from} to ${to} %`;
}
