import { randomBytes } from 'node:crypto';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Connection } from './connection';
import { clientLinks, wishes } from './papers-schema';
import { clients, frames, rackets } from './racket-schema';

/** 128 bits by chance: nobody guesses one, and it fits a small code. */
export const newToken = (): string => randomBytes(16).toString('base64url');

export const linkToken = /^[\w-]{22}$/;

/** Whose racket an address without sign-in shows; undefined for one that was withdrawn or never was. */
export async function linkAt(
  db: Connection,
  token: string,
): Promise<{ readonly workshopId: string; readonly racketId: string } | undefined> {
  const { rows } = await db.execute<{ workshop_id: string; racket_id: string }>(
    sql`select * from client_link(${token})`,
  );
  const [row] = rows;
  return row && { workshopId: row.workshop_id, racketId: row.racket_id };
}

/** The addresses by which clients see their own rackets, and what they wish there. */
export function clientLinksOf(db: Connection, workshopId: string) {
  const standing = (racketId: string) =>
    and(
      eq(clientLinks.workshopId, workshopId),
      eq(clientLinks.racketId, racketId),
      isNull(clientLinks.withdrawnAt),
    );
  const current = async (racketId: string): Promise<string | undefined> => {
    const [row] = await db
      .select({ token: clientLinks.token })
      .from(clientLinks)
      .where(standing(racketId))
      .orderBy(desc(clientLinks.at))
      .limit(1);
    return row?.token;
  };
  return {
    current,

    /** The address of a racket, made where there is none. */
    async ensure(racketId: string): Promise<string> {
      const known = await current(racketId);
      if (known) return known;
      const token = newToken();
      await db.insert(clientLinks).values({ token, workshopId, racketId });
      return token;
    },

    /** From here on the address opens nothing; the next paper carries another. */
    async withdraw(racketId: string): Promise<void> {
      await db.update(clientLinks).set({ withdrawnAt: new Date() }).where(standing(racketId));
    },

    /** Keeps that a client wants to bring their racket; one wish a racket is open at a time. */
    async wish(racketId: string, text: string): Promise<void> {
      await db.insert(wishes).values({ workshopId, racketId, text }).onConflictDoNothing();
    },

    /** What clients asked for on their own pages and nobody has seen, the earliest first. */
    openWishes: (
      limit: number,
    ): Promise<
      readonly {
        readonly id: string;
        readonly at: Date;
        readonly text: string;
        readonly racketId: string;
        readonly clientName: string;
        readonly frameName: string;
        readonly mark: string;
      }[]
    > =>
      db
        .select({
          id: wishes.id,
          at: wishes.at,
          text: wishes.text,
          racketId: wishes.racketId,
          clientName: clients.name,
          frameName: sql<string>`coalesce(${frames.name}, ${rackets.label})`,
          mark: rackets.mark,
        })
        .from(wishes)
        .innerJoin(rackets, eq(rackets.id, wishes.racketId))
        .innerJoin(clients, eq(clients.id, rackets.clientId))
        .leftJoin(frames, eq(frames.id, rackets.frameId))
        .where(and(eq(wishes.workshopId, workshopId), isNull(wishes.answeredAt)))
        .orderBy(wishes.at)
        .limit(limit),

    /** Whether a racket's owner has a wish open. */
    async hasWish(racketId: string): Promise<boolean> {
      const [open] = await db
        .select({ id: wishes.id })
        .from(wishes)
        .where(
          and(
            eq(wishes.workshopId, workshopId),
            eq(wishes.racketId, racketId),
            isNull(wishes.answeredAt),
          ),
        );
      return open !== undefined;
    },

    /** A wish was seen, or its racket came in. */
    async answer(by: { readonly id: string } | { readonly racketId: string }): Promise<void> {
      await db
        .update(wishes)
        .set({ answeredAt: new Date() })
        .where(
          and(
            eq(wishes.workshopId, workshopId),
            'id' in by ? eq(wishes.id, by.id) : eq(wishes.racketId, by.racketId),
            isNull(wishes.answeredAt),
          ),
        );
    },
  };
}
