/** The cookie of a trusted device: its workshop and a token that only its hash is kept of. */
import { randomBytes } from 'node:crypto';
import { z } from 'zod';
import { hashToken } from '@/db/codes';
import { database } from '@/db/connection';
import { behindWalls } from '@/db/walls';
import { devicesOf, membersOf, type MemberCode } from '@/db/members';

export const DEVICE_COOKIE = 'orthotens.device';
const YEAR = 365 * 24 * 60 * 60;

export const deviceCookie = {
  httpOnly: true,
  sameSite: 'lax',
  path: '/',
  maxAge: YEAR,
  secure: process.env.ORTHOTENS_TLS === '1',
} as const;

export const newDeviceToken = (): string => randomBytes(32).toString('base64url');

const cookieSchema = z.tuple([z.uuid(), z.string().length(43)]);

export interface TrustedDevice {
  readonly id: string;
  readonly name: string;
  readonly workshopId: string;
  /** Too many wrong codes were given on it. */
  readonly isClosed: boolean;
}

/** The device that a cookie belongs to; undefined where it is not, or not any more, a trusted one. */
export async function deviceOf(cookie: string | undefined): Promise<TrustedDevice | undefined> {
  const read = cookieSchema.safeParse((cookie ?? '').split('.'));
  if (!read.success) return undefined;
  const [workshopId, token] = read.data;
  const device = await behindWalls(database(), { workshopId }, (transaction) =>
    devicesOf(transaction, workshopId).byToken(hashToken(token)),
  );
  return (
    device && {
      id: device.id,
      name: device.name,
      workshopId,
      isClosed: device.closedAt !== null,
    }
  );
}

/** A device that was closed takes codes again, or takes none from now on. */
export const setDeviceClosed = (
  { id, workshopId }: TrustedDevice,
  closed: boolean,
): Promise<void> =>
  behindWalls(database(), { workshopId }, (transaction) =>
    devicesOf(transaction, workshopId).setClosed(id, closed),
  );

/** Those of a workshop who have a short code. */
export const codesOn = ({ workshopId }: TrustedDevice): Promise<readonly MemberCode[]> =>
  behindWalls(database(), { workshopId }, (transaction) =>
    membersOf(transaction, workshopId).codes(),
  );

export interface Face {
  readonly personId: string;
  readonly name: string;
}

/** Who can take over at a device: those with a code, by name. */
export const facesOn = ({ workshopId }: TrustedDevice): Promise<readonly Face[]> =>
  behindWalls(database(), { workshopId }, async (transaction) => {
    const all = await membersOf(transaction, workshopId).all();
    return all
      .filter(({ hasCode, leftAt }) => hasCode && !leftAt)
      .map(({ personId, name }) => ({ personId, name }));
  });
