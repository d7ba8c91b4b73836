import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { bedReadings } from './ageing-schema';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { tickets } from './ticket-schema';

export type BedReading = Omit<
  typeof bedReadings.$inferSelect,
  'workshopId' | 'removedAt' | 'personId'
> & {
  readonly who: string | null;
};
export type ReadingFacts = Pick<BedReading, 'takenOn' | 'kind' | 'value' | 'massG' | 'unit'>;

/** What was measured of the beds of one workshop. */
export function readingsOf(db: Connection, workshopId: string) {
  const one = (id: string) => and(eq(bedReadings.workshopId, workshopId), eq(bedReadings.id, id));
  return {
    /** Of some jobs, in the order in which they were taken. */
    async ofTickets(ticketIds: readonly string[]): Promise<readonly BedReading[]> {
      if (ticketIds.length === 0) return [];
      return db
        .select({
          id: bedReadings.id,
          ticketId: bedReadings.ticketId,
          takenOn: bedReadings.takenOn,
          kind: bedReadings.kind,
          value: bedReadings.value,
          massG: bedReadings.massG,
          unit: bedReadings.unit,
          at: bedReadings.at,
          who: people.name,
        })
        .from(bedReadings)
        .leftJoin(people, eq(people.id, bedReadings.personId))
        .where(
          and(
            eq(bedReadings.workshopId, workshopId),
            inArray(bedReadings.ticketId, [...ticketIds]),
            isNull(bedReadings.removedAt),
          ),
        )
        .orderBy(asc(bedReadings.takenOn), asc(bedReadings.at));
    },

    /** The rackets of which anything was ever measured. */
    async measuredRackets(): Promise<ReadonlySet<string>> {
      const rows = await db
        .selectDistinct({ racketId: tickets.racketId })
        .from(bedReadings)
        .innerJoin(tickets, eq(tickets.id, bedReadings.ticketId))
        .where(and(eq(bedReadings.workshopId, workshopId), isNull(bedReadings.removedAt)));
      return new Set(rows.map(({ racketId }) => racketId));
    },

    /** Keeps a reading under an id made by its form; the same form sent twice keeps one. */
    async add(id: string, ticketId: string, personId: string, facts: ReadingFacts): Promise<void> {
      await db
        .insert(bedReadings)
        .values({ ...facts, id, ticketId, personId, workshopId })
        .onConflictDoNothing();
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(bedReadings)
        .set({ removedAt: removed ? new Date() : null })
        .where(one(id));
    },
  };
}
