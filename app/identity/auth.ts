/** Who somebody is: passwords, passkeys, sessions; kept in tables that no workshop owns. */
import { passkey } from '@better-auth/passkey';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError, createAuthMiddleware, getSessionFromCtx } from 'better-auth/api';
import { nextCookies } from 'better-auth/next-js';
import { twoFactor, username } from 'better-auth/plugins';
import { hostsNamed, ourScheme } from '@/app/doors';
import { doorsDatabase } from '@/db/connection';
import { hashToken } from '@/db/codes';
import { changeSession, countTry, forgetTries } from '@/db/doors';
import {
  accounts,
  passkeys,
  people,
  rateLimits,
  secondSteps,
  sessions,
  verifications,
} from '@/db/doors-schema';
import { sendMessage } from './messages';
import { demoDoor } from './demo-door';
import { DEVICE_COOKIE } from './device';
import { logDoor } from './door-log';
import { handsDoor, openDevice } from './hands-door';
import { isUnproven, PROVE_FIRST, proofOf } from './proof';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from './identity-entry';

const DAY = 24 * 60 * 60;

/** What is asked beside a password, for those who have set it up. */
const SECOND_STEP = [
  '/two-factor/enable',
  '/two-factor/disable',
  '/two-factor/verify-totp',
  '/two-factor/verify-backup-code',
];

/** The doors that there are; better-auth has more, and none of them is served. */
const SERVED = [
  '/sign-in/username',
  '/sign-in/demo',
  '/sign-out',
  '/get-session',
  '/revoke-other-sessions',
  '/change-password',
  '/request-password-reset',
  '/reset-password',
  '/hands/change',
  '/hands/lock',
  '/hands/watch',
  '/hands/prove',
  '/hands/here',
  '/passkey/generate-register-options',
  '/passkey/verify-registration',
  '/passkey/generate-authenticate-options',
  '/passkey/verify-authentication',
  '/passkey/list-user-passkeys',
  '/passkey/delete-passkey',
  ...SECOND_STEP,
];
/** Those that end a way in. */
const COMES_IN = ['/sign-in/username', '/two-factor/verify-totp', '/two-factor/verify-backup-code'];
/** Those that ask for the present password themselves. */
const ASKS_PRESENT = ['/change-password', '/two-factor/enable', '/two-factor/disable'];
/** Those that a device which was left alone does not open: whoever passes by would make a way in of their own. */
const SHUT_WHILE_LOCKED = [
  '/change-password',
  '/hands/prove',
  '/revoke-other-sessions',
  '/hands/watch',
  '/passkey/generate-register-options',
  '/passkey/verify-registration',
  '/passkey/delete-passkey',
  ...SECOND_STEP,
];

/** Those that ask for the password of whoever came in by a code. */
const BEHIND_A_PASSWORD = [
  '/revoke-other-sessions',
  '/passkey/generate-register-options',
  '/passkey/verify-registration',
  '/passkey/delete-passkey',
];

const tooMany = (minutes: number) =>
  new APIError('TOO_MANY_REQUESTS', {
    code: 'TOO_MANY_TRIES',
    message: `Too many wrong tries. Wait ${minutes} minutes and try again.`,
  });

const nameIn = (body: unknown): string => {
  const { username: typed } = body as { username?: unknown };
  return typeof typed === 'string' ? typed.toLowerCase().slice(0, 80) : '';
};

/** As the sender reached us; by which names that is possible was asked before anything else. */
function originOf(request: Request | undefined): string {
  const host = request?.headers.get('host') ?? '127.0.0.1';
  return `${ourScheme()}://${host}`;
}

/** Whoever did not do it themselves learns of it. */
const tellOfChange = ({ name, email }: { readonly name: string; readonly email: string }) =>
  sendMessage({
    to: email,
    subject: 'Your password for Orthotens was changed',
    text: `${name}, your password was changed just now, and you are signed out everywhere else. If it was not you, ask for a new one at the door, and tell the owner of the workshop.`,
  });

const tellOfPasskey = ({ name, email }: { readonly name: string; readonly email: string }) =>
  sendMessage({
    to: email,
    subject: 'A new passkey for Orthotens',
    text: `${name}, a passkey was made in your name just now; who has it comes in without your password. If it was not you, take it away under your name, change your password, and tell the owner of the workshop.`,
  });

