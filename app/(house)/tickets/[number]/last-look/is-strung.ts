import { lastLookFrom } from '@/core/bench/sequence';
import { jobAt, ticketAt } from '../ticket';

export const TOO_EARLY =
  'The last string is not in yet: the last look comes after the last knot, for it teaches what went wrong.';

/** Whether the strings of a ticket are all in, as the bench has it. */
export async function isStrungAt(number: number): Promise<boolean> {
  const [open, job] = [await ticketAt(number), await jobAt(number)];
  return Boolean(open && job?.sequence.ok && open.stepsDone >= lastLookFrom(job.sequence.value));
}
