import { and, eq, inArray, sql } from 'drizzle-orm';
import type { CourtWords } from '@/core/ageing/court';
import { courtWords } from './ageing-schema';
import type { Connection } from './connection';

export type SaidOfBed = CourtWords & { readonly ticketId: string; readonly at: Date };

const columns = {
  ticketId: courtWords.ticketId,
  faults: courtWords.faults,
  again: courtWords.again,
  brokeHours: courtWords.brokeHours,
  brokeAt: courtWords.brokeAt,
  note: courtWords.note,
  at: courtWords.at,
};

/** How beds of one workshop played. */
export function courtOf(db: Connection, workshopId: string) {
  const mine = eq(courtWords.workshopId, workshopId);
  return {
    async ofTickets(ticketIds: readonly string[]): Promise<readonly SaidOfBed[]> {
      if (ticketIds.length === 0) return [];
      return db
        .select(columns)
        .from(courtWords)
        .where(and(mine, inArray(courtWords.ticketId, [...ticketIds])));
    },

    /** What is said later stands. `personId` is null where the client says it on their own page. */
    async say(ticketId: string, personId: string | null, words: CourtWords): Promise<void> {
      const said = { ...words, faults: [...words.faults], personId, at: new Date() };
      await db
        .insert(courtWords)
        .values({ ...said, ticketId, workshopId })
        .onConflictDoUpdate({
          target: courtWords.ticketId,
          set: said,
          setWhere: sql`${courtWords.workshopId} = ${workshopId}`,
        });
    },
  };
}
