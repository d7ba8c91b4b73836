import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { wayOn } from '@/app/action';
import { signedIn } from '@/app/identity/at-work';
import { ProveForm } from '@/app/(door)/when-used';
import { Link } from '@/ui/link';

export const metadata: Metadata = { title: 'Your password' };

/** Whoever came in by a short code gives their password for what opens another door or changes the house. */
export default async function ProvePage({ searchParams }: PageProps<'/prove'>) {
  const person = await signedIn();
  if (!person) redirect('/sign-in');
  if (person.lockedAt) redirect('/locked');
  const to = wayOn.safeParse((await searchParams).to).data ?? '/';
  return (
    <>
      <h1 className="figure mb-2 text-4xl">Your password, {person.name}</h1>
      <p className="text-soft mb-6 max-w-prose">
        You came in by a short code, which is for the work of the day. What opens another door or
        changes the workshop asks for your password, and takes it for ten minutes.
      </p>
      <ProveForm to={to} />
      <p className="mt-8">
        <Link href="/" className="underline">
          Back to the day
        </Link>
      </p>
    </>
  );
}
