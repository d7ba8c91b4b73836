import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { dayAt } from '@/core/measure/promised-time';
import { JobImportForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Jobs from elsewhere' };

/** Jobs of before from any table, or closed jobs from another workshop of this application. */
export default async function ImportJobsPage() {
  const { workshop } = await openFor('bring records in');
  return (
    <main className="max-w-6xl px-6 py-6">
      <h1 className="figure mb-2 text-4xl">Jobs from elsewhere</h1>
      <p className="mb-2 max-w-prose">
        Any table with a row for each job and a first row that names its columns. Say once which
        column is what; every row is answered before anything comes in. What comes in is kept with
        its racket as a job of before: it can be found, and it has no plan and no invoice.
      </p>
      <p className="label mb-4 max-w-prose">
        The documents that Jobs on record takes out come in whole, with their numbers and records,
        and their frames with them. What they cost and what was paid comes with them.
      </p>
      <JobImportForm
        workshopId={workshop.id}
        currency={workshop.currency}
        unit={workshop.tensionUnit}
        today={dayAt(new Date(), workshop.timeZone)}
      />
    </main>
  );
}
