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
import { may } from '@/core/house/role-rights';
import { isCode } from '@/db/codes';
import { changeSession, countTry, forgetTries, forgiveTry, isPasswordOf, seen } from '@/db/doors';
import type { MemberCode } from '@/db/members';
import { codesOn, DEVICE_COOKIE, deviceOf, setDeviceClosed, type TrustedDevice } from './device';
import { LONGEST_PASSWORD, shortCode } from './identity-entry';

const codeSchema = z.object({ personId: z.uuid(), code: shortCode });

const refuse = (message: string, status: 'FORBIDDEN' | 'TOO_MANY_REQUESTS' = 'FORBIDDEN') =>
  new APIError(status, { message });

async function trustedDevice(cookie: string | null | undefined): Promise<TrustedDevice> {
  const device = await deviceOf(cookie ?? undefined);
  if (!device) throw refuse('This device is not trusted: sign in with name and password.');
  return device;
}

const CLOSED =
  'Too many wrong codes: this device takes none until somebody signs in on it with name and password.';

/** Who gave the right code; counts the wrong ones on each device, whoever they are of. */
async function whoGave(
  device: TrustedDevice,
  { personId, code }: z.output<typeof codeSchema>,
): Promise<MemberCode> {
  if (device.isClosed) throw refuse(CLOSED, 'TOO_MANY_REQUESTS');
  if ((await countTry('code', device.id)) !== undefined) {
    await setDeviceClosed(device, true);
    throw refuse(CLOSED, 'TOO_MANY_REQUESTS');
  }
  const member = (await codesOn(device)).find((each) => each.personId === personId);
  if (!member || !(await isCode(code, member.codeHash)))
    throw refuse('That is not the code of this person.');
  // Whoever knows one code must not try those of others for ever.
  await forgiveTry('code', device.id);
  return member;
}

/** Somebody signed in by password on a device: it takes codes again. */
export async function openDevice(cookie: string | null | undefined): Promise<void> {
  const device = await deviceOf(cookie ?? undefined);
  if (!device) return;
  await forgetTries('code', device.id);
  if (device.isClosed) await setDeviceClosed(device, false);
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
            // What a code has opened is for the work of a day, also where a password had made it.
            await changeSession(before.session.id, {
              lockedAt: null,
              seenAt: new Date(),
              deviceId: device.id,
              byCode: true,
              provenAt: null,
            });
            return ctx.json({ same: true });
          }
          const user = await ctx.context.internalAdapter.findUserById(personId);
          if (!user) throw refuse('This person is not known here any more.');
          if (before) await ctx.context.internalAdapter.deleteSession(before.session.token);
          deleteSessionCookie(ctx);
          const session = await ctx.context.internalAdapter.createSession(personId, false, {
            workshopId: device.workshopId,
            deviceId: device.id,
            byCode: true,
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

      /** Somebody is at a page that asks for nothing meanwhile; says whether it was left alone before. */
      hereHands: createAuthEndpoint(
        '/hands/here',
        { method: 'POST', use: [sessionMiddleware] },
        async (ctx) => {
          const { id, lockedAt, seenAt } = ctx.context.session.session as unknown as {
            readonly id: string;
            readonly lockedAt: Date | null;
            readonly seenAt: Date | null;
          };
          return ctx.json({ locked: (await seen({ id, lockedAt, seenAt }, new Date())) !== null });
        },
      ),

      /** Whoever came in by a code gives their password too, for what asks for it. */
      proveHands: createAuthEndpoint(
        '/hands/prove',
        {
          method: 'POST',
          body: z.object({ password: z.string().max(LONGEST_PASSWORD) }),
          use: [sessionMiddleware],
        },
        async (ctx) => {
          const { user, session } = ctx.context.session;
          const minutes = await countTry('present', user.id);
          if (minutes !== undefined)
            throw refuse(
              `Too many wrong passwords. Wait ${minutes} minutes and try again.`,
              'TOO_MANY_REQUESTS',
            );
          if (!(await isPasswordOf(user.id, ctx.body.password)))
            throw refuse('That is not your password. Capitals count in it.');
          await forgetTries('present', user.id);
          await changeSession(session.id, { provenAt: new Date() });
          return ctx.json({ proven: true });
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
