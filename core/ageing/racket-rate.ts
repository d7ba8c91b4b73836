/** The rate of a racket from all that was measured on its jobs. */
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { SILENT } from '../advice/talk';
import { ageingBed, playingOf, type KnownOfBed, type StrungJob } from './bed-today';
import { learnRate, type Measured, type Rate } from './curve';
import { lossOn } from './life';
import { isRough, measuredOf, type Reading } from './readings';

interface TakenReading extends Reading {
  /** `2026-02-04`, or with the time of day. */
  readonly takenOn: string;
}

/** A job of a racket with what was measured on it. */
export interface MeasuredJob {
  readonly job: StrungJob;
  readonly strungDay: string;
  readonly readings: readonly TakenReading[];
  /** The pitch at the tension that was set, Hz, as the net has it. */
  readonly setHz: number | undefined;
  /** Mean of the tensions that were set, N. */
  readonly setN: number;
}

export interface RacketRate {
  readonly rate: Rate;
  /** All that is known of this bed is a tap that was never calibrated. */
  readonly rough: boolean;
}

const daysBetween = (from: string, to: string): number =>
  Math.max(0, differenceInCalendarDays(parseISO(to.slice(0, 10)), parseISO(from)));

/** A tap a quarter of an hour after the last knot is of the same day. */
const AT_ONCE_DAYS = 0.02;

function measuredIn(measured: MeasuredJob, known: KnownOfBed): readonly Measured[] {
  const { job, strungDay, readings, setHz, setN } = measured;
  const talk = job.advice?.talk ?? SILENT;
  const playing = playingOf(talk, known.playsAWeek ?? talk.playsAWeek);
  const bed = ageingBed(job, known);
  const dated = readings.map((reading) => ({
    ...reading,
    usual: lossOn(bed, Math.max(AT_ONCE_DAYS, daysBetween(strungDay, reading.takenOn)), playing),
  }));
  return measuredOf(dated, { setHz, setN });
}

/**
 * The rate of the job in hand of a racket: from its own readings, and from those of the jobs before it.
 *
 * Limits: hours on court between two readings follow from the plays a week; nobody counted them.
 *
 * @param before the jobs before it, in any order; those that were not measured say nothing
 *
 * @example
 * racketRate([], { job: { setup: { mains: usual.strung.mains, crosses: usual.strung.crosses }, frame: usual.spec, advice: null }, strungDay: '2026-01-05', readings: [], setHz: undefined, setN: 230 }, {}).rough // false
 */
export function racketRate(
  before: readonly MeasuredJob[],
  here: MeasuredJob,
  known: KnownOfBed,
): RacketRate {
  return {
    rate: learnRate(
      before.map((each) => measuredIn(each, known)),
      measuredIn(here, known),
    ),
    rough: isRough(here.readings),
  };
}
