/** Whose strings have done their time, or will have soon. */
import { subDays } from 'date-fns';
import { ageingOf } from '@/app/ageing-of';
import { houseAgeing } from '@/app/house-ageing';
import { bedToday } from '@/core/ageing/bed-today';
import type { ComeBack } from '@/core/ageing/comes-back';
import { LONGEST_DAYS } from '@/core/ageing/life';
import { dayAt } from '@/core/measure/promised-time';
import type { LatestJob } from '@/db/jobs';
import type { Records, Workshop } from '@/db/workshop';

export interface DueBed extends Pick<
  LatestJob,
  'racketId' | 'number' | 'clientId' | 'client' | 'racket' | 'mark'
> {
  readonly strungDay: string;
  readonly due: ComeBack;
  readonly isDue: boolean;
  /** When its client was last reminded; null where they were not. */
  readonly remindedAt: Date | null;
  /** Whether they may be written to. */
  readonly mayWrite: boolean;
}

/** So far ahead a due day is shown. */
const AHEAD_DAYS = 14;
/** Who has not come for so long after it comes no more. */
const SINCE_DAYS = 90;

/** The beds that are due by a day a fortnight ahead, those that are due longest first. */
export async function dueBeds(records: Records, workshop: Workshop): Promise<readonly DueBed[]> {
  const now = new Date();
  const today = dayAt(now, workshop.timeZone);
  const until = dayAt(subDays(now, -AHEAD_DAYS), workshop.timeZone);
  const since = dayAt(subDays(now, SINCE_DAYS), workshop.timeZone);
  const [latest, measured, reminded] = await Promise.all([
    records.jobs.latestOfRackets(subDays(now, LONGEST_DAYS + SINCE_DAYS)),
    records.readings.measuredRackets(),
    records.outbox.remindedAt(),
  ]);
  const known = houseAgeing(workshop);
  const beds: DueBed[] = [];
  for (const job of latest) {
    const strungDay = dayAt(job.closedAt, workshop.timeZone);
    // What was measured of a racket moves its own day.
    const racket = measured.has(job.racketId) ? await records.rackets.get(job.racketId) : undefined;
    const own = racket && (await ageingOf(records, workshop, racket, today));
    const { due, isDue } =
      own?.today ??
      bedToday(
        { setup: job.setup, frame: { sport: job.sport }, advice: job.talk && { talk: job.talk } },
        strungDay,
        today,
        { ...known, playsAWeek: job.playsAWeek, heat: job.heat },
      );
    if (due.day > until || due.day < since) continue;
    const { racketId, number, clientId, client, racket: name, mark, mayWrite } = job;
    beds.push({
      racketId,
      number,
      clientId,
      client,
      racket: name,
      mark,
      strungDay,
      due,
      isDue,
      remindedAt: reminded.get(clientId) ?? null,
      mayWrite: mayWrite === 'yes',
    });
  }
  return beds.toSorted((a, b) => a.due.day.localeCompare(b.due.day) || a.number - b.number);
}
