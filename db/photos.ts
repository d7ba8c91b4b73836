import { and, asc, count, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { photos } from './papers-schema';

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

    async count(ticketId: string): Promise<number> {
      const [row] = await db
        .select({ there: count() })
        .from(photos)
        .where(and(there, eq(photos.ticketId, ticketId)));
      return row?.there ?? 0;
    },

    async bytes(id: string, size: 'image' | 'thumb'): Promise<Buffer | undefined> {
      const [row] = await db
        .select({ bytes: photos[size] })
        .from(photos)
        .where(and(there, eq(photos.id, id)));
      return row?.bytes;
    },

    /** Keeps one under an id made by its form; sent twice, it is kept once. */
    async add(id: string, ticketId: string, personId: string, photo: MadePhoto): Promise<void> {
      await db
        .insert(photos)
        .values({ ...photo, id, workshopId, ticketId, personId })
        .onConflictDoNothing();
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(photos)
        .set({ removedAt: removed ? new Date() : null })
        .where(and(eq(photos.workshopId, workshopId), eq(photos.id, id)));
    },
  };
}
