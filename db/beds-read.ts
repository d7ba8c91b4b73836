import { and, desc, eq, isNull } from 'drizzle-orm';
import type { BedSeen } from '@/core/reading/seen';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { bedsRead } from './reading-schema';

export interface ReadBed {
  readonly id: string;
  readonly takenOn: string;
  readonly seen: BedSeen;
  readonly who: string | null;
}

/** The finished beds that were read in one workshop. */
export function bedsReadOf(db: Connection, workshopId: string) {
  const mine = and(eq(bedsRead.workshopId, workshopId), isNull(bedsRead.removedAt));
  return {
    /** Of a racket, the latest first. */
    ofRacket: (racketId: string): Promise<ReadBed[]> =>
      db
        .select({
          id: bedsRead.id,
          takenOn: bedsRead.takenOn,
          seen: bedsRead.seen,
          who: people.name,
        })
        .from(bedsRead)
        .leftJoin(people, eq(people.id, bedsRead.personId))
        .where(and(mine, eq(bedsRead.racketId, racketId)))
        .orderBy(desc(bedsRead.at)),

    /** Keeps what was seen under an id made by its form; the same form sent twice keeps one. */
    async add(
      id: string,
      racketId: string,
      personId: string,
      takenOn: string,
      seen: BedSeen,
    ): Promise<void> {
      await db
        .insert(bedsRead)
        .values({ id, racketId, personId, takenOn, seen, workshopId })
        .onConflictDoNothing();
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(bedsRead)
        .set({ removedAt: removed ? new Date() : null })
        .where(and(eq(bedsRead.workshopId, workshopId), eq(bedsRead.id, id)));
    },
  };
}
