import { randomUUID } from 'node:crypto';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { MachineCheck } from '@/core/house/calibration';
import type { Connection } from './connection';
import { missed, type Saved } from './saving';
import { machineChecks, machines } from './schema';

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
    all: (): Promise<Machine[]> =>
      db
        .select()
        .from(machines)
        .where(and(mine, isNull(machines.removedAt)))
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
