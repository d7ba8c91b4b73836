import { wallTime } from '@/core/measure/promised-time';
import { inTheRacket } from '@/core/record/as-strung';
import type { ListedTicket } from '@/db/tickets';
import type { StrungBefore } from '@/ui/history-chart';

/** The closed jobs of a racket as its chart shows them, the latest first. */
export const strungBefore = (
  history: readonly ListedTicket[],
  timeZone: string,
): readonly StrungBefore[] =>
  history.flatMap(({ number, record, closedAt }) => {
    if (!record || !closedAt) return [];
    const { mains, crosses } = record.setup;
    return [
      {
        number,
        day: wallTime(closedAt, timeZone),
        tension: inTheRacket(record),
        strings: mains.name === crosses.name ? mains.name : `${mains.name} / ${crosses.name}`,
        remarks: record.remarks,
      },
    ];
  });
