import { and, asc, between, eq, lt, sql } from 'drizzle-orm';
import type { Talk } from '@/core/advice/talk';
import type { ComeBack } from '@/core/ageing/comes-back';
import type { JobRecord } from '@/core/record/record';
import type { Sport } from '@/core/terms/sport';
import { bedsOut } from './ageing-schema';
import type { Connection } from './connection';
import { clients, frames, rackets } from './racket-schema';
import { tickets } from './ticket-schema';

/** A bed whose day is to be worked out, with what it hangs on. */
export interface BedToWorkOut {
  readonly racketId: string;
  /** As the database writes it, to the microsecond. */
  readonly since: string;
  readonly closedAt: Date;
  readonly sport: Sport;
  readonly setup: JobRecord['setup'];
  readonly talk: Talk | null;
  /** What the client says now. */
  readonly playsAWeek: number | null;
  readonly heat: typeof rackets.$inferSelect.heat;
}

/** The day of a bed; nothing of it is kept where what it hangs on has changed meanwhile. */
export interface WorkedOut extends Pick<BedToWorkOut, 'racketId' | 'since'> {
  readonly due: ComeBack;
}

/** A bed that is out, and its day. */
export interface BedOut {
  readonly racketId: string;
  readonly number: number;
  readonly closedAt: Date;
  readonly clientId: string;
  readonly client: string;
  readonly racket: string;
  readonly mark: string;
  readonly mayWrite: typeof clients.$inferSelect.mayWrite;
  readonly due: ComeBack;
}

/** The beds of one workshop that are out, one a racket; triggers say which. */
export function bedsOutOf(db: Connection, workshopId: string) {
  const mine = eq(bedsOut.workshopId, workshopId);
  return {
    /** Some whose day was not worked out yet by the rules of this edition. */
    toWorkOut: (edition: number, limit: number): Promise<readonly BedToWorkOut[]> =>
      db
        .select({
          racketId: bedsOut.racketId,
          since: sql<string>`${bedsOut.since}::text`,
          closedAt: sql<Date>`${tickets.closedAt}`.mapWith(tickets.closedAt),
          sport: sql<Sport>`${tickets.jobSport}`,
          setup: sql<JobRecord['setup']>`${tickets.record} -> 'setup'`,
          talk: sql<Talk | null>`${tickets.record} #> '{advice,talk}'`,
          playsAWeek: sql<number | null>`(${clients.talk} ->> 'playsAWeek')::double precision`,
          heat: rackets.heat,
        })
        .from(bedsOut)
        .innerJoin(tickets, eq(tickets.id, bedsOut.ticketId))
        .innerJoin(rackets, eq(rackets.id, bedsOut.racketId))
        .innerJoin(clients, eq(clients.id, rackets.clientId))
        .where(and(mine, lt(bedsOut.edition, edition)))
        .limit(limit),

    /** Keeps days, and says how many. */
    async keep(edition: number, worked: readonly WorkedOut[]): Promise<number> {
      const rows = JSON.stringify(
        worked.map(({ racketId, since, due }) => ({ racketId, since, ...due })),
      );
      const { rowCount } = await db.execute(sql`
        update ${bedsOut} set due_day = made.day, due_by = made.by, edition = ${edition}
        from jsonb_to_recordset(${rows}::jsonb) as made("racketId" uuid, since timestamptz, day date, by text)
        where ${mine} and ${bedsOut.racketId} = made."racketId" and ${bedsOut.since} = made.since`);
      return rowCount ?? 0;
    },

    /** Those due between two days, those that are due longest first. */
    due: (from: string, to: string, limit: number): Promise<readonly BedOut[]> =>
      db
        .select({
          racketId: bedsOut.racketId,
          number: tickets.number,
          closedAt: sql<Date>`${tickets.closedAt}`.mapWith(tickets.closedAt),
          clientId: clients.id,
          client: clients.name,
          racket: sql<string>`coalesce(${frames.name}, ${rackets.label})`,
          mark: rackets.mark,
          mayWrite: clients.mayWrite,
          due: { day: sql<string>`${bedsOut.dueDay}`, by: sql<ComeBack['by']>`${bedsOut.dueBy}` },
        })
        .from(bedsOut)
        .innerJoin(tickets, eq(tickets.id, bedsOut.ticketId))
        .innerJoin(rackets, eq(rackets.id, bedsOut.racketId))
        .innerJoin(clients, eq(clients.id, rackets.clientId))
        .leftJoin(frames, eq(frames.id, rackets.frameId))
        .where(and(mine, between(bedsOut.dueDay, from, to)))
        .orderBy(asc(bedsOut.dueDay), asc(tickets.number))
        .limit(limit),

    /** How many are due between two days, and how many of them by a day in between. */
    async countDue(
      from: string,
      to: string,
      by: string,
    ): Promise<{ readonly count: number; readonly by: number }> {
      const [row] = await db
        .select({
          count: sql<number>`count(*)::int`,
          by: sql<number>`(count(*) filter (where ${bedsOut.dueDay} <= ${by}))::int`,
        })
        .from(bedsOut)
        .where(and(mine, between(bedsOut.dueDay, from, to)));
      return row ?? { count: 0, by: 0 };
    },
  };
}