const SECOND_STEP_SAID: Readonly<Record<string, string | undefined>> = {
  '/two-factor/verify-totp': 'a second step was set up for you',
  '/two-factor/disable': 'your second step was taken away',
  '/two-factor/verify-backup-code': 'you came in by one of your spare codes, which is good no more',
};

const tellOfSecondStep = (
  { name, email }: { readonly name: string; readonly email: string },
  what: string,
) =>
  sendMessage({
    to: email,
    subject: 'Your second step for Orthotens',
    text: `${name}, ${what} just now. If it was not you, change your password, and tell the owner of the workshop.`,
  });

/** A code of an app is good once, and no device is let in without one from then on. */
async function refuseSpent(
  asked: Parameters<Parameters<typeof createAuthMiddleware>[0]>[0],
  isSignedIn: boolean,
): Promise<void> {
  const { code, trustDevice } = (asked.body ?? {}) as { code?: unknown; trustDevice?: unknown };
  if (trustDevice !== undefined) throw new APIError('BAD_REQUEST');
  if (isSignedIn || asked.path !== '/two-factor/verify-totp' || typeof code !== 'string') return;
  const { context } = asked;
  const cookie = context.createAuthCookie('two_factor');
  const challenge = await asked.getSignedCookie(cookie.name, context.secret);
  const found = challenge
    ? await context.internalAdapter.findVerificationValue(challenge)
    : undefined;
  if (found && (await countTry('app code', `${found.value} ${hashToken(code)}`)) !== undefined)
    throw new APIError('UNAUTHORIZED', {
      message: 'That code was used already. Wait for the next one.',
    });
}

/** A new password is none of those that are tried first. */
async function refuseGuessable(
  body: unknown,
  of: { readonly name: string; readonly email: string } | undefined,
): Promise<void> {
  const { newPassword } = body as { newPassword?: unknown };
  // The list is long, and is read when it is asked for.
  const { GUESSABLE, isGuessable } = await import('./guessable');
  if (typeof newPassword === 'string' && isGuessable(newPassword, of ? [of.name, of.email] : []))
    throw new APIError('BAD_REQUEST', { message: GUESSABLE });
}

const addressIn = (body: unknown): string => {
  const { email } = body as { email?: unknown };
  return typeof email === 'string' ? email.toLowerCase().slice(0, 200) : '';
};

