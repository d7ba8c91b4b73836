import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Role } from '@/core/house/role-rights';
import type { Connection } from './connection';
import { people } from './doors-schema';
import type { Saved } from './saving';
import { devices, members, workshops } from './workshop-schema';

export interface Member {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly username: string | null;
  readonly role: Role;
  readonly hasCode: boolean;
  readonly version: number;
  readonly since: Date;
  readonly leftAt: Date | null;
}

/** Those who work in one workshop. */
export function membersOf(db: Connection, workshopId: string) {
  const mine = eq(members.workshopId, workshopId);

  async function all(): Promise<Member[]> {
    const rows = await db
      .select({ member: members, name: people.name, username: people.username })
      .from(members)
      .innerJoin(people, eq(people.id, members.personId))
      .where(mine)
      .orderBy(asc(people.name));
    return rows.map(({ member: { codeHash, ...facts }, ...names }) => ({
      ...facts,
      ...names,
      hasCode: codeHash !== null,
    }));
  }

  /** Somebody must be left who may change people. Call it inside a transaction. */
  async function lastOwner(id: string): Promise<boolean> {
    const owners = await db
      .select({ id: members.id })
      .from(members)
      .where(and(mine, eq(members.role, 'owner'), isNull(members.leftAt)))
      .for('update');
    return owners.length === 1 && owners[0]?.id === id;
  }

  async function change(
    id: string,
    version: number,
    facts: Partial<Pick<typeof members.$inferInsert, 'role' | 'leftAt'>>,
  ): Promise<Saved | 'last owner'> {
    const loses = facts.leftAt || (facts.role !== undefined && facts.role !== 'owner');
    if (loses && (await lastOwner(id))) return 'last owner';
    const { rowCount } = await db
      .update(members)
      .set({ ...facts, version: version + 1 })
      .where(and(mine, eq(members.id, id), eq(members.version, version)));
    return rowCount ? 'saved' : 'changed';
  }

  return {
    all,
    change,

    /** Whether somebody works here now. */
    has: async (personId: string): Promise<boolean> =>
      (await db.$count(
        members,
        and(mine, eq(members.personId, personId), isNull(members.leftAt)),
      )) > 0,

    /** Takes a person in; one who was here before comes back. */
    async add(personId: string, role: Role): Promise<void> {
      await db
        .insert(members)
        .values({ workshopId, personId, role })
        .onConflictDoUpdate({
          target: [members.workshopId, members.personId],
          set: { role, leftAt: null },
        });
    },

    /** Undoes that somebody was let go. */
    async comeBack(id: string): Promise<void> {
      await db
        .update(members)
        .set({ leftAt: null, version: sql`${members.version} + 1` })
        .where(and(mine, eq(members.id, id)));
    },

    async setCode(personId: string, codeHash: string | null): Promise<void> {
      await db
        .update(members)
        .set({ codeHash })
        .where(and(mine, eq(members.personId, personId)));
    },

    /** The codes of those who work here now. */
    async codes(): Promise<readonly MemberCode[]> {
      const rows = await db
        .select({ personId: members.personId, role: members.role, codeHash: members.codeHash })
        .from(members)
        .where(and(mine, isNull(members.leftAt)));
      return rows.flatMap(({ codeHash, ...member }) => (codeHash ? [{ ...member, codeHash }] : []));
    },
  };
}

export interface MemberCode {
  readonly personId: string;
  readonly role: Role;
  readonly codeHash: string;
}

/** The trusted devices of one workshop. */
export function devicesOf(db: Connection, workshopId: string) {
  const mine = and(eq(devices.workshopId, workshopId), isNull(devices.removedAt));
  return {
    all: () => db.select().from(devices).where(mine).orderBy(asc(devices.trustedAt)),

    async byToken(tokenHash: string) {
      const [device] = await db
        .select()
        .from(devices)
        .where(and(mine, eq(devices.tokenHash, tokenHash)));
      return device;
    },

    async trust(name: string, tokenHash: string, trustedBy: string): Promise<string> {
      const [row] = await db
        .insert(devices)
        .values({ workshopId, name, tokenHash, trustedBy })
        .returning({ id: devices.id });
      return row?.id ?? '';
    },

    /** It takes codes, or none until it is opened again. */
    async setClosed(id: string, closed: boolean): Promise<void> {
      await db
        .update(devices)
        .set({ closedAt: closed ? new Date() : null })
        .where(and(mine, eq(devices.id, id)));
    },

    async forget(id: string): Promise<void> {
      await db
        .update(devices)
        .set({ removedAt: new Date() })
        .where(and(mine, eq(devices.id, id)));
    },
  };
}

export interface Membership {
  readonly workshop: typeof workshops.$inferSelect;
  readonly role: Role;
}

/** Where a person works; read behind no workshop's wall, but as that person. */
export const membershipsOf = (db: Connection, personId: string): Promise<Membership[]> =>
  db
    .select({ workshop: workshops, role: members.role })
    .from(members)
    .innerJoin(workshops, eq(workshops.id, members.workshopId))
    .where(and(eq(members.personId, personId), isNull(members.leftAt)))
    .orderBy(asc(workshops.name), asc(workshops.id));
