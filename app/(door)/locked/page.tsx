import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { signedIn, thisDevice } from '@/app/identity/at-work';
import { facesOn } from '@/app/identity/device';
import { CodePad } from '@/app/(door)/when-used';
import { SignOutButton } from '../sign-out-button';

export const metadata: Metadata = { title: 'Locked' };

/** A device that was left alone, loaded anew. */
export default async function LockedPage() {
  const person = await signedIn();
  if (!person) redirect('/sign-in');
  if (!person.lockedAt) redirect('/');
  const device = await thisDevice();
  return (
    <>
      <h1 className="figure mb-2 text-4xl">Locked</h1>
      <p className="text-soft mb-6">It was left alone. Nothing is lost.</p>
      {device ? (
        <CodePad faces={await facesOn(device)} door="/hands/change" first={person.id} />
      ) : (
        <p className="mb-4">This device is not trusted any more: sign in anew.</p>
      )}
      <p className="mt-8">
        <SignOutButton />
      </p>
    </>
  );
}
