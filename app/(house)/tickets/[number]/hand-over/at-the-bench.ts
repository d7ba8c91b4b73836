import type { Job } from '@/core/bench/job';
import { keptPlanOf, keptPulls } from '@/core/bench/kept-plan';
import { benchLog, planKey, type BenchLog } from '@/core/bench/log';
import { asStrung, type AsStrung } from '@/core/record/as-strung';
import { recordBench, type BenchRecord } from '@/core/record/record';
import type { Records } from '@/db/workshop';
import type { OpenTicket } from '../ticket';

interface AtTheBench {
  readonly mishaps: BenchLog['mishaps'];
  readonly bench: BenchRecord | null;
  readonly strung: AsStrung | null;
}

/** What the events at the bench leave, and what is in the racket by them; nothing where it was strung without the bench view. */
export async function atTheBench(
  { ticket, workshop }: OpenTicket,
  { bed, sequence, tension }: Job,
  { bench }: Pick<Records, 'bench'>,
): Promise<AtTheBench> {
  const log = benchLog(await bench.deeds(ticket.id));
  const { mishaps } = log;
  if (!sequence.ok) return { mishaps, bench: null, strung: null };
  const { steps, path } = sequence.value;
  // Steps of before plans were kept are counted in this one.
  const plans = new Map([
    [planKey(steps), keptPlanOf(steps, tension)],
    ...(await bench.keptPlans(ticket.id)),
  ]);
  return {
    mishaps,
    bench: recordBench(sequence.value, log, plans, bed.spec.sport, workshop.hand),
    strung: asStrung(path.order, keptPulls(log, plans), tension),
  };
}
