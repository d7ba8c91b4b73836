/** Changing hands at a trusted device with a short code, as a part of better-auth: its sessions, its cookies. */
import type { BetterAuthPlugin } from 'better-auth';
import {
  APIError,
  createAuthEndpoint,
  getSessionFromCtx,
  sessionMiddleware,
} from 'better-auth/api';
import { deleteSessionCookie, setSessionCookie } from 'better-auth/cookies';
import { z } from 'zod';
import { may } from '@/core/house/policy';
import { isCode } from '@/db/codes';
import { changeSession, countTry, forgetTries } from '@/db/doors';
import type { MemberCode } from '@/db/members';
import { codesOn, DEVICE_COOKIE, deviceOf, type TrustedDevice } from './device';
import { shortCode } from './identity-entry';

const codeSchema = z.object({ personId: z.uuid(), code: shortCode });

const refuse = (message: string, status: 'FORBIDDEN' | 'TOO_MANY_REQUESTS' = 'FORBIDDEN') =>
  new APIError(status, { message });

async function trustedDevice(cookie: string | null | undefined): Promise<TrustedDevice> {
  const device = await deviceOf(cookie ?? undefined);
  if (!device) throw refuse('This device is not trusted: sign in with name and password.');
  return device;
}

/** Who gave the right code; counts the wrong ones for each person on each device. */
async function whoGave(
  device: TrustedDevice,
  { personId, code }: z.output<typeof codeSchema>,
): Promise<MemberCode> {
  const key = `${device.id}:${personId}`;
  const minutes = await countTry('code', key);
  if (minutes !== undefined)
    throw refuse(
      `Too many wrong codes. Wait ${minutes} minutes, or sign in with name and password.`,
      'TOO_MANY_REQUESTS',
    );
  const member = (await codesOn(device)).find((each) => each.personId === personId);
  if (!member || !(await isCode(code, member.codeHash)))
    throw refuse('That is not the code of this person.');
  await forgetTries('code', key);
  return member;
}

export const handsDoor = () =>
  ({
    id: 'hands',
    endpoints: {
      /** Somebody takes over, or comes back to a device that was left alone. */
      changeHands: createAuthEndpoint(
        '/hands/change',
        { method: 'POST', body: codeSchema },
        async (ctx) => {
          const device = await trustedDevice(ctx.getCookie(DEVICE_COOKIE));
          const { personId } = await whoGave(device, ctx.body);
          const before = await getSessionFromCtx(ctx);
          if (before?.user.id === personId) {
            await changeSession(before.session.id, { lockedAt: null, deviceId: device.id });
            return ctx.json({ same: true });
          }
          const user = await ctx.context.internalAdapter.findUserById(personId);
          if (!user) throw refuse('This person is not known here any more.');
          if (before) await ctx.context.internalAdapter.deleteSession(before.session.token);
          deleteSessionCookie(ctx);
          const session = await ctx.context.internalAdapter.createSession(personId, false, {
            workshopId: device.workshopId,
            deviceId: device.id,
          });
          await setSessionCookie(ctx, { session, user });
          return ctx.json({ same: false });
        },
      ),

      /** A device that is left alone. */
      lockHands: createAuthEndpoint(
        '/hands/lock',
        { method: 'POST', use: [sessionMiddleware] },
        async (ctx) => {
          await trustedDevice(ctx.getCookie(DEVICE_COOKIE));
          await changeSession(ctx.context.session.session.id, {
            lockedAt: new Date(),
            watchedBy: null,
          });
          return ctx.json({ locked: true });
        },
      ),

      /** Somebody watches what a learner does at this device, until hands change. */
      watchHands: createAuthEndpoint(
        '/hands/watch',
        { method: 'POST', body: codeSchema, use: [sessionMiddleware] },
        async (ctx) => {
          const device = await trustedDevice(ctx.getCookie(DEVICE_COOKIE));
          const { personId, role } = await whoGave(device, ctx.body);
          if (!may(role, 'watch a learner') || personId === ctx.context.session.user.id)
            throw refuse('Somebody who strings here has to watch.');
          await changeSession(ctx.context.session.session.id, { watchedBy: personId });
          return ctx.json({ watchedBy: personId });
        },
      ),
    },
  }) satisfies BetterAuthPlugin;
