import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { ClientImportForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Clients from a table' };

/** Clients from another program’s table. */
export default async function ImportClientsPage() {
  const { workshop } = await openFor('bring records in');
  return (
    <main className="max-w-5xl px-6 py-6">
      <h1 className="figure mb-2 text-4xl">Clients from a table</h1>
      <p className="mb-4 max-w-prose">
        Any table with a row for each client and a first row that names its columns: with commas,
        semicolons or tabs, in any of the usual encodings. Say once which column is what; every row
        is answered before anything comes in. Who is here already is left out.
      </p>
      <ClientImportForm workshopId={workshop.id} />
    </main>
  );
}
