import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { addString } from '../actions';
import { emptyStringEntry } from '@/core/strings/string-facts';
import { StringForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'A new string' };

/** `?ticket=12` comes from a Setup station that lacked the string, and leads back to it. */
export default async function NewStringPage({ searchParams }: PageProps<'/strings/new'>) {
  const { ticket } = await searchParams;
  const { workshop } = await openFor('change strings');
  const back = /^\d{1,9}$/.test(String(ticket)) ? `/tickets/${String(ticket)}/setup` : '/strings';
  return (
    <main className="px-6 py-6">
      <h1 className="figure mb-4 text-4xl">A new string</h1>
      <StringForm
        name="string new"
        initial={emptyStringEntry}
        save={addString.bind(null, workshop.id, randomUUID(), back)}
        action="Keep this string"
        currency={workshop.currency}
      />
    </main>
  );
}
