import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { TableForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Strings from a table' };

export default async function ImportStringsPage() {
  const { workshop, strings } = await openFor('change strings');
  return (
    <main className="max-w-5xl px-6 py-6">
      <h1 className="figure mb-2 text-4xl">Strings from a table</h1>
      <p className="mb-4 max-w-prose">
        A table of comma separated values, a string a row; its columns stand in{' '}
        <span className="figure">docs/formats</span>, and{' '}
        <a href="/strings/table" download className="underline">
          your own library as a table
        </a>{' '}
        is a good one to begin from. Everything is looked at first; it comes in as a whole or not at
        all.
      </p>
      <TableForm
        known={await strings.find('')}
        workshopId={workshop.id}
        currency={workshop.currency}
      />
    </main>
  );
}
