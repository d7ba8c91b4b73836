import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { isAnybodyKnown, ownerlessWorkshop } from '@/db/doors';
import { FirstStartForm } from '@/app/(door)/when-used';

export const metadata: Metadata = { title: 'First start' };

/** Makes the owner, and the workshop where there is none yet. Once somebody is known, there is no such page. */
export default async function FirstStartPage() {
  if (await isAnybodyKnown()) redirect('/sign-in');
  const before = await ownerlessWorkshop();
  return (
    <>
      <h1 className="figure mb-2 text-4xl">
        {before ? `Whose is ${before.name}?` : 'A new workshop'}
      </h1>
      <p className="text-soft mb-6 max-w-prose">
        {before
          ? 'The records of this workshop are from before people signed in. Whoever owns it says so now; others are asked in later.'
          : 'You will be its owner. Everything can be changed later, and others can be asked in.'}
      </p>
      <FirstStartForm known={before?.name} />
    </>
  );
}
