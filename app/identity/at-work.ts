/** Who sends a request, where they work, and whether they may do what they ask for. */
import { cookies, headers } from 'next/headers';
import { forbidden, redirect } from 'next/navigation';
import { cache } from 'react';
import { may, type Right, type Role, type SessionProof } from '@/core/house/role-rights';
import { PATH_HEADER } from '@/app/doors';
import { database } from '@/db/connection';
import { isAnybodyKnown, seen } from '@/db/doors';
import { membershipsOf, type Membership } from '@/db/members';
import { behindWalls } from '@/db/walls';
import { openTo, type OpenWorkshop } from '@/db/workshop';
import { auth } from './auth';
import { lacksSecondStep, needsPassword, proofOf } from './proof';
import { DEVICE_COOKIE, deviceOf, type TrustedDevice } from './device';
import { logDoor } from './door-log';

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly username: string;
  readonly sessionId: string;
  /** Since when the device was left alone, if it is. */
  readonly lockedAt: Date | null;
  /** Who watches, where this one is a learner. */
  readonly watchedBy: string | null;
  /** The workshop that they chose to work in; theirs or not. */
  readonly chose: string | null;
  readonly proof: SessionProof;
  /** Whether the door asks for more than their password. */
  readonly isAskedTwice: boolean;
  /** The same, or they came in by a passkey. */
  readonly hasSecondStep: boolean;
}

/** Everything of a workshop, and who works in it. */
export interface OpenHouse extends OpenWorkshop {
  readonly person: Person;
  readonly role: Role;
}

/** Whoever is signed in, locked out for a moment or not. */
export const signedIn = cache(async (): Promise<Person | undefined> => {
  const found = await auth().api.getSession({ headers: await headers() });
  if (!found) return undefined;
  const { user, session } = found;
  const { id, lockedAt = null, seenAt = null } = session;
  return {
    id: user.id,
    name: user.name,
    username: user.username ?? '',
    sessionId: session.id,
    lockedAt: session.deviceId ? await seen({ id, seenAt, lockedAt }, new Date()) : lockedAt,
    watchedBy: session.watchedBy ?? null,
    chose: session.workshopId ?? null,
    proof: proofOf(session),
    isAskedTwice: user.twoFactorEnabled ?? false,
    hasSecondStep: (user.twoFactorEnabled ?? false) || (session.byPasskey ?? false),
  };
});

export const thisDevice = cache(async (): Promise<TrustedDevice | undefined> =>
  deviceOf((await cookies()).get(DEVICE_COOKIE)?.value),
);

/** Where somebody works, whichever workshop asks. */
export const myWorkshops = (person: Pick<Person, 'id'>): Promise<Membership[]> =>
  behindWalls(database(), { personId: person.id }, (transaction) =>
    membershipsOf(transaction, person.id),
  );

/** Why nobody can be let in to work; what to do is said by the page that it leads to. */
export type Shut = 'signed out' | 'no workshop' | 'locked';

/** The workshop that a request works in. Somebody who belongs to several has to have chosen one. */
const atWork = cache(async (): Promise<OpenHouse | Shut> => {
  const person = await signedIn();
  if (!person) return 'signed out';
  const memberships = await myWorkshops(person);
  const only = memberships.length === 1 ? memberships[0] : undefined;
  const mine = memberships.find(({ workshop }) => workshop.id === person.chose) ?? only;
  return mine ? openTo(database(), person.id, { ...mine, person }) : 'no workshop';
});

const isShut = (work: OpenHouse | Shut): work is Shut => typeof work === 'string';

/** Who works here, for what is not shown by a page: locked counts as shut. */
export async function atWorkNow(): Promise<OpenHouse | Shut> {
  const work = await atWork();
  return !isShut(work) && work.person.lockedAt ? 'locked' : work;
}

/** For a part of a page that was let in by `openFor`. A locked page still stands, behind its lock. */
export async function openWorkshop(): Promise<OpenHouse> {
  const work = await atWork();
  if (!isShut(work)) return work;
  if (work === 'no workshop') redirect('/workshops');
  redirect((await isAnybodyKnown()) ? '/sign-in' : '/first-start');
}

/** The workshop, for a page that needs this right; whoever may not do it is told so. */
export async function openFor(right: Right): Promise<OpenHouse> {
  const open = await openWorkshop();
  if (open.person.lockedAt) redirect('/locked');
  if (!may(open.role, right)) {
    logDoor('may not', right, open.person.id);
    forbidden();
  }
  if (lacksSecondStep(open)) redirect('/me#second-step');
  if (needsPassword(open.person, right))
    redirect(`/prove?to=${encodeURIComponent((await headers()).get(PATH_HEADER) ?? '/')}`);
  return open;
}
