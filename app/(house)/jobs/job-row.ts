import { formatMoney } from '@/core/measure/money';
import { formatDay, wallTime } from '@/core/measure/promised-time';
import type { TicketTension } from '@/core/measure/units';
import { payState } from '@/core/papers/payment';
import type { ListedJob } from '@/db/jobs';
import type { Workshop } from '@/db/workshop';

/** A job as its row in a list reads. */
export interface JobRow {
  readonly number: number;
  readonly day: string;
  readonly client: string;
  readonly racket: string;
  readonly tension: TicketTension;
  readonly strung: string | null;
  readonly mains: string;
  readonly crosses: string;
  readonly by: string;
  readonly price: string;
  /** Only what is not as it should be: `to pay`, `not collected`. */
  readonly open: string;
}

export function jobRow(
  job: ListedJob,
  { timeZone, locale }: Pick<Workshop, 'timeZone' | 'locale'>,
): JobRow {
  const state = job.toPayMinor === null ? 'paid' : payState(job.toPayMinor, job.paidMinor);
  return {
    number: job.number,
    day: formatDay(wallTime(job.closedAt, timeZone)),
    client: job.client,
    racket: `${job.frame}${job.mark ? `, ${job.mark}` : ''}`,
    strung: job.strung,
    tension: { mainN: job.mainN, crossN: job.crossN, unit: job.unit },
    mains: `${job.mains} ${job.mainGaugeMm.toFixed(2)}`,
    crosses:
      job.crosses === job.mains && job.crossGaugeMm === job.mainGaugeMm
        ? ''
        : `${job.crosses} ${job.crossGaugeMm.toFixed(2)}`,
    by: job.by ?? '',
    price: formatMoney(job.priceMinor, job.currency, locale),
    open: [
      state === 'to pay' || state === 'part paid' || state === 'paid too much' ? state : '',
      job.collectedAt === null ? 'not collected' : '',
    ]
      .filter(Boolean)
      .join(', '),
  };
}
