import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { myWorkshops, signedIn } from '@/app/identity/at-work';
import { SignOutButton } from '../sign-out-button';
import { AnotherWorkshop } from '@/app/(door)/when-used';
import { workIn } from './actions';

export const metadata: Metadata = { title: 'Where you work' };

/** Somebody who works in several workshops says in which one they are today. */
export default async function WorkshopsPage() {
  const person = await signedIn();
  if (!person) redirect('/sign-in');
  if (person.lockedAt) redirect('/locked');
  const mine = await myWorkshops(person);
  return (
    <>
      <h1 className="figure mb-6 text-4xl">Where do you work?</h1>
      {mine.length === 0 && (
        <p className="mb-6 max-w-prose">
          You do not belong to a workshop here, {person.name}. Its owner asks you in, under People.
        </p>
      )}
      <ul className="mb-8 flex flex-col">
        {mine.map(({ workshop: { id, name }, role }) => (
          <li key={id} className="border-hair border-b">
            <form action={workIn.bind(null, id)}>
              <button type="submit" className="flex w-full items-baseline gap-4 py-3 text-left">
                <span className="text-lg font-medium underline">{name}</span>
                <span className="text-soft">{role}</span>
                {id === person.chose && <span className="label">you are here</span>}
              </button>
            </form>
          </li>
        ))}
      </ul>
      {mine.some(({ role }) => role === 'owner') && <AnotherWorkshop />}
      <SignOutButton />
    </>
  );
}
