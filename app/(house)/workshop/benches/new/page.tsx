import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { openFor } from '@/app/identity/at-work';
import { addBench } from '../actions';
import { NEW_BENCH } from '../bench-entry';
import { BenchForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'New bench' };

export default async function NewBenchPage() {
  const { workshop, machines } = await openFor('change machines');
  return (
    <main className="max-w-2xl px-6 py-6">
      <h1 className="figure mb-4 text-4xl">New bench</h1>
      <BenchForm
        name="bench new"
        initial={NEW_BENCH}
        machines={await machines.all()}
        action="Add the bench"
        save={addBench.bind(null, workshop.id, randomUUID())}
      />
    </main>
  );
}
