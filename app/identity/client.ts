'use client';

import { passkeyClient } from '@better-auth/passkey/client';
import { createAuthClient } from 'better-auth/react';
import { twoFactorClient, usernameClient } from 'better-auth/client/plugins';

/** The doors, as a page in the browser asks them. */
export const doors = createAuthClient({
  basePath: '/doors',
  plugins: [usernameClient(), passkeyClient(), twoFactorClient()],
});

/** Browsers give passkeys to names only, not to numbers. */
export const hasPasskeys = (): boolean =>
  'PublicKeyCredential' in window && !/^[\d.]+$|^\[/.test(window.location.hostname);
