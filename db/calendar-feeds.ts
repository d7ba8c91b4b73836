import { and, eq, isNull, sql } from 'drizzle-orm';
import { newToken } from './client-links';
import type { Connection } from './connection';
import { calendarFeeds } from './papers-schema';

/** Whose day a calendar reads at an address; undefined for one that was withdrawn or never was. */
export async function feedAt(
  db: Connection,
  token: string,
): Promise<{ readonly workshopId: string; readonly personId: string } | undefined> {
  const { rows } = await db.execute<{ workshop_id: string; person_id: string }>(
    sql`select * from calendar_feed(${token})`,
  );
  const [row] = rows;
  return row && { workshopId: row.workshop_id, personId: row.person_id };
}

/** The addresses at which calendars of this workshop's people read its day. */
export function calendarFeedsOf(db: Connection, workshopId: string) {
  const standing = (personId: string) =>
    and(
      eq(calendarFeeds.workshopId, workshopId),
      eq(calendarFeeds.personId, personId),
      isNull(calendarFeeds.withdrawnAt),
    );
  const current = async (personId: string): Promise<string | undefined> => {
    const [row] = await db
      .select({ token: calendarFeeds.token })
      .from(calendarFeeds)
      .where(standing(personId))
      .limit(1);
    return row?.token;
  };
  return {
    current,

    /** The address of somebody's own, made where there is none. */
    async ensure(personId: string): Promise<string> {
      const known = await current(personId);
      if (known) return known;
      const token = newToken();
      await db.insert(calendarFeeds).values({ token, workshopId, personId });
      return token;
    },

    /** From here on the address answers nothing. */
    async withdraw(personId: string): Promise<void> {
      await db.update(calendarFeeds).set({ withdrawnAt: new Date() }).where(standing(personId));
    },
  };
}
