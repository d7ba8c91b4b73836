/** What the doors ask before it is known where somebody works. */
import { and, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible';
import { doorsDatabase } from './connection';
import { isCode } from './codes';
import { accounts, people, sessions } from './doors-schema';

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

/** Whether an address is somebody's of this house already. */
export const isAddressKnown = async (email: string): Promise<boolean> =>
  (await doorsDatabase().$count(people, eq(people.email, email))) > 0;

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
  readonly seenAt?: Date | null;
  readonly byCode?: boolean;
  readonly byPasskey?: boolean;
  readonly provenAt?: Date | null;
}

export async function changeSession(id: string, facts: SessionFacts): Promise<void> {
  await doorsDatabase().update(sessions).set(facts).where(eq(sessions.id, id));
}

/** Whether somebody has this password. */
export async function isPasswordOf(personId: string, password: string): Promise<boolean> {
  const [account] = await doorsDatabase()
    .select({ hash: accounts.password })
    .from(accounts)
    .where(and(eq(accounts.userId, personId), eq(accounts.providerId, 'credential')));
  return account?.hash ? isCode(password, account.hash) : false;
}

/** So long a session on a trusted device stands with nobody at it; a page locks a little earlier by itself. */
const ALONE_MS = 11 * 60_000;
const MINUTE_MS = 60_000;

const isAlone = (seenAt: Date | null, now: Date): boolean =>
  seenAt !== null && now.getTime() - seenAt.getTime() > ALONE_MS;

/**
 * Somebody is at a session on a trusted device: writes it down once a minute. One that was left alone too long is locked
 * now, whether a page was open or not; says since when it is locked.
 */
export async function seen(
  { id, seenAt, lockedAt }: { id: string; seenAt: Date | null; lockedAt: Date | null },
  now: Date,
): Promise<Date | null> {
  if (lockedAt) return lockedAt;
  if (isAlone(seenAt, now)) {
    await changeSession(id, { lockedAt: now, watchedBy: null });
    return now;
  }
  if (!seenAt || now.getTime() - seenAt.getTime() > MINUTE_MS)
    await changeSession(id, { seenAt: now });
  return null;
}

/** Whether a session is neither ended, locked nor left alone. */
export async function sessionStands(id: string, now = new Date()): Promise<boolean> {
  const [session] = await doorsDatabase()
    .select({ lockedAt: sessions.lockedAt, seenAt: sessions.seenAt })
    .from(sessions)
    .where(and(eq(sessions.id, id), gt(sessions.expiresAt, now)));
  return session?.lockedAt === null && !isAlone(session.seenAt, now);
}

/** Signs everybody out who is signed in on a device. */
export async function endSessionsOn(deviceId: string): Promise<void> {
  await doorsDatabase().delete(sessions).where(eq(sessions.deviceId, deviceId));
}

/** Where somebody is signed in, the latest first. */
export const sessionsOf = (personId: string) =>
  doorsDatabase()
    .select({
      id: sessions.id,
      createdAt: sessions.createdAt,
      deviceId: sessions.deviceId,
      lockedAt: sessions.lockedAt,
      userAgent: sessions.userAgent,
    })
    .from(sessions)
    .where(and(eq(sessions.userId, personId), gt(sessions.expiresAt, new Date())))
    .orderBy(desc(sessions.createdAt));

/** Where somebody was at work by having only one workshop they stay, though they get another. */
export async function stayIn(personId: string, workshopId: string): Promise<void> {
  await doorsDatabase()
    .update(sessions)
    .set({ workshopId })
    .where(and(eq(sessions.userId, personId), isNull(sessions.workshopId)));
}

/** Ends one of somebody's own sessions, wherever it is. */
export async function endSession(personId: string, id: string): Promise<void> {
  await doorsDatabase()
    .delete(sessions)
    .where(and(eq(sessions.userId, personId), eq(sessions.id, id)));
}

const QUARTER_OF_AN_HOUR = 15 * 60;
/** How many wrong answers each door takes from one name or device before it stays shut for a while. */
const PATIENCE = {
  password: { points: 10, duration: QUARTER_OF_AN_HOUR },
  // Of a device, whoever they are of.
  code: { points: 5, duration: 60 * 60 },
  message: { points: 3, duration: 60 * 60 },
  // Of somebody who is signed in already, wherever it is asked from.
  present: { points: 10, duration: QUARTER_OF_AN_HOUR },
  // A code of somebody's app, once; each lasts a minute and a half at most.
  'app code': { points: 1, duration: 2 * 60 },
  // A code that is refused because somebody has it must not be looked for.
  'new code': { points: 5, duration: 24 * 60 * 60 },
  // Names that are taken must not be looked for by an invitation.
  invitation: { points: 10, duration: 60 * 60 },
  // Of a workshop: nobody's letter box is filled by it.
  invite: { points: 40, duration: 24 * 60 * 60 },
} as const;
export type Door = keyof typeof PATIENCE;

const limiters = new Map<Door, RateLimiterPostgres>();

function limiterOf(door: Door): RateLimiterPostgres {
  const known = limiters.get(door);
  if (known) return known;
  const limiter = new RateLimiterPostgres({
    storeClient: doorsDatabase().$client,
    storeType: 'pool',
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

/** A right answer was no wrong one; those before it stay counted, for it may be another's. */
export async function forgiveTry(door: Door, key: string): Promise<void> {
  await limiterOf(door).reward(key, 1);
}

/** A right answer makes the wrong ones before it forgotten. */
export async function forgetTries(door: Door, key: string): Promise<void> {
  await limiterOf(door).delete(key);
}
