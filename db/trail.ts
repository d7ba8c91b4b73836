import { and, count, desc, eq, ilike, inArray, or, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { containing } from './saving';
import { trail } from './workshop-schema';

export interface TrailEntry {
  readonly id: number;
  readonly at: Date;
  readonly who: string | null;
  readonly about: string;
  readonly rowId: string;
  /** What people call it. */
  readonly name: string;
  readonly deed: 'added' | 'changed' | 'removed' | 'put back';
  /** By column what stood there and what stands there; of a document only what stood there, of a secret nothing. */
  readonly changes: Readonly<
    Record<string, readonly [unknown, unknown] | readonly [unknown] | null>
  >;
}

export interface TrailPage {
  readonly entries: readonly TrailEntry[];
  /** Where to go on, if there is more to look through. */
  readonly next: number | undefined;
}

/** Who took a racket in, set it up and handed it over, by name; null where nobody has, or nobody was signed in. */
export interface TicketHands {
  readonly takenInBy: string | null;
  readonly setUpBy: string | null;
  readonly handedOverBy: string | null;
}

/** Columns that the Setup station writes. */
const SETUP = ['main_n', 'main_string_id', 'cross_n', 'cross_string_id'];

/** Changes that a search looks through at once. */
export const LOOKED_THROUGH = 3000;

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

  const earlierThan = (before?: number) =>
    before === undefined ? undefined : sql`${trail.id} < ${before}`;

  const ofRow = (about: string, rowId: string, limit: number, before?: number) =>
    entries()
      .where(and(mine, eq(trail.about, about), eq(trail.rowId, rowId), earlierThan(before)))
      .orderBy(desc(trail.id))
      .limit(limit);

  return {
    /** The latest changes of one row, from the one after `before` backwards. */
    async of(about: string, rowId: string, limit: number, before?: number): Promise<TrailPage> {
      const found = await ofRow(about, rowId, limit, before);
      return { entries: found, next: found.length === limit ? found.at(-1)?.id : undefined };
    },

    /**
     * The latest changes of the whole workshop, from the one after `before` backwards; those by somebody or about something
     * that has `text` in its name, among as many as are looked through at once. `next` is where to go on.
     */
    async latest(limit: number, text = '', before?: number): Promise<TrailPage> {
      const looked = db
        .select({ id: trail.id, name: trail.name, personId: trail.personId })
        .from(trail)
        .where(and(mine, earlierThan(before)))
        .orderBy(desc(trail.id))
        .limit(text === '' ? limit : LOOKED_THROUGH)
        .as('looked');
      const sought = containing(text);
      const by = db.select({ id: people.id }).from(people).where(ilike(people.name, sought));
      const about = or(ilike(looked.name, sought), inArray(looked.personId, by));
      const ids = db
        .select({ id: looked.id })
        .from(looked)
        .where(text === '' ? undefined : about)
        .orderBy(desc(looked.id))
        .limit(limit);
      const found = await entries().where(inArray(trail.id, ids)).orderBy(desc(trail.id));
      if (found.length === limit) return { entries: found, next: found.at(-1)?.id };
      if (text === '') return { entries: found, next: undefined };
      const [end] = await db
        .select({ count: count(), last: sql<number>`min(${looked.id})`.mapWith(Number) })
        .from(looked);
      return {
        entries: found,
        next: end?.count === LOOKED_THROUGH ? end.last : undefined,
      };
    },

    async hands(ticketId: string): Promise<TicketHands> {
      const all = await ofRow('tickets', ticketId, 1000);
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
