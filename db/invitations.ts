import { and, asc, eq, gt, isNull, sql } from 'drizzle-orm';
import type { Role } from '@/core/house/role-rights';
import type { Connection } from './connection';
import { people } from './doors-schema';
import { membersOf } from './members';
import { invitations, workshops } from './workshop-schema';

export interface Invitation {
  readonly id: string;
  readonly workshop: string;
  readonly name: string;
  readonly address: string;
  readonly role: Role;
  readonly by: string;
  readonly expiresAt: Date;
}

/** Where an invitation asks somebody in, by what stands in its address; undefined for one that is of no use (any more). */
export async function invitationAt(
  db: Connection,
  tokenHash: string,
): Promise<{ readonly workshopId: string; readonly id: string } | undefined> {
  const { rows } = await db.execute<{ workshop_id: string; id: string }>(
    sql`select * from invitation(${tokenHash})`,
  );
  const [row] = rows;
  return row && { workshopId: row.workshop_id, id: row.id };
}

/** Whom one workshop has asked in. */
export function invitationsOf(db: Connection, workshopId: string) {
  const standing = () =>
    and(
      eq(invitations.workshopId, workshopId),
      isNull(invitations.takenAt),
      isNull(invitations.withdrawnAt),
      gt(invitations.expiresAt, new Date()),
    );
  const told = () =>
    db
      .select({
        id: invitations.id,
        workshop: workshops.name,
        name: invitations.name,
        address: invitations.address,
        role: invitations.role,
        by: people.name,
        expiresAt: invitations.expiresAt,
      })
      .from(invitations)
      .innerJoin(workshops, eq(workshops.id, invitations.workshopId))
      .innerJoin(people, eq(people.id, invitations.invitedBy));

  return {
    /** Those that nobody has taken yet. */
    standing: (): Promise<Invitation[]> => told().where(standing()).orderBy(asc(invitations.at)),

    async get(id: string): Promise<Invitation | undefined> {
      const [row] = await told().where(and(standing(), eq(invitations.id, id)));
      return row;
    },

    async add(
      facts: Pick<
        typeof invitations.$inferInsert,
        'tokenHash' | 'name' | 'address' | 'role' | 'invitedBy' | 'expiresAt'
      >,
    ): Promise<void> {
      await db.insert(invitations).values({ ...facts, workshopId });
    },

    async withdraw(id: string): Promise<void> {
      await db
        .update(invitations)
        .set({ withdrawnAt: new Date() })
        .where(and(standing(), eq(invitations.id, id)));
    },

    /** Somebody takes it, once: they work here from now on. Call it inside a transaction. */
    async take(id: string, personId: string): Promise<'taken' | 'gone' | 'here already'> {
      const members = membersOf(db, workshopId);
      if (await members.has(personId)) return 'here already';
      const [row] = await db
        .update(invitations)
        .set({ takenAt: new Date() })
        .where(and(standing(), eq(invitations.id, id)))
        .returning({ role: invitations.role });
      if (!row) return 'gone';
      await members.add(personId, row.role);
      return 'taken';
    },
  };
}
