import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { photos } from './papers-schema';
import { tickets } from './ticket-schema';

export const MOST_PHOTOS = 24;

/** A photograph without its bytes. */
export type Photo = Pick<
  typeof photos.$inferSelect,
  'id' | 'ticketId' | 'at' | 'caption' | 'width' | 'height'
>;
/** As the server made it anew. */
export type MadePhoto = Pick<
  typeof photos.$inferInsert,
  'width' | 'height' | 'image' | 'thumb' | 'caption'
>;

/** The photographs of one workshop's tickets. */
export function photosOf(db: Connection, workshopId: string) {
  const there = and(eq(photos.workshopId, workshopId), isNull(photos.removedAt));
  const listed = {
    id: photos.id,
    ticketId: photos.ticketId,
    at: photos.at,
    caption: photos.caption,
    width: photos.width,
    height: photos.height,
  };
  return {
    ofTicket: (ticketId: string): Promise<Photo[]> =>
      db
        .select(listed)
        .from(photos)
        .where(and(there, eq(photos.ticketId, ticketId)))
        .orderBy(asc(photos.at), asc(photos.id)),

    /** Of all tickets of a racket, the latest first. */
    ofRacket: (racketId: string): Promise<Photo[]> =>
      db
        .select(listed)
        .from(photos)
        .where(
          and(
            there,
            sql`${photos.ticketId} in (select id from tickets where workshop_id = ${workshopId} and racket_id = ${racketId})`,
          ),
        )
        .orderBy(desc(photos.at))
        .limit(24),

    async bytes(id: string, size: 'image' | 'thumb'): Promise<Buffer | undefined> {
      const [row] = await db
        .select({ bytes: photos[size] })
        .from(photos)
        .where(and(there, eq(photos.id, id)));
      return row?.bytes;
    },

    /** Whether a ticket has room for one more. */
    hasRoom: async (ticketId: string): Promise<boolean> =>
      (await db.$count(photos, and(there, eq(photos.ticketId, ticketId)))) < MOST_PHOTOS,

    /**
     * Keeps one under an id made by its form; sent twice, it is kept once. Call it inside a transaction: the ticket is held
     * meanwhile, so that many at once are no more than it holds.
     */
    async add(
      id: string,
      ticketId: string,
      personId: string,
      photo: MadePhoto,
    ): Promise<'kept' | 'full'> {
      await db
        .select({ id: tickets.id })
        .from(tickets)
        .where(and(eq(tickets.workshopId, workshopId), eq(tickets.id, ticketId)))
        .for('update');
      const [known] = await db.select({ id: photos.id }).from(photos).where(eq(photos.id, id));
      if (known) return 'kept';
      if (!(await this.hasRoom(ticketId))) return 'full';
      await db.insert(photos).values({ ...photo, id, workshopId, ticketId, personId });
      return 'kept';
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(photos)
        .set({ removedAt: removed ? new Date() : null })
        .where(and(eq(photos.workshopId, workshopId), eq(photos.id, id)));
    },
  };
}
