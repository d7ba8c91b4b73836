import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNull, or, sql } from 'drizzle-orm';
import type { MachineCheck } from '@/core/house/calibration';
import type { Connection } from './connection';
import { arrangements, benches } from './day-schema';
import { missed, type Saved } from './saving';
import { machineChecks, machines } from './racket-schema';

export type Machine = typeof machines.$inferSelect;
export type MachineFacts = Omit<
  Machine,
  'id' | 'workshopId' | 'version' | 'createdAt' | 'removedAt'
>;
export type KeptCheck = MachineCheck & { readonly id: string };

/** The stringing machines of one workshop. */
export function machinesOf(db: Connection, workshopId: string) {
  const mine = eq(machines.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(machines.id, id));

  return {
    /** All that are there, and `also` one that something goes by though it was removed since. */
    all: (also?: string | null): Promise<Machine[]> =>
      db
        .select()
        .from(machines)
        .where(and(mine, or(isNull(machines.removedAt), also ? eq(machines.id, also) : undefined)))
        .orderBy(asc(machines.createdAt)),

    /** All machines, each with the checks of its pull. */
    async checked(): Promise<(Machine & { readonly checks: readonly KeptCheck[] })[]> {
      const all = await this.all();
      const checks = await db
        .select()
        .from(machineChecks)
        .where(and(eq(machineChecks.workshopId, workshopId), isNull(machineChecks.removedAt)))
        .orderBy(asc(machineChecks.day), asc(machineChecks.id));
      return all.map((machine) => ({
        ...machine,
        checks: checks.filter(({ machineId }) => machineId === machine.id),
      }));
    },

    /**
     * The machine that a ticket stands on: the one that its cut is for, else that of the bench it was taken at, else the only one
     * there is; undefined where it is not settled yet.
     */
    async under(ticket: {
      readonly id: string;
      readonly machineId: string | null;
    }): Promise<Machine | undefined> {
      if (ticket.machineId) return this.get(ticket.machineId);
      const [atBench] = await db
        .select({ machine: machines })
        .from(arrangements)
        .innerJoin(benches, eq(benches.id, arrangements.takenBenchId))
        .innerJoin(machines, eq(machines.id, benches.machineId))
        .where(and(eq(arrangements.workshopId, workshopId), eq(arrangements.ticketId, ticket.id)));
      if (atBench) return atBench.machine;
      const [only, second] = await this.all();
      return second ? undefined : only;
    },

    async get(id: string): Promise<Machine | undefined> {
      const [row] = await db.select().from(machines).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add(
      facts: Partial<MachineFacts> & Pick<MachineFacts, 'name' | 'gripperMm'>,
      id: string = randomUUID(),
    ): Promise<void> {
      await db
        .insert(machines)
        .values({ ...facts, id, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, facts: Partial<MachineFacts>): Promise<Saved> {
      const { rowCount } = await db
        .update(machines)
        .set({ ...facts, version: version + 1 })
        .where(and(one(id), eq(machines.version, version), isNull(machines.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), facts);
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(machines)
        .set({ removedAt: removed ? new Date() : null, version: sql`${machines.version} + 1` })
        .where(one(id));
    },

    /** The checks of a machine's pull, the earliest first. */
    checks: (machineId: string): Promise<KeptCheck[]> =>
      db
        .select({
          id: machineChecks.id,
          day: machineChecks.day,
          askedN: machineChecks.askedN,
          measuredN: machineChecks.measuredN,
        })
        .from(machineChecks)
        .where(
          and(
            eq(machineChecks.workshopId, workshopId),
            eq(machineChecks.machineId, machineId),
            isNull(machineChecks.removedAt),
          ),
        )
        .orderBy(asc(machineChecks.day), asc(machineChecks.id)),

    /** Adds a check under an id made by its form; the same form sent twice adds one. */
    async addCheck(machineId: string, { id, day, askedN, measuredN }: KeptCheck): Promise<void> {
      await db
        .insert(machineChecks)
        .values({ id, workshopId, machineId, day, askedN, measuredN })
        .onConflictDoNothing();
    },

    async setCheckRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(machineChecks)
        .set({ removedAt: removed ? new Date() : null })
        .where(and(eq(machineChecks.workshopId, workshopId), eq(machineChecks.id, id)));
    },
  };
}
