/** Whose strings have done their time, or will have soon. */
import { subDays } from 'date-fns';
import { workOutDueDays } from '@/app/due-days';
import { dayAt } from '@/core/measure/promised-time';
import type { BedOut } from '@/db/beds-out';
import type { Records, Workshop } from '@/db/workshop';

/** So far ahead a due day is shown. */
const AHEAD_DAYS = 14;
/** Who has not come for so long after it comes no more. */
const SINCE_DAYS = 90;

interface DueBed extends BedOut {
  /** By today. */
  readonly isDue: boolean;
}

interface DueList {
  /** Those that are due longest first; at most as many as were asked for. */
  readonly beds: readonly DueBed[];
  /** Of all of them. */
  readonly count: number;
  /** Of those, due by today. */
  readonly now: number;
}

/** The beds that are due by a day a fortnight ahead. */
export async function dueList(
  records: Records,
  workshop: Workshop,
  limit: number,
): Promise<DueList> {
  await workOutDueDays(records, workshop);
  const instant = new Date();
  const day = (ahead: number) => dayAt(subDays(instant, -ahead), workshop.timeZone);
  const [since, today, until] = [day(-SINCE_DAYS), day(0), day(AHEAD_DAYS)];
  const [beds, { count, by }] = await Promise.all([
    records.bedsOut.due(since, until, limit),
    records.bedsOut.countDue(since, until, today),
  ]);
  return { beds: beds.map((bed) => ({ ...bed, isDue: bed.due.day <= today })), count, now: by };
}
