import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, lt, lte, or, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import type { Talk } from '@/core/advice/talk';
import type { JobRecord } from '@/core/record/record';
import type { Sport } from '@/core/terms/sport';
import { goesByWordsAlone, type JobList, type JobOrder } from '@/core/record/job-list';
import type { Question } from '@/core/record/question';
import type { TensionUnit } from '@/core/measure/units';
import { onePage, span } from './a-page';
import { courtWords } from './ageing-schema';
import type { BedToWorkOut } from './beds-out';
import type { Connection } from './connection';
import { foundOf, rowsFor } from './found';
import { ticketsOfClient } from './ticket-client';
import { corrections, tickets } from './ticket-schema';
import { workshops } from './workshop-schema';

/** A closed job as a list shows it; nothing of its record is opened. */
export interface ListedJob {
  readonly id: string;
  readonly number: number;
  readonly closedAt: Date;
  readonly client: string;
  readonly sport: string;
  readonly frame: string;
  readonly mark: string;
  readonly mainN: number;
  readonly crossN: number;
  /** In words, where it was changed in the middle of the job. */
  readonly strung: string | null;
  readonly unit: TensionUnit;
  readonly mains: string;
  readonly mainGaugeMm: number;
  readonly crosses: string;
  readonly crossGaugeMm: number;
  readonly by: string | null;
  readonly machine: string | null;
  readonly priceMinor: number;
  /** Of its price; that of the workshop for a job of before prices were kept whole. */
  readonly currency: string;
  /** Null for a job of before payments were kept. */
  readonly toPayMinor: number | null;
  readonly paidMinor: number;
  readonly collectedAt: Date | null;
}

/** A bed whose racket came in again. */
export interface BedThatCame extends Pick<BedToWorkOut, 'closedAt' | 'sport' | 'setup' | 'talk'> {
  readonly cameAt: Date;
}

/** How a string lasts here. */
export interface Lasting {
  readonly beds: number;
  /** Median days until the racket came again. */
  readonly days: number | null;
  /** Within three weeks. */
  readonly early: number;
  /** Median hours of play after which it broke, as clients say. */
  readonly hours: number | null;
}

/** What somebody strung. */
export interface StrungBy {
  readonly by: string;
  readonly strung: number;
  /** The middle one at the bench; null where none was kept there. */
  readonly minutes: number | null;
  /** Rackets that were taken in again within two weeks. */
  readonly again: number;
}

/** What a list asks for, with its prices read. */
export interface JobsAsked {
  readonly list: JobList;
  /** What its words come to; nothing where it has none. */
  readonly question: Question | undefined;
  readonly leastMinor: number | undefined;
  readonly mostMinor: number | undefined;
}

export interface JobPage {
  readonly jobs: readonly ListedJob[];
  /** Whether another page comes after it. */
  readonly more: boolean;
  /** Of all pages; beyond `COUNTED` nobody counts. */
  readonly count: number;
}

/** More than this are not counted for a list, only listed. */
export const COUNTED = 1000;

/** How many beds of a string are looked at to tell how long it lasts. */
const LASTING_AT_MOST = 100;

const PRICE =
  sql<number>`coalesce(${tickets.toPayMinor}, ${tickets.labourMinor} + ${tickets.stringMinor}, 0)`.mapWith(
    Number,
  );

const ownCurrency = (workshopId: string) =>
  sql<string>`(select ${workshops.currency} from ${workshops} where ${workshops.id} = ${workshopId})`;

/** What a job was priced in. */
export const jobCurrency = (workshopId: string): SQL<string> =>
  sql<string>`coalesce(${tickets.jobCurrency}, ${ownCurrency(workshopId)})`;

const ORDER: Readonly<Record<Exclude<JobOrder, 'number'>, SQL>> = {
  'handed over': sql`${tickets.closedAt}`,
  client: sql`${tickets.jobClient}`,
  racket: sql`${tickets.jobFrame}`,
  mains: sql`${tickets.jobMains}`,
  price: sql`${tickets.toPayMinor}`,
};

/** When the racket of a job came in again; nothing where it has not. */
const NEXT_OF_RACKET = sql`lateral (select min(later.taken_in) as taken_in from tickets later where later.workshop_id = tickets.workshop_id and later.racket_id = tickets.racket_id and later.number <> tickets.number and later.removed_at is null and later.taken_in > tickets.closed_at) next`;

