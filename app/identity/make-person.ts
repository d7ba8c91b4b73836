/** People are made here and nowhere else: by the first start and by an owner. */
import { isRefusal } from '@/db/failures';
import { auth } from './auth';

interface NewPerson {
  readonly name: string;
  readonly username: string;
  readonly address: string;
  /** Without one, the person makes it through a link. */
  readonly password?: string;
}

type Made = { readonly id: string } | { readonly problems: Readonly<Record<string, string>> };

export async function makePerson({ name, username, address, password }: NewPerson): Promise<Made> {
  if (password !== undefined) {
    const { GUESSABLE, isGuessable } = await import('./guessable');
    if (isGuessable(password, [name, username, address]))
      return { problems: { password: GUESSABLE } };
  }
  const context = await auth().$context;
  try {
    const user = await context.internalAdapter.createUser(
      { name, username, displayUsername: username, email: address, emailVerified: false },
      { method: 'admin' },
    );
    if (password !== undefined)
      await context.internalAdapter.linkAccount({
        userId: user.id,
        providerId: 'credential',
        accountId: user.id,
        password: await context.password.hash(password),
      });
    return { id: user.id };
  } catch (error) {
    const text = error instanceof Error ? error.message : '';
    if (isRefusal(error) || /username|unique|already/i.test(text))
      return {
        problems: {
          username: 'Somebody signs in with this name, or has this address: choose another one.',
        },
      };
    throw error;
  }
}

/** Takes away somebody who was made a moment ago and came to nothing. */
export async function forgetPerson(id: string): Promise<void> {
  await (await auth().$context).internalAdapter.deleteUser(id);
}

const LINK_LASTS_MS = 3 * 24 * 60 * 60_000;

/** The end of an address at which somebody makes their password, once and within three days. */
export async function passwordLink(personId: string): Promise<string> {
  const context = await auth().$context;
  const token = crypto.randomUUID() + crypto.randomUUID();
  await context.internalAdapter.createVerificationValue({
    identifier: `reset-password:${token}`,
    value: personId,
    expiresAt: new Date(Date.now() + LINK_LASTS_MS),
  });
  return `/new-password?token=${token}`;
}