function make() {
  return betterAuth({
    appName: 'Orthotens',
    basePath: '/doors',
    baseURL: {
      allowedHosts: [
        ...['127.0.0.1', 'localhost', '[::1]'].flatMap((host) => [host, `${host}:*`]),
        ...hostsNamed(process.env.ORTHOTENS_HOSTS).flatMap((host) => [host, `${host}:*`]),
      ],
      protocol: 'auto',
    },
    secret: process.env.ORTHOTENS_SECRET,
    telemetry: { enabled: false },
    logger: { level: 'error' },
    database: drizzleAdapter(doorsDatabase(), {
      provider: 'pg',
      schema: {
        user: people,
        session: sessions,
        account: accounts,
        verification: verifications,
        passkey: passkeys,
        rateLimit: rateLimits,
        twoFactor: secondSteps,
      },
    }),
    emailAndPassword: {
      enabled: true,
      // People are made by an owner or by the first start.
      disableSignUp: true,
      minPasswordLength: SHORTEST_PASSWORD,
      maxPasswordLength: LONGEST_PASSWORD,
      revokeSessionsOnPasswordReset: true,
      onPasswordReset: ({ user }) => tellOfChange(user),
      resetPasswordTokenExpiresIn: DAY / 24,
      sendResetPassword: async ({ user, token }, request) => {
        await sendMessage({
          to: user.email,
          subject: 'A new password for Orthotens',
          text: `Somebody asked for a new password for ${user.name}. This leads to it, once and within an hour:\n\n${originOf(request)}/new-password?token=${token}\n\nIf it was not you, nothing has to be done.`,
        });
      },
    },
    verification: { storeIdentifier: 'hashed' },
    session: {
      // A working day; on a trusted device a code opens the next one (ASVS 4.0.3, 3.3.2).
      expiresIn: DAY / 2,
      disableSessionRefresh: true,
      additionalFields: {
        workshopId: { type: 'string', required: false, input: false },
        deviceId: { type: 'string', required: false, input: false },
        lockedAt: { type: 'date', required: false, input: false },
        watchedBy: { type: 'string', required: false, input: false },
        seenAt: { type: 'date', required: false, input: false },
        // Without a default here, which would take the place of what a door says; the table has one.
        byCode: { type: 'boolean', required: false, input: false },
        byPasskey: { type: 'boolean', required: false, input: false },
        provenAt: { type: 'date', required: false, input: false },
      },
    },
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 120,
      customRules: {
        '/sign-in/*': { window: 60, max: 60 },
        // Wrong ones are counted by person; by address, a whole workshop would be one.
        '/change-password': { window: 60, max: 60 },
        '/two-factor/*': { window: 60, max: 60 },
        '/request-password-reset': { window: 600, max: 10 },
        '/reset-password': { window: 600, max: 20 },
      },
    },
    advanced: {
      cookiePrefix: 'orthotens',
      // Behind TLS; browsers do not send such cookies to a workshop that is reached without it.
      useSecureCookies: process.env.ORTHOTENS_TLS === '1',
      defaultCookieAttributes: { httpOnly: true, sameSite: 'lax' },
      database: { generateId: 'uuid' },
    },
    hooks: {
      before: createAuthMiddleware(async (asked) => {
        const { path, body } = asked;
        if (!SERVED.includes(path)) throw new APIError('NOT_FOUND');
        const found = SHUT_WHILE_LOCKED.includes(path)
          ? await getSessionFromCtx<
              object,
              { byCode?: boolean; provenAt?: Date | null; lockedAt?: Date | null }
            >(asked)
          : null;
        if (found?.session.lockedAt)
          throw new APIError('FORBIDDEN', { message: 'This device is locked.' });
        if (
          found &&
          BEHIND_A_PASSWORD.includes(path) &&
          isUnproven({ proof: proofOf(found.session) })
        )
          throw new APIError('FORBIDDEN', { message: PROVE_FIRST });
        const minutes =
          path === '/sign-in/username'
            ? await countTry('password', nameIn(body))
            : path === '/request-password-reset'
              ? await countTry('message', addressIn(body))
              : ASKS_PRESENT.includes(path) && found
                ? await countTry('present', found.user.id)
                : undefined;
        if (minutes !== undefined) throw tooMany(minutes);
        if (SECOND_STEP.includes(path)) await refuseSpent(asked, Boolean(found));
        if (path === '/change-password' || path === '/reset-password')
          await refuseGuessable(asked.body, found?.user);
        // As its message says, whatever was asked for.
        return path === '/change-password'
          ? { context: { body: { ...(body as object), revokeOtherSessions: true } } }
          : undefined;
      }),
      after: createAuthMiddleware(async (asked) => {
        const { path, context } = asked;
        const { newSession, session } = context;
        const isDone = !(context.returned instanceof APIError);
        if (newSession && !session) logDoor('came in', path, newSession.user.id);
        if (!isDone) logDoor('was refused at', path, session?.user.id);
        if (COMES_IN.includes(path) && newSession && !session) {
          await forgetTries('password', nameIn(newSession.user));
          await openDevice(asked.getCookie(DEVICE_COOKIE));
        }
        if (ASKS_PRESENT.includes(path) && session && isDone)
          await forgetTries('present', session.user.id);
        if (path === '/change-password' && newSession) await tellOfChange(newSession.user);
        if (path === '/passkey/verify-registration' && session && isDone)
          await tellOfPasskey(session.user);
        if (path === '/passkey/verify-authentication' && newSession)
          await changeSession(newSession.session.id, { byPasskey: true });
        const became = isDone ? SECOND_STEP_SAID[path] : undefined;
        // A spare code comes in; the others are of somebody who is in.
        const of = path === '/two-factor/verify-backup-code' ? (newSession ?? session) : session;
        if (became && of) await tellOfSecondStep(of.user, became);
      }),
    },
    plugins: [
      username({ usernameValidator: (name) => /^[\p{L}\p{N}._-]+$/u.test(name) }),
      passkey({ rpName: 'Orthotens' }),
      twoFactor({ issuer: 'Orthotens', backupCodeOptions: { amount: 8 } }),
      handsDoor(),
      ...(process.env.ORTHOTENS_DEMO === '1' ? [demoDoor()] : []),
      nextCookies(),
    ],
  });
}

export type Auth = ReturnType<typeof make>;
let made: Auth | undefined;

/** Made at the first request: a build has no database. */
export const auth = (): Auth => (made ??= make());
