/** How a racket’s bed ages, from the records: its own readings, its client’s plays, the house’s school. */
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { bedToday, ageingBed, playingOf, type BedToday } from '@/core/ageing/bed-today';
import { SCHOOLS, schoolDay, type ComeBackSchool } from '@/core/ageing/comes-back';
import { bandOf, narrowedBy, ratesOf } from '@/core/ageing/curve';
import { LONGEST_DAYS, lossOn } from '@/core/ageing/life';
import { setPitch } from '@/core/ageing/net-pitch';
import type { Heat } from '@/core/ageing/loss';
import { racketRate, type MeasuredJob } from '@/core/ageing/racket-rate';
import { SILENT } from '@/core/advice/talk';
import { studied } from './studied';
import type { FrameSpec } from '@/core/frame/frame';
import type { HouseRules } from '@/core/house/house-rules';
import { dayAt } from '@/core/measure/promised-time';
import { inTheRacket } from '@/core/record/as-strung';
import type { JobRecord } from '@/core/record/record';
import type { BedReading } from '@/db/readings';
import type { ListedTicket } from '@/db/tickets';
import type { AgeingChartProps } from '@/ui/ageing-chart';
import { houseAgeing } from './house-ageing';

export interface RacketAgeing {
  readonly number: number;
  readonly record: JobRecord;
  readonly strungDay: string;
  readonly today: BedToday;
  /** How much narrower than of its kind, and on how many readings that rests. */
  readonly narrowed: number;
  readonly from: number;
  readonly rough: boolean;
  /** What its chart shows, days counted from stringing. */
  readonly chart: Omit<AgeingChartProps, 'unit'>;
  /** What a tap should be at the tension that was set, Hz. */
  readonly setHz: number | undefined;
  readonly readings: readonly BedReading[];
  /** What each school would say. */
  readonly schools: readonly {
    readonly school: ComeBackSchool;
    readonly day: string | undefined;
  }[];
}

interface Sources {
  readonly workshop: { readonly timeZone: string; readonly houseRules: HouseRules | null };
  /** The racket’s tickets, the latest first. */
  readonly history: readonly ListedTicket[];
  readonly readings: readonly BedReading[];
  readonly spec: FrameSpec | undefined;
  readonly playsAWeek: number | null;
  readonly heat: Heat;
  /** Somebody else strung it then. */
  readonly elsewhereOn: string | null;
  readonly today: string;
}

/** Days on a workshop’s clock since something was closed. */
export const daysSince = (closedAt: Date | null, timeZone: string): number =>
  closedAt
    ? differenceInCalendarDays(
        parseISO(dayAt(new Date(), timeZone)),
        parseISO(dayAt(closedAt, timeZone)),
      )
    : 0;

/** Days between two points of the curve. */
const STEP_DAYS = 2;
/** Most is lost at once, so the curve is finer there. */
const FIRST_DAYS = [0, 0.02, 0.1, 0.4, 1];

type ClosedJob = ListedTicket & { readonly record: JobRecord; readonly closedAt: Date };
const isClosed = (ticket: ListedTicket): ticket is ClosedJob =>
  ticket.record !== null && ticket.closedAt !== null;

/** The latest bed of a racket; undefined where none was strung here, or another one is in it by now. */
export function racketAgeing(sources: Sources): RacketAgeing | undefined {
  const { workshop, history, readings, spec, playsAWeek, heat, elsewhereOn, today } = sources;
  const [latest, ...earlier] = history.filter(isClosed);
  if (!latest) return undefined;
  if (elsewhereOn !== null && elsewhereOn >= dayAt(latest.closedAt, workshop.timeZone))
    return undefined;
  const known = { ...houseAgeing(workshop), playsAWeek, heat };
  const bed = spec && studied(spec).bed;
  const measured = (ticket: ClosedJob): MeasuredJob => {
    const strung = inTheRacket(ticket.record);
    return {
      job: ticket.record,
      strungDay: dayAt(ticket.closedAt, workshop.timeZone),
      readings: readings.filter(({ ticketId }) => ticketId === ticket.id),
      setHz: bed && setPitch(bed, strung, ticket.record.setup),
      setN: (strung.mainN + strung.crossN) / 2,
    };
  };
  const own = readings.filter(({ ticketId }) => ticketId === latest.id);
  const here = measured(latest);
  const withReadings = earlier.filter(({ id }) => readings.some(({ ticketId }) => ticketId === id));
  const { rate, rough } = racketRate(withReadings.map(measured), here, known);
  const { record } = latest;
  const talk = record.advice?.talk ?? SILENT;
  const now = bedToday(record, here.strungDay, today, { ...known, rate });
  const playing = playingOf(talk, now.playsAWeek, heat);
  const ageing = ageingBed(record, known);
  const rates = ratesOf(rate);
  const until = Math.max(60, Math.min(LONGEST_DAYS, Math.max(now.days, now.life.middle) + 21));
  const dayOf = (day: string) =>
    differenceInCalendarDays(parseISO(day.slice(0, 10)), parseISO(here.strungDay));
  return {
    number: latest.number,
    record,
    strungDay: here.strungDay,
    today: now,
    narrowed: narrowedBy(rate),
    from: rate.from,
    rough,
    chart: {
      curve: [
        ...FIRST_DAYS,
        ...Array.from({ length: Math.ceil(until / STEP_DAYS) }, (_, i) => (i + 1) * STEP_DAYS),
      ].map((day) => ({ day, ...bandOf(rates, lossOn(ageing, day, playing)) })),
      setN: here.setN,
      today: now.days,
      due: dayOf(now.due.day),
      ends: now.ends,
      measured: own.map(({ takenOn }) => dayOf(takenOn)),
    },
    setHz: here.setHz,
    readings: own,
    schools: SCHOOLS.map((school) => ({ school, day: schoolDay(school, now.about) })),
  };
}
