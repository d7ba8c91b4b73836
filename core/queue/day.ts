/** A workshop's open tickets and benches as a queue that can be planned. */
import { paceOf, type Hand, type TimedPart } from '../bench/times';
import type { FrameSpec } from '../frame/frame';
import type { WallTime } from '../measure/promised-time';
import type { Method } from '../terms/method';
import type { Sport } from '../terms/sport';
import { openSpans, wallMinutes, type OtherDays } from './clock';
import type { BenchHours } from './hours';
import type { QueueBench } from './jobs';
import { spreadOf, workMinutes, type Work } from './minutes';
import type { SureJob } from './promise';

export interface DayBench {
  readonly id: string;
  readonly machineId: string | null;
  readonly hand: Hand;
  readonly hours: BenchHours;
}

export interface DayTicket {
  readonly number: number;
  readonly promised: WallTime;
  readonly method: Method | null;
  readonly machineId: string | null;
  readonly spec: Pick<FrameSpec, 'sport' | 'pattern'> | null;
  readonly stepsDone: number;
  readonly benchId: string | null;
  readonly turn: number | null;
  readonly hereFrom: WallTime | null;
  /** Where somebody has taken it to string it. */
  readonly takenBenchId: string | null;
  /** The one bench that strings for its player. */
  readonly playerBenchId: string | null;
  /** Benches whose machines do not suit it. */
  readonly unsuitedBenchIds: readonly string[];
}

/** A ticket that nobody spoke of yet. */
export const UNARRANGED = {
  stepsDone: 0,
  benchId: null,
  turn: null,
  hereFrom: null,
  takenBenchId: null,
  playerBenchId: null,
  unsuitedBenchIds: [],
} as const satisfies Partial<DayTicket>;

/** What past jobs teach of a sport's pace, and of how far jobs spread. */
export interface PastDays {
  readonly times: Readonly<Record<Sport, readonly TimedPart[]>>;
  readonly jobs: readonly (readonly TimedPart[])[];
}

/** So far ahead openings are known. */
const DAYS_AHEAD = 28;

/** A frame that nobody has studied yet, by what is usual. */
const USUAL_PATTERN = { sport: 'tennis' as const, pattern: { mains: 16, crosses: 19 } };

/**
 * The benches as a queue has them, by their ids.
 *
 * @example
 * dayBenches([{ id: 'a', machineId: null, hand: 'practised', hours: { week: [[], [], [], [], [], [], []], others: {} } }], 0) // [{ name: 'a', open: [] }]
 */
export const dayBenches = (benches: readonly DayBench[], now: number): readonly QueueBench[] =>
  benches.map(({ id, hours: { week, others } }) => ({
    name: id,
    open: openSpans(week, others, now, DAYS_AHEAD),
  }));

/**
 * The benches with the hours of an event on its days, where they stand there.
 *
 * @example
 * atEvents([{ id: 'a', hours: { week: [[], [], [], [], [], [], []], others: {} } }], [{ benchIds: ['a'], days: { '2026-06-03': [['08:00', '20:00']] } }])[0].hours.others // { '2026-06-03': [['08:00', '20:00']] }
 */
export const atEvents = <B extends Pick<DayBench, 'id' | 'hours'>>(
  benches: readonly B[],
  events: readonly { readonly benchIds: readonly string[]; readonly days: OtherDays }[],
): readonly B[] =>
  benches.map((bench) => {
    const there = events.filter(({ benchIds }) => benchIds.includes(bench.id));
    const others = there.reduce<OtherDays>(
      (all, { days }) => ({ ...all, ...days }),
      bench.hours.others,
    );
    return there.length === 0 ? bench : { ...bench, hours: { ...bench.hours, others } };
  });

/**
 * A ticket as a queue has it: its minutes by the hand of each bench, at benches whose machine suits it, with its machine
 * where its cut was planned for one, or at the one that strings for its player; where none suits, at any. What is begun or taken goes first, where it stands.
 *
 * @example
 * dayJob({ number: 4, promised: '1970-01-01T10:00', method: null, machineId: null, spec: null, ...UNARRANGED }, [], { times: { tennis: [], badminton: [], squash: [] }, jobs: [] }).promised // 600
 */
export function dayJob(ticket: DayTicket, benches: readonly DayBench[], past: PastDays): SureJob {
  const { sport, pattern } = ticket.spec ?? USUAL_PATTERN;
  const work: Work = {
    sport,
    mains: pattern.mains,
    crosses: pattern.crosses,
    pieces: ticket.method === null || ticket.method === 'two-piece' ? 2 : 1,
    done: ticket.stepsDone,
  };
  const pace = paceOf(past.times[sport]);
  const minutes = (hand: Hand) => Math.max(1, Math.round(workMinutes(work, hand, pace)));
  const fitting = benches.filter(
    ({ id, machineId }) =>
      !ticket.unsuitedBenchIds.includes(id) &&
      (ticket.machineId === null || machineId === null || machineId === ticket.machineId),
  );
  const benchOf = (wanted: string | null) => benches.find(({ id }) => id === wanted);
  const players = benchOf(ticket.playerBenchId);
  const suited = players ? [players] : fitting;
  const at = benchOf(ticket.benchId);
  const takenAt = benchOf(ticket.takenBenchId);
  const begunAt = takenAt ?? (ticket.stepsDone > 0 ? (at ?? suited[0] ?? benches[0]) : undefined);
  return {
    number: ticket.number,
    minutes: minutes('practised'),
    minutesAt: Object.fromEntries(benches.map(({ id, hand }) => [id, minutes(hand)])),
    promised: wallMinutes(ticket.promised),
    ready: ticket.hereFrom === null ? -Infinity : wallMinutes(ticket.hereFrom),
    spread: spreadOf(past.jobs),
    ...(suited.length > 0 && { benches: suited.map(({ id }) => id) }),
    ...(begunAt
      ? { fixed: { bench: begunAt.id, turn: -1 } }
      : at && ticket.turn !== null && { fixed: { bench: at.id, turn: ticket.turn } }),
  };
}
