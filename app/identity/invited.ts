/** An invitation, by the address that opens it. */
import { linkToken, newToken } from '@/db/client-links';
import { hashToken } from '@/db/codes';
import { database } from '@/db/connection';
import { invitationAt, invitationsOf, type Invitation } from '@/db/invitations';
import { behindWalls } from '@/db/walls';

const LASTS_MS = 7 * 24 * 60 * 60_000;

const isToken = (token: unknown): token is string =>
  typeof token === 'string' && linkToken.test(token);

/** Where an invitation is opened; undefined for what is none of it, since a sign-in leads on to there and nowhere else. */
export const wayToInvited = (token: unknown): string | undefined =>
  isToken(token) ? `/invited?token=${token}` : undefined;

/** A new one: what stands in its address, of which only the hash is kept, and how long it is good. */
export function newInvitation(now = new Date()) {
  const token = newToken();
  return {
    link: wayToInvited(token) ?? '',
    tokenHash: hashToken(token),
    expiresAt: new Date(now.getTime() + LASTS_MS),
  };
}

export interface Invited {
  readonly workshopId: string;
  readonly invitation: Invitation;
}

/** What an address asks somebody to; undefined where it is of no use, or not any more. */
export async function invitedBy(token: unknown): Promise<Invited | undefined> {
  if (!isToken(token)) return undefined;
  const found = await behindWalls(database(), {}, (transaction) =>
    invitationAt(transaction, hashToken(token)),
  );
  if (!found) return undefined;
  const { workshopId, id } = found;
  const invitation = await behindWalls(database(), { workshopId }, (transaction) =>
    invitationsOf(transaction, workshopId).get(id),
  );
  return invitation && { workshopId, invitation };
}

/** Somebody takes an invitation, once. */
export const takeAs = (personId: string, { workshopId, invitation }: Invited) =>
  behindWalls(database(), { workshopId, personId }, (transaction) =>
    invitationsOf(transaction, workshopId).take(invitation.id, personId),
  );
