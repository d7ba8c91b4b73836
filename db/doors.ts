/** What the doors ask before it is known where somebody works. */
import { and, eq, gt, sql } from 'drizzle-orm';
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible';
import { doorsDatabase } from './connection';
import { people, sessions } from './doors-schema';

/** Whether anybody is known to this house. */
export const isAnybodyKnown = async (): Promise<boolean> =>
  (await doorsDatabase().$count(people)) > 0;

/** A workshop of a house from before there were people. */
export async function ownerlessWorkshop(): Promise<
  { readonly id: string; readonly name: string } | undefined
> {
  const { rows } = await doorsDatabase().execute<{ id: string; name: string }>(
    sql`select id, name from ownerless_workshops() limit 1`,
  );
  return rows[0];
}

/** Somebody of this house by the name that they sign in with, whatever workshop they work in. */
export async function personNamed(
  username: string,
): Promise<{ readonly id: string; readonly email: string } | undefined> {
  const [person] = await doorsDatabase()
    .select({ id: people.id, email: people.email })
    .from(people)
    .where(eq(people.username, username));
  return person;
}

/** Does `work` while no other first start does, whatever server it runs on. */
export const aloneAtFirstStart = <T>(work: () => Promise<T>): Promise<T> =>
  doorsDatabase().transaction(async (transaction) => {
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtext('orthotens first start'))`);
    return work();
  });

export interface SessionFacts {
  readonly workshopId?: string | null;
  readonly deviceId?: string | null;
  readonly lockedAt?: Date | null;
  readonly watchedBy?: string | null;
}

export async function changeSession(id: string, facts: SessionFacts): Promise<void> {
  await doorsDatabase().update(sessions).set(facts).where(eq(sessions.id, id));
}

/** Where somebody is signed in. */
export const sessionsOf = (personId: string) =>
  doorsDatabase()
    .select({
      id: sessions.id,
      createdAt: sessions.createdAt,
      updatedAt: sessions.updatedAt,
      userAgent: sessions.userAgent,
    })
    .from(sessions)
    .where(and(eq(sessions.userId, personId), gt(sessions.expiresAt, new Date())));

const QUARTER_OF_AN_HOUR = 15 * 60;
/** How many wrong answers each door takes from one name or device before it stays shut for a while. */
const PATIENCE = {
  password: { points: 10, duration: QUARTER_OF_AN_HOUR },
  code: { points: 5, duration: QUARTER_OF_AN_HOUR },
  message: { points: 3, duration: 60 * 60 },
} as const;
export type Door = keyof typeof PATIENCE;

const limiters = new Map<Door, RateLimiterPostgres>();

function limiterOf(door: Door): RateLimiterPostgres {
  const known = limiters.get(door);
  if (known) return known;
  const limiter = new RateLimiterPostgres({
    storeClient: doorsDatabase().$client,
    keyPrefix: door,
    tableName: 'attempts',
    tableCreated: true,
    clearExpiredByTimeout: false,
    ...PATIENCE[door],
  });
  limiters.set(door, limiter);
  return limiter;
}

/** Counts a try; says for how many minutes the door stays shut where there were too many. */
export async function countTry(door: Door, key: string): Promise<number | undefined> {
  try {
    await limiterOf(door).consume(key);
    return undefined;
  } catch (refused) {
    if (refused instanceof Error) throw refused;
    return Math.max(1, Math.ceil((refused as RateLimiterRes).msBeforeNext / 60_000));
  }
}

/** A right answer makes the wrong ones before it forgotten. */
export async function forgetTries(door: Door, key: string): Promise<void> {
  await limiterOf(door).delete(key);
}
