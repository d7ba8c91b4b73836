import type { Metadata } from 'next';
import { signedIn } from '@/app/identity/at-work';
import { invitedBy, wayToInvited } from '@/app/identity/invited';
import { ROLE_WORDS } from '@/core/house/role-rights';
import { Link } from '@/ui/link';
import { NewcomerForm } from '@/app/(door)/when-used';
import { SignOutButton } from '../sign-out-button';
import { takeInvitation } from './actions';
import { TakeInvitation } from './take-invitation';

export const metadata: Metadata = { title: 'You are asked in' };

/** Somebody was asked to work here; they take it as themselves, or as somebody new. Nothing is taken by looking. */
export default async function InvitedPage({ searchParams }: PageProps<'/invited'>) {
  const { token } = await searchParams;
  const invited = await invitedBy(token);
  if (!invited || typeof token !== 'string')
    return (
      <>
        <h1 className="figure mb-4 text-4xl">This invitation is of no use</h1>
        <p className="max-w-prose">
          It was taken already, was withdrawn, or is older than a week. Ask the workshop for another
          one.
        </p>
      </>
    );
  const { workshop, name, role, by } = invited.invitation;
  const person = await signedIn();
  return (
    <>
      <h1 className="figure mb-2 text-4xl">{workshop} asks you in</h1>
      <p className="text-soft mb-6 max-w-prose">
        {by} asks {name} to work there as {role}: {ROLE_WORDS[role]}.
      </p>
      {person?.lockedAt ? (
        <p className="max-w-prose">
          This device is locked:{' '}
          <Link href="/locked" className="underline">
            give your code
          </Link>
          , and open this link again.
        </p>
      ) : person ? (
        <>
          <TakeInvitation
            workshop={workshop}
            name={person.name}
            take={takeInvitation.bind(null, token)}
          />
          <p className="mt-6">
            Not {person.name}? <SignOutButton to={wayToInvited(token)} />
          </p>
        </>
      ) : (
        <>
          <p className="mb-6">
            <Link href={`/sign-in?to=${encodeURIComponent(token)}`} className="underline">
              I have a name here already
            </Link>
          </p>
          <NewcomerForm token={token} name={name} />
        </>
      )}
    </>
  );
}
