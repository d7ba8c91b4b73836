import { Link } from '@/ui/link';
import { connection } from 'next/server';

/** For somebody who is in, and asks for what is not their work here. */
export default async function Forbidden() {
  await connection();
  return (
    <main className="mx-auto max-w-prose px-6 py-24">
      <h1 className="figure text-4xl">This is not for your role here</h1>
      <p className="mt-4">
        Nothing was done. If it should be yours, the owner of the workshop changes your role under
        People.
      </p>
      <p className="mt-4">
        <Link href="/" className="underline">
          Go to today’s tickets
        </Link>
      </p>
    </main>
  );
}
