/** Works out when the beds that are out are due, and keeps it: only of those whose day is not known, or not any more. */
import { AGEING_EDITION } from '@/core/ageing/life';
import { bedToday } from '@/core/ageing/bed-today';
import type { ComeBack } from '@/core/ageing/comes-back';
import { dayAt } from '@/core/measure/promised-time';
import type { BedToWorkOut } from '@/db/beds-out';
import type { Records, Workshop } from '@/db/workshop';
import { ageingOf } from './ageing-of';
import { houseAgeing } from './house-ageing';

type Shop = Pick<Workshop, 'timeZone' | 'houseRules'>;

const A_PIECE = 500;

/** The day of one bed, by what was measured of its racket where anything was. */
async function dueOf(
  records: Records,
  workshop: Shop,
  bed: BedToWorkOut,
  measured: boolean,
): Promise<ComeBack> {
  const strungDay = dayAt(bed.closedAt, workshop.timeZone);
  const racket = measured ? await records.rackets.get(bed.racketId) : undefined;
  const own = racket && (await ageingOf(records, workshop, racket, strungDay));
  if (own) return own.today.due;
  const { setup, sport, talk, playsAWeek, heat } = bed;
  return bedToday({ setup, frame: { sport }, advice: talk && { talk } }, strungDay, strungDay, {
    ...houseAgeing(workshop),
    playsAWeek,
    heat,
  }).due;
}

/** Goes on until every day is known; after an import, or when the rules of the house change, that is many. */
export async function workOutDueDays(records: Records, workshop: Shop): Promise<void> {
  let measured: ReadonlySet<string> | undefined;
  for (;;) {
    const beds = await records.bedsOut.toWorkOut(AGEING_EDITION, A_PIECE);
    if (beds.length === 0) return;
    const known = (measured ??= await records.readings.measuredRackets());
    const worked = await Promise.all(
      beds.map(async (bed) => ({
        racketId: bed.racketId,
        since: bed.since,
        due: await dueOf(records, workshop, bed, known.has(bed.racketId)),
      })),
    );
    const kept = await records.bedsOut.keep(AGEING_EDITION, worked);
    // Somebody changes them at this moment: they are worked out at the next look.
    if (kept === 0) return;
  }
}