/** The closed jobs of one workshop, as lists show them. */
export function jobsOf(db: Connection, workshopId: string) {
  const closed = and(
    eq(tickets.workshopId, workshopId),
    isNull(tickets.removedAt),
    isNotNull(tickets.closedAt),
  );

  /** A day of the workshop's clock as the instant at which it begins. */
  const beginning = (day: string, later = 0) =>
    sql`((${day}::date + ${later}::int)::timestamp at time zone (select ${workshops.timeZone} from ${workshops} where ${workshops.id} = ${workshopId}))`;

  const narrowed = ({ list, question, leastMinor, mostMinor }: JobsAsked) =>
    and(
      closed,
      question && sql`${tickets.id} in ${rowsFor('job', question)}`,
      list.sport ? eq(tickets.jobSport, list.sport) : undefined,
      list.frame ? eq(tickets.jobFrame, list.frame) : undefined,
      list.string
        ? or(eq(tickets.jobMains, list.string), eq(tickets.jobCrosses, list.string))
        : undefined,
      list.machine ? eq(tickets.jobMachine, list.machine) : undefined,
      list.by ? eq(tickets.jobBy, list.by) : undefined,
      list.from ? gte(tickets.closedAt, beginning(list.from)) : undefined,
      list.to ? lt(tickets.closedAt, beginning(list.to, 1)) : undefined,
      leastMinor === undefined && mostMinor === undefined
        ? undefined
        : or(isNull(tickets.jobCurrency), eq(tickets.jobCurrency, ownCurrency(workshopId))),
      leastMinor === undefined ? undefined : gte(tickets.toPayMinor, leastMinor),
      mostMinor === undefined ? undefined : lte(tickets.toPayMinor, mostMinor),
      list.state === 'not collected' ? isNull(tickets.collectedAt) : undefined,
      list.state === 'not paid' ? sql`${tickets.jobOwing}` : undefined,
      list.state === 'corrected'
        ? sql`exists (select 1 from ${corrections} where ${corrections.ticketId} = ${tickets.id})`
        : undefined,
    );

  const listed = () =>
    db
      .select({
        id: tickets.id,
        number: tickets.number,
        closedAt: sql<Date>`${tickets.closedAt}`.mapWith(tickets.closedAt),
        client: sql<string>`${tickets.jobClient}`,
        sport: sql<string>`${tickets.jobSport}`,
        frame: sql<string>`${tickets.jobFrame}`,
        mark: sql<string>`${tickets.jobMark}`,
        mainN: sql<number>`${tickets.mainN}`,
        crossN: sql<number>`${tickets.crossN}`,
        strung: tickets.jobStrung,
        unit: sql<TensionUnit>`${tickets.tensionUnit}`,
        mains: sql<string>`${tickets.jobMains}`,
        mainGaugeMm: sql<number>`${tickets.mainGaugeMm}`,
        crosses: sql<string>`${tickets.jobCrosses}`,
        crossGaugeMm: sql<number>`${tickets.crossGaugeMm}`,
        by: tickets.jobBy,
        machine: tickets.jobMachine,
        priceMinor: PRICE,
        currency: jobCurrency(workshopId),
        toPayMinor: tickets.toPayMinor,
        paidMinor: tickets.paidMinor,
        collectedAt: tickets.collectedAt,
      })
      .from(tickets);

  /** As the indexes have it, or just the other way round: only so can they be walked along. */
  const inOrder = ({ order, down }: JobList): readonly SQL[] => {
    if (order === 'number') return [down === 'yes' ? desc(tickets.number) : asc(tickets.number)];
    const way = down === 'yes' ? sql`desc nulls last` : sql`asc nulls first`;
    return [sql`${ORDER[order]} ${way}`, sql`${tickets.number} ${way}`];
  };

  /** What words find comes in the order of the list: no more of it is looked for than is shown or counted. */
  async function byWords(question: Question, page: number): Promise<JobPage> {
    const [limit, offset] = span(page);
    const found = await foundOf(db).jobs(question, Math.max(COUNTED + 1, offset + limit));
    const { rows: ids, more } = onePage(found.slice(offset, offset + limit));
    const jobs = await listed().where(and(closed, inArray(tickets.id, [...ids])));
    return {
      jobs: jobs.toSorted((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id)),
      more,
      count: found.length,
    };
  }

  return {
    /** One page of a list, and how many there are. */
    async page(asked: JobsAsked): Promise<JobPage> {
      if (asked.question && goesByWordsAlone(asked.list))
        return byWords(asked.question, asked.list.page);
      const where = narrowed(asked);
      const order = inOrder(asked.list);
      const [limit, offset] = span(asked.list.page);
      // What is passed over on the way to a page is only counted, never opened.
      const shown = db
        .select({ id: tickets.id })
        .from(tickets)
        .where(where)
        .orderBy(...order)
        .limit(limit)
        .offset(offset)
        .as('shown');
      const { rows: jobs, more } = onePage(
        await listed()
          .innerJoin(shown, eq(shown.id, tickets.id))
          .orderBy(...order),
      );
      const all = db
        .select({ one: sql`1`.as('one') })
        .from(tickets)
        .where(where);
      // Two indexes are put together for a string in either place, which a limit would keep the database from.
      const some = (asked.list.string ? all : all.limit(COUNTED + 1)).as('some');
      const [counted] = await db.select({ count: sql<number>`count(*)::int` }).from(some);
      return { jobs, more, count: counted?.count ?? 0 };
    },

    /** All of a list from one number on, so that a long one is written out piece by piece. */
    async after(asked: JobsAsked, number: number, limit: number): Promise<readonly ListedJob[]> {
      return listed()
        .where(and(narrowed(asked), sql`${tickets.number} > ${number}`))
        .orderBy(asc(tickets.number))
        .limit(limit);
    },

    /** Strung rackets that wait for their owners, those that wait longest first. */
    uncollected: (limit: number): Promise<readonly ListedJob[]> =>
      listed()
        .where(and(closed, isNull(tickets.collectedAt)))
        // As the index has it, walked from its end.
        .orderBy(sql`${tickets.closedAt} asc nulls first`)
        .limit(limit),

    /** How long the latest beds with a string in their mains stayed out, and how many of them came back early. */
    async lasting(stringId: string): Promise<Lasting> {
      const latest = db
        .select({ id: tickets.id })
        .from(tickets)
        .where(and(closed, eq(tickets.mainStringId, stringId)))
        .orderBy(sql`${tickets.closedAt} desc nulls last`)
        .limit(LASTING_AT_MOST)
        .as('latest');
      const [row] = await db
        .select({
          beds: sql<number>`count(*)::int`,
          days: sql<
            number | null
          >`percentile_cont(0.5) within group (order by extract(epoch from (next.taken_in - tickets.closed_at)) / 86400)`,
          early: sql<number>`(count(*) filter (where next.taken_in < tickets.closed_at + interval '21 days'))::int`,
          hours: sql<
            number | null
          >`percentile_cont(0.5) within group (order by ${courtWords.brokeHours})`,
        })
        .from(tickets)
        .innerJoin(NEXT_OF_RACKET, sql`next.taken_in is not null`)
        .innerJoin(latest, eq(latest.id, tickets.id))
        .leftJoin(courtWords, eq(courtWords.ticketId, tickets.id));
      return row ?? { beds: 0, days: null, early: 0, hours: null };
    },

    /** Beds whose rackets came in again since a day, the latest first. */
    async cameAgain(since: Date, limit: number): Promise<readonly BedThatCame[]> {
      // From what came, back to the bed that it came with: so that few are looked at, however many were strung.
      const came = db
        .select({
          takenIn: tickets.takenIn,
          before:
            sql<string>`(select earlier.id from tickets earlier where earlier.workshop_id = tickets.workshop_id and earlier.racket_id = tickets.racket_id and earlier.number <> tickets.number and earlier.removed_at is null and earlier.closed_at < tickets.taken_in order by earlier.closed_at desc limit 1)`.as(
              'before',
            ),
        })
        .from(tickets)
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            isNull(tickets.removedAt),
            gte(tickets.takenIn, since),
          ),
        )
        .orderBy(sql`${tickets.takenIn} desc nulls last`)
        .as('came');
      const some = db
        .select({ before: came.before, cameAt: came.takenIn })
        .from(came)
        .where(isNotNull(came.before))
        .limit(limit)
        .as('some');
      return db
        .select({
          closedAt: sql<Date>`${tickets.closedAt}`.mapWith(tickets.closedAt),
          cameAt: some.cameAt,
          sport: sql<Sport>`${tickets.jobSport}`,
          setup: sql<JobRecord['setup']>`${tickets.record} -> 'setup'`,
          talk: sql<Talk | null>`${tickets.record} #> '{advice,talk}'`,
        })
        .from(some)
        .innerJoin(tickets, eq(tickets.id, some.before))
        .orderBy(desc(some.cameAt));
    },

    /** Who strung how many since a day, how long they took at the bench, and how many came back within two weeks. */
    async byHand(since: Date): Promise<readonly StrungBy[]> {
      // Whatever came in after a job of these is one of them too, or is open.
      const recent = db
        .select({
          by: tickets.jobBy,
          minutes: tickets.benchMinutes,
          closedAt: tickets.closedAt,
          next: sql<Date | null>`lead(${tickets.takenIn}) over (partition by ${tickets.racketId} order by ${tickets.takenIn}, ${tickets.number})`.as(
            'next',
          ),
        })
        .from(tickets)
        .where(
          and(
            eq(tickets.workshopId, workshopId),
            isNull(tickets.removedAt),
            or(isNull(tickets.closedAt), gte(tickets.closedAt, since)),
          ),
        )
        .as('recent');
      return db
        .select({
          by: sql<string>`${recent.by}`,
          strung: sql<number>`count(*)::int`,
          minutes: sql<
            number | null
          >`percentile_cont(0.5) within group (order by ${recent.minutes})`,
          again: sql<number>`(count(*) filter (where ${recent.next} > ${recent.closedAt} and ${recent.next} < ${recent.closedAt} + interval '14 days'))::int`,
        })
        .from(recent)
        .where(and(isNotNull(recent.closedAt), isNotNull(recent.by)))
        .groupBy(recent.by)
        .orderBy(sql`2 desc`, recent.by);
    },

    /** What was done for a client, the latest first. */
    ofClient: (clientId: string, limit: number): Promise<readonly ListedJob[]> =>
      listed()
        .where(and(closed, sql`${tickets.id} in ${ticketsOfClient(workshopId, clientId)}`))
        .orderBy(desc(tickets.number))
        .limit(limit),
  };
}
