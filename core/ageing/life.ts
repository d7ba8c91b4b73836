/** Until when a bed does what its client came for. */
import { HOURS_A_PLAY, playingHours } from '../advice/character';
import type { Talk } from '../advice/talk';
import { ratesOf, type Band, type Rate } from './curve';
import { usualLoss, USUAL_PLAY, type AgeingBed, type Played } from './loss';

const DAYS_A_WEEK = 7;
/** Nobody is asked back later than half a year: at least twice a year, common practice. */
export const LONGEST_DAYS = 182;
/**
 * Due days are kept; raise it whenever a change here, in `loss`, `curve` or `comes-back` moves one, and they are worked out anew.
 */
export const AGEING_EDITION = 1;
const SHORTEST_DAYS = 7;
/** Plays a week that a life in hours is told for. From memory. */
const USUAL_PLAYS = 2;
/** Of the loss that ends a life: whoever came for control or whose arm is sore comes sooner. From memory. */
const CONTROL = 0.9;
const ARM = 0.85;

/** How a client plays, as far as it ages a bed. */
export type Playing = Omit<Played, 'hours'> & {
  /** Null where nobody said: it only lies then. */
  readonly playsAWeek: number | null;
};

/**
 * Hours on court in so many days, at so many plays a week.
 *
 * @example
 * hoursAfter(14, 2) // 6
 */
export const hoursAfter = (days: number, playsAWeek: number | null): number =>
  (days / DAYS_A_WEEK) * (playsAWeek ?? 0) * HOURS_A_PLAY;

/**
 * The loss at which a bed has left what its client came for: what its kind has lost at the end of its playable life in hours,
 * two plays a week; sooner for control and for an arm.
 *
 * Source: playable life by family, common practice (`advice/character`); the shares for control and arm from memory.
 *
 * @example
 * lifeLoss({ sport: 'tennis', mains: usual.strung.mains, crosses: usual.strung.crosses, preStretched: false, pull: 'constant pull' }, usual.about.talk) > 0.2 // true
 */
export function lifeLoss(bed: AgeingBed, talk: Talk): number {
  const lived = (string: AgeingBed['mains']) => ({ ...string, lifeHours: null });
  const [least, most] = playingHours(
    { mains: lived(bed.mains), crosses: lived(bed.crosses) },
    bed.sport,
    talk,
    null,
  );
  const hours = (least + most) / 2;
  const days = (hours / (USUAL_PLAYS * HOURS_A_PLAY)) * DAYS_A_WEEK;
  const lost = usualLoss(bed, days, { ...USUAL_PLAY, hours });
  const sore = talk.arm === 'now' || talk.arm === 'before';
  return lost * (talk.wants.includes('control') ? CONTROL : 1) * (sore ? ARM : 1);
}

/**
 * The loss of a bed some days after stringing, at what its client plays.
 *
 * @example
 * lossOn({ sport: 'tennis', mains: usual.strung.mains, crosses: usual.strung.crosses, preStretched: false, pull: 'constant pull' }, 0, { playsAWeek: 2, swing: 'medium', spin: false, heat: 'usual' }) // 0
 */
export const lossOn = (bed: AgeingBed, days: number, { playsAWeek, ...how }: Playing): number =>
  usualLoss(bed, days, { ...how, hours: hoursAfter(days, playsAWeek) });

/**
 * Days after stringing at which a bed has lost what ends its life, as a band: early, likely and late; half a year at most, a
 * week at least.
 *
 * @example
 * lifeDays({ sport: 'tennis', mains: usual.strung.mains, crosses: usual.strung.crosses, preStretched: false, pull: 'constant pull' }, { playsAWeek: 2, swing: 'medium', spin: false, heat: 'usual' }, 0.3, { weights: [1], from: 0 }).high <= 182 // true
 */
export function lifeDays(bed: AgeingBed, playing: Playing, ends: number, rate: Rate): Band {
  // A bed never gains: the first day is found by halving.
  const firstDay = (by: number): number => {
    let [from, to] = [SHORTEST_DAYS, LONGEST_DAYS];
    while (from < to) {
      const day = Math.floor((from + to) / 2);
      if (by * lossOn(bed, day, playing) < ends) from = day + 1;
      else to = day;
    }
    return from;
  };
  const { low, middle, high } = ratesOf(rate);
  return { low: firstDay(high), middle: firstDay(middle), high: firstDay(low) };
}
