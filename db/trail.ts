import { and, desc, eq, ilike, or, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { containing } from './saving';
import { trail } from './schema';

export interface TrailEntry {
  readonly id: number;
  readonly at: Date;
  readonly who: string | null;
  readonly about: string;
  readonly rowId: string;
  /** What people call it. */
  readonly name: string;
  readonly deed: 'added' | 'changed' | 'removed' | 'put back';
  readonly changes: Readonly<Record<string, readonly [unknown, unknown] | null>>;
}

/** Who took a racket in, set it up and handed it over, by name; null where nobody has, or nobody was signed in. */
export interface TicketHands {
  readonly takenInBy: string | null;
  readonly setUpBy: string | null;
  readonly handedOverBy: string | null;
}

/** Columns that the Setup station writes. */
const SETUP = ['main_n', 'main_string_id', 'cross_n', 'cross_string_id'];

/** Who did what in one workshop, as the database wrote it down. */
export function trailOf(db: Connection, workshopId: string) {
  const mine = eq(trail.workshopId, workshopId);
  const entries = () =>
    db
      .select({
        id: trail.id,
        at: trail.at,
        who: people.name,
        about: trail.about,
        rowId: trail.rowId,
        name: trail.name,
        deed: trail.deed,
        changes: trail.changes,
      })
      .from(trail)
      .leftJoin(people, eq(people.id, trail.personId));

  const of = (about: string, rowId: string, limit = 200): Promise<TrailEntry[]> =>
    entries()
      .where(and(mine, eq(trail.about, about), eq(trail.rowId, rowId)))
      .orderBy(desc(trail.id))
      .limit(limit);

  return {
    of,

    /**
     * The latest changes of the whole workshop, from the one after `before` backwards; those by somebody or
     * about something that has `text` in its name.
     */
    latest: (limit: number, text = '', before?: number): Promise<TrailEntry[]> =>
      entries()
        .where(
          and(
            mine,
            before === undefined ? undefined : sql`${trail.id} < ${before}`,
            text === ''
              ? undefined
              : or(ilike(trail.name, containing(text)), ilike(people.name, containing(text))),
          ),
        )
        .orderBy(desc(trail.id))
        .limit(limit),

    async hands(ticketId: string): Promise<TicketHands> {
      const all = await of('tickets', ticketId, 1000);
      const lastTouching = (...columns: readonly string[]) =>
        all.find(({ changes }) => columns.some((column) => column in changes))?.who ?? null;
      const added = all.find(({ deed }) => deed === 'added');
      return {
        takenInBy: added?.who ?? null,
        setUpBy: lastTouching(...SETUP),
        handedOverBy: lastTouching('closed_at'),
      };
    },
  };
}
