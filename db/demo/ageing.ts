/** A bed of the demo that was strung eight weeks ago, was tapped twice since, and is due in nine days by its curve. */
import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { SILENT } from '@/core/advice/talk';
import { ageingBed, bedToday, playingOf } from '@/core/ageing/bed-today';
import { lossOn } from '@/core/ageing/life';
import { setPitch } from '@/core/ageing/net-pitch';
import { racketRate } from '@/core/ageing/racket-rate';
import type { Bed } from '@/core/frame/bed';
import { wallTime } from '@/core/measure/promised-time';
import type { JobRecord } from '@/core/record/record';
import { bedReadings } from '../ageing-schema';
import type { Connection } from '../connection';
import { clients } from '../racket-schema';
import { tickets } from '../ticket-schema';

const DAY = 24 * 60 * 60 * 1000;
const EIGHT_WEEKS = 56;
const DUE_IN = 9;

type ClosedRow = typeof tickets.$inferInsert;
type ClientRow = Pick<typeof clients.$inferInsert, 'id' | 'talk' | 'mayWrite'>;

const isNylon = ({ setup: { mains, crosses } }: JobRecord): boolean =>
  [mains, crosses].every(({ family }) => family === 'multifilament' || family === 'synthetic gut');

/** When the job was closed that has readings. */
export const eightWeeksBefore = (today: Date): Date =>
  new Date(today.getTime() - EIGHT_WEEKS * DAY);

/** The job nearest to eight weeks ago that is the last of its racket, of a client who may be written to and never spoke of plays. */
export function jobToRead(
  closed: readonly ClosedRow[],
  people: readonly ClientRow[],
  owned: readonly { readonly id: string; readonly clientId: string }[],
  today: Date,
): ClosedRow | undefined {
  const daysAgo = ({ closedAt }: ClosedRow) => (today.getTime() - (closedAt?.getTime() ?? 0)) / DAY;
  const last = new Map(closed.map((job) => [job.racketId, job]));
  return [...last.values()]
    .filter(({ racketId, record }) => {
      const racket = owned.find(({ id }) => id === racketId);
      const client = people.find(({ id }) => id === racket?.clientId);
      return (
        client?.talk === null &&
        client.mayWrite === 'yes' &&
        record?.frame.sport === 'tennis' &&
        isNylon(record)
      );
    })
    .toSorted((a, b) => Math.abs(daysAgo(a) - EIGHT_WEEKS) - Math.abs(daysAgo(b) - EIGHT_WEEKS))[0];
}

export async function fillReadings(
  db: Connection,
  workshopId: string,
  job: ClosedRow | undefined,
  owned: readonly { readonly id: string; readonly clientId: string; readonly bed: Bed }[],
  today: Date,
  timeZone: string,
): Promise<void> {
  const racket = owned.find(({ id }) => id === job?.racketId);
  if (!job?.record || !racket) return;
  const { record } = job;
  const [row] = await db
    .select({ id: tickets.id })
    .from(tickets)
    .where(and(eq(tickets.workshopId, workshopId), eq(tickets.requestKey, job.requestKey)));
  const dayOf = (daysAgo: number) =>
    wallTime(new Date(today.getTime() - daysAgo * DAY), timeZone).slice(0, 10);
  const strungDay = dayOf(EIGHT_WEEKS);
  const setHz = setPitch(racket.bed, record.setup, record.setup) ?? 500;
  /** As a racket rings that loses a tenth more than others of its kind. */
  const tapsAt = (playsAWeek: number) =>
    [EIGHT_WEEKS, 24].map((daysAgo) => {
      const days = Math.max(0.02, EIGHT_WEEKS - daysAgo);
      const lost = 1.1 * lossOn(ageingBed(record), days, playingOf(SILENT, playsAWeek));
      const value = Math.round(setHz * Math.sqrt(1 - lost) * 10) / 10;
      return { kind: 'tap' as const, value, massG: null, takenOn: `${dayOf(daysAgo)}T17:30` };
    });
  // How often they have to play so that it is due on the day.
  const due = (playsAWeek: number): string => {
    const known = { playsAWeek, pull: 'constant pull' as const };
    const { rate } = racketRate(
      [],
      {
        job: record,
        strungDay,
        readings: tapsAt(playsAWeek),
        setHz,
        setN: (record.setup.mainN + record.setup.crossN) / 2,
      },
      known,
    );
    return bedToday(record, strungDay, dayOf(0), { ...known, rate }).due.day;
  };
  const wanted = dayOf(-DUE_IN);
  let [seldom, often] = [10, 700];
  while (often - seldom > 1) {
    const hundredths = Math.round((seldom + often) / 2);
    if (due(hundredths / 100) > wanted) seldom = hundredths;
    else often = hundredths;
  }
  const playsAWeek = often / 100;
  await db.insert(bedReadings).values(
    tapsAt(playsAWeek).map((tap) => ({
      ...tap,
      id: randomUUID(),
      workshopId,
      ticketId: row?.id ?? '',
    })),
  );
  await db
    .update(clients)
    .set({ talk: { ...SILENT, playsAWeek } })
    .where(and(eq(clients.workshopId, workshopId), eq(clients.id, racket.clientId)));
}
