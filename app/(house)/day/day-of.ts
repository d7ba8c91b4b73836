/** The day of a workshop: who strings what when, from the records. */
import { workedOutOnce } from '@/app/worked-out-once';
import { rulesOf } from '@/core/house/house-rules';
import type { StandingMachine } from '@/core/house/machine';
import type { PathChoice } from '@/core/path/path';
import { wallTime, type WallTime } from '@/core/measure/promised-time';
import { wallMinutes } from '@/core/queue/clock';
import { atEvents, dayBenches, dayJob, type DayBench, type PastDays } from '@/core/queue/day';
import { USUAL_WEEK } from '@/core/queue/hours';
import type { QueueBench } from '@/core/queue/jobs';
import { PAGE_PATIENCE, planQueue, type QueuePlan } from '@/core/queue/plan';
import { planDays, type PlannedDays, type SureJob } from '@/core/queue/promise';
import { machineProblem } from '@/core/queue/suits';
import { english } from '@/core/terms/words/english';
import type { Result } from '@/core/terms/result';
import type { TicketOfDay, Turn } from '@/db/benches';
import type { WorkshopEvent } from '@/db/events';
import type { Records, Workshop } from '@/db/workshop';

/** A bench as the day shows it. */
interface ShownBench extends DayBench {
  readonly standing: StandingMachine | null;
  readonly name: string;
  /** What stands there, in words. */
  readonly machine: string | null;
}

/** A bench whose machine does not suit a ticket, and why. */
interface Unsuited {
  readonly benchId: string;
  readonly why: string;
}

export interface Day {
  readonly now: WallTime;
  readonly benches: readonly ShownBench[];
  /** Nobody has said yet when they are open. */
  readonly usual: boolean;
  readonly open: readonly QueueBench[];
  readonly events: readonly WorkshopEvent[];
  readonly tickets: readonly TicketOfDay[];
  readonly jobs: readonly SureJob[];
  /** By the number of its ticket; a ticket that every machine suits has none. */
  readonly unsuited: ReadonlyMap<number, readonly Unsuited[]>;
  readonly past: PastDays;
  readonly plan: Result<QueuePlan>;
  readonly turns: readonly Turn[];
}

/** What a workshop has before it says what it has. */
const usualBench = (workshop: Pick<Workshop, 'id' | 'hand'>): ShownBench => ({
  id: workshop.id,
  name: 'The bench',
  machine: null,
  machineId: null,
  standing: null,
  hand: workshop.hand,
  hours: { week: USUAL_WEEK, others: {} },
});

/** What clamps can do is worked out step by step. */
const problemOf = workedOutOnce(1000, machineProblem);

/** The benches whose machines do not suit a ticket. */
export function unsuitedFor(
  { spec, method, shortSide, crossStart }: Pick<TicketOfDay, 'spec' | keyof PathChoice>,
  benches: readonly ShownBench[],
  workshop: Pick<Workshop, 'houseRules'>,
): readonly Unsuited[] {
  if (!spec) return [];
  const choice = method && shortSide && crossStart ? { method, shortSide, crossStart } : null;
  return benches.flatMap(({ id: benchId, standing }) => {
    const problem = standing && problemOf({ spec, choice }, standing, rulesOf(workshop));
    return problem ? [{ benchId, why: english(problem) }] : [];
  });
}

const idOf = ({ benchId }: Unsuited): string => benchId;

/** The open tickets on the benches, as they are planned from now on. */
export async function dayOf(records: Records, workshop: Workshop): Promise<Day> {
  const [kept, events, tickets, turns, past] = await Promise.all([
    records.benches.all(),
    records.events.all(),
    records.benches.ticketsOfDay(),
    records.benches.turns(),
    records.tickets.pastDays(),
  ]);
  const now = wallTime(new Date(), workshop.timeZone);
  const benches = atEvents(
    kept.length > 0 ? kept : [usualBench(workshop)],
    events.map(({ benchIds, days: { days } }) => ({ benchIds, days })),
  );
  const open = dayBenches(benches, wallMinutes(now));
  const unsuited = new Map(
    tickets.map((ticket) => [ticket.number, unsuitedFor(ticket, benches, workshop)]),
  );
  const jobs = tickets.map((ticket) =>
    dayJob(
      { ...ticket, unsuitedBenchIds: unsuited.get(ticket.number)?.map(idOf) ?? [] },
      benches,
      past,
    ),
  );
  return {
    now,
    benches,
    usual: kept.length === 0,
    open,
    events,
    tickets,
    jobs,
    unsuited,
    past,
    plan: planQueue(wallMinutes(now), open, jobs, PAGE_PATIENCE),
    turns,
  };
}

/** The same day, gone through many times; nothing where it cannot be planned. */
export const daysOf = ({ now, open, jobs, plan }: Day): PlannedDays | undefined =>
  plan.ok ? planDays(wallMinutes(now), open, jobs, plan.value.placed) : undefined;
