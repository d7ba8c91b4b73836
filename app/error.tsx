'use client';

import { useRouter } from 'next/navigation';
import { startTransition } from 'react';

/** Shown when a page cannot be made: nearly always the database is not there. */
export default function PageFailed({ reset }: { readonly reset: () => void }) {
  const router = useRouter();
  // The page comes from the server once more: drawing again what is here would fail again.
  const again = () =>
    startTransition(() => {
      router.refresh();
      reset();
    });
  return (
    <main className="mx-auto max-w-prose px-6 py-24">
      <h1 className="figure text-4xl">The records cannot be read just now</h1>
      <p className="mt-4">
        The application runs, but its database did not answer. Nothing was changed, and nothing is
        lost: what was saved is saved.
      </p>
      <ol className="mt-4 list-decimal pl-6">
        <li>Wait a moment and try again.</li>
        <li>
          If it stays, run <code>npm start</code> in the application’s folder once more: it starts
          the database when it is down.
        </li>
      </ol>
      <button
        type="button"
        onClick={again}
        className="bg-ink text-paper mt-6 px-5 py-2 font-medium"
      >
        Try again
      </button>
    </main>
  );
}
