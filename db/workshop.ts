import { and, asc, eq } from 'drizzle-orm';
import type { HouseRules } from '@/core/house/house-rules';
import { benchOf } from './bench';
import { clientsOf } from './clients';
import { database, type Connection } from './connection';
import { framesOf } from './frames';
import { machinesOf } from './machines';
import { racketsOf } from './rackets';
import { missed, type Saved } from './saving';
import { workshops } from './schema';
import { stringsOf } from './strings';
import { ticketsOf } from './tickets';

export type Workshop = typeof workshops.$inferSelect;
export type WorkshopFacts = Omit<Workshop, 'id' | 'nextTicket' | 'version' | 'houseRules'>;

/** Everything of one workshop, and nothing of another. */
export function recordsOf(db: Connection, workshopId: string) {
  return {
    bench: benchOf(db, workshopId),
    clients: clientsOf(db, workshopId),
    frames: framesOf(db, workshopId),
    machines: machinesOf(db, workshopId),
    rackets: racketsOf(db, workshopId),
    strings: stringsOf(db, workshopId),
    tickets: ticketsOf(db, workshopId),

    async changeWorkshop(
      version: number,
      facts: WorkshopFacts | { readonly houseRules: HouseRules },
    ): Promise<Saved> {
      const { rowCount } = await db
        .update(workshops)
        .set({ ...facts, version: version + 1 })
        .where(and(eq(workshops.id, workshopId), eq(workshops.version, version)));
      if (rowCount) return 'saved';
      const [row] = await db.select().from(workshops).where(eq(workshops.id, workshopId));
      return missed(row && { ...row, removedAt: null }, facts);
    },
  };
}

export type Records = ReturnType<typeof recordsOf>;

export interface OpenWorkshop extends Records {
  readonly workshop: Workshop;
  /** All of it happens, or none. */
  readonly together: <T>(work: (records: Records) => Promise<T>) => Promise<T>;
}

/** The workshop at work. There is one until people sign in. */
export async function openWorkshop(): Promise<OpenWorkshop> {
  const db = database();
  const [workshop] = await db.select().from(workshops).orderBy(asc(workshops.id)).limit(1);
  if (!workshop)
    throw new Error('The database holds no workshop: start the application with npm start.');
  return {
    workshop,
    ...recordsOf(db, workshop.id),
    together: (work) => db.transaction((transaction) => work(recordsOf(transaction, workshop.id))),
  };
}
