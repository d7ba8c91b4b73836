import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { addClient, nearClients } from '../actions';
import { emptyClientEntry } from '../client-entry';
import { ClientForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'A new client' };

export default async function NewClientPage() {
  const { workshop } = await openFor('change clients');
  return (
    <main className="px-6 py-6">
      <h1 className="figure mb-4 text-4xl">A new client</h1>
      <ClientForm
        name="client new"
        initial={emptyClientEntry}
        save={addClient.bind(null, workshop.id, randomUUID())}
        action="Keep this client"
        near={nearClients.bind(null, workshop.id)}
      />
    </main>
  );
}
