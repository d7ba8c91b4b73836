import { Link } from '@/ui/link';
import { connection } from 'next/server';

/** Made anew for each answer, as every page is, so that its scripts carry the nonce of that answer. */
export default async function NotFound() {
  await connection();
  return (
    <main className="mx-auto max-w-prose px-6 py-24">
      <h1 className="figure text-4xl">There is nothing at this address</h1>
      <p className="mt-4">
        The ticket, racket or page may have another number, or may have been removed in another tab.
      </p>
      <p className="mt-4">
        <Link href="/" className="underline">
          Go to today’s tickets
        </Link>
      </p>
    </main>
  );
}
