/** Short codes and tokens, as they are kept: never as they are. */
import { createHash } from 'node:crypto';
import { hashPassword, verifyPassword } from 'better-auth/crypto';

/** By scrypt, with a salt of its own. */
export const hashCode = (code: string): Promise<string> => hashPassword(code);
export const isCode = (code: string, hash: string): Promise<boolean> =>
  verifyPassword({ password: code, hash });

/** Of a token that is long and random, so that no salt is needed. */
export const hashToken = (token: string): string =>
  createHash('sha256').update(token).digest('hex');
