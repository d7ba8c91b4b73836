'use client';

import { passkeyClient } from '@better-auth/passkey/client';
import { createAuthClient } from 'better-auth/react';
import { twoFactorClient, usernameClient } from 'better-auth/client/plugins';
import { refusalIn } from './ask-door';

/** The doors, as a page in the browser asks them. */
export const doors = createAuthClient({
  basePath: '/doors',
  plugins: [usernameClient(), passkeyClient(), twoFactorClient()],
});

/** Opens the house to who was made a moment ago; where to go then. */
export async function comeInAsMade({
  username,
  password,
}: {
  readonly username: string;
  readonly password: string;
}): Promise<'/' | '/sign-in'> {
  const answer = await doors.signIn.username({ username: username.trim(), password });
  return refusalIn(answer) === undefined ? '/' : '/sign-in';
}

/** Browsers give passkeys to names only, not to numbers. */
export const hasPasskeys = (): boolean =>
  'PublicKeyCredential' in window && !/^[\d.]+$|^\[/.test(window.location.hostname);
