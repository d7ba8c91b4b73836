/** Who somebody is: passwords, passkeys, sessions; kept in tables that no workshop owns. */
import { passkey } from '@better-auth/passkey';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError, createAuthMiddleware, getSessionFromCtx } from 'better-auth/api';
import { nextCookies } from 'better-auth/next-js';
import { username } from 'better-auth/plugins';
import { hostsNamed } from '@/app/doors';
import { doorsDatabase } from '@/db/connection';
import { countTry, forgetTries } from '@/db/doors';
import { accounts, passkeys, people, rateLimits, sessions, verifications } from '@/db/doors-schema';
import { sendMessage } from './messages';
import { demoDoor } from './demo-door';
import { handsDoor } from './hands-door';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from './identity-entry';

const DAY = 24 * 60 * 60;

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
  '/passkey/generate-register-options',
  '/passkey/verify-registration',
  '/passkey/generate-authenticate-options',
  '/passkey/verify-authentication',
  '/passkey/list-user-passkeys',
  '/passkey/delete-passkey',
];
/** Those that a device which was left alone does not open: whoever passes by would make a way in of their own. */
const SHUT_WHILE_LOCKED = [
  '/change-password',
  '/revoke-other-sessions',
  '/hands/watch',
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
  const isTls = request?.headers.get('x-forwarded-proto') === 'https';
  return `${isTls ? 'https' : 'http'}://${host}`;
}

/** Whoever did not do it themselves learns of it. */
const tellOfChange = ({ name, email }: { readonly name: string; readonly email: string }) =>
  sendMessage({
    to: email,
    subject: 'Your password for Orthotens was changed',
    text: `${name}, your password was changed just now, and you are signed out everywhere else. If it was not you, ask for a new one at the door, and tell the owner of the workshop.`,
  });

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
      },
    },
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 120,
      customRules: {
        '/sign-in/*': { window: 60, max: 60 },
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
        if (SHUT_WHILE_LOCKED.includes(path)) {
          const found = await getSessionFromCtx<object, { lockedAt?: Date | null }>(asked);
          if (found?.session.lockedAt)
            throw new APIError('FORBIDDEN', { message: 'This device is locked.' });
        }
        const minutes =
          path === '/sign-in/username'
            ? await countTry('password', nameIn(body))
            : path === '/request-password-reset'
              ? await countTry('message', addressIn(body))
              : undefined;
        if (minutes !== undefined) throw tooMany(minutes);
      }),
      after: createAuthMiddleware(async ({ path, body, context }) => {
        const { newSession } = context;
        if (path === '/sign-in/username' && newSession) await forgetTries('password', nameIn(body));
        if (path === '/change-password' && newSession) await tellOfChange(newSession.user);
      }),
    },
    plugins: [
      username({ usernameValidator: (name) => /^[\p{L}\p{N}._-]+$/u.test(name) }),
      passkey({ rpName: 'Orthotens' }),
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
