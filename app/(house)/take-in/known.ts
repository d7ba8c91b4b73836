/** What is known of a racket as soon as it stands at the counter. */
import { strungWords } from '@/core/record/as-strung';
import { earlierStrings, earlierTension } from '@/app/earlier-words';
import { countWords } from '@/core/terms/count-words';
import { houseAgeing } from '@/app/house-ageing';
import { courtLine } from '@/core/ageing/court';
import { bedToday, lossWords } from '@/core/ageing/bed-today';
import { dayAt, formatDay } from '@/core/measure/promised-time';
import { formatGauge } from '@/core/measure/gauge';
import { isHybrid } from '@/core/strings/job-string';
import { formatSums } from '@/core/measure/money';
import type { OpenWorkshop } from '@/db/workshop';

/** A fact of the racket or its owner, in words. */
export interface KnownFact {
  readonly name: string;
  readonly value: string;
  readonly note?: string | undefined;
  readonly href?: string | undefined;
}

const ageWords = (days: number): string =>
  days < 60 ? countWords(days, 'day') : `${Math.round(days / 30.4)} months`;

/** The last job on a racket with the age of its strings, remarks, and what is open with its owner. */
export async function knownOf(
  { tickets, rackets, clients, workshop, payments, clientLinks, brought, court }: OpenWorkshop,
  racketId: string,
): Promise<readonly KnownFact[]> {
  const racket = await rackets.get(racketId);
  if (!racket) return [];
  const [history, client, owed, wish] = await Promise.all([
    tickets.lastOfRacket(racketId, 2),
    clients.get(racket.clientId),
    payments.owedBy(racket.clientId),
    clientLinks.hasWish(racketId),
  ]);
  const last = history.find(({ record }) => record);
  const facts: KnownFact[] = [];
  if (last?.record && last.closedAt) {
    const { setup, remarks } = last.record;
    const strung = dayAt(last.closedAt, workshop.timeZone);
    const today = dayAt(new Date(), workshop.timeZone);
    const bed = bedToday(last.record, strung, today, {
      ...houseAgeing(workshop),
      playsAWeek: client?.talk?.playsAWeek ?? null,
      heat: racket.heat,
    });
    const strings = isHybrid(setup) ? [setup.mains, setup.crosses] : [setup.mains];
    facts.push(
      {
        name: 'Last job',
        value: strungWords(last.record),
        note: `job ${last.number}, ${formatDay(strung)}`,
        href: `/jobs/${last.number}`,
      },
      {
        name: 'In it',
        value: strings.map(({ name, gaugeMm }) => `${name} ${formatGauge(gaugeMm)}`).join(' / '),
      },
      {
        name: 'Age of the strings',
        value: ageWords(bed.days),
        note: `should have lost ${lossWords(bed.loss)} by now${bed.playsAWeek ? `, at ${bed.playsAWeek} plays a week` : ', by lying alone'}`,
      },
    );
    if (remarks) facts.push({ name: 'Remarks', value: remarks });
    const [said] = await court.ofTickets([last.id]);
    const played = said && courtLine(said);
    if (played) facts.push({ name: 'How it played', value: played });
  } else {
    const [before] = await brought.earlierOf(racketId, 1);
    facts.push(
      before
        ? {
            name: 'Last job',
            value: [earlierTension(before), earlierStrings(before)].filter(Boolean).join(' · '),
            note: `before this record, ${formatDay(before.day)}`,
            href: `/jobs/earlier/${before.id}`,
          }
        : { name: 'Last job', value: 'none on record here' },
    );
  }
  if (racket.notes) facts.push({ name: 'On the racket', value: racket.notes });
  if (client?.notes) facts.push({ name: 'On the client', value: client.notes });
  if (racket.openNumber !== null)
    facts.push({
      name: 'Open',
      value: `ticket ${racket.openNumber}`,
      href: `/tickets/${racket.openNumber}`,
    });
  if (wish) facts.push({ name: 'They wrote', value: 'want to bring it again' });
  if (owed.length > 0)
    facts.push({
      name: 'Owes',
      value: formatSums(
        owed.map(({ toPayMinor, paidMinor, currency }) => ({
          minor: toPayMinor - paidMinor,
          currency,
        })),
        workshop.locale,
      ),
      note: `from ${owed.map(({ number }) => `job ${number}`).join(', ')}`,
      href: `/clients/${racket.clientId}`,
    });
  return facts;
}
