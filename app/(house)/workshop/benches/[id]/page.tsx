import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { Link } from '@/ui/link';
import { RemoveButton } from '@/ui/remove-button';
import { changeBench, removeBench, restoreBench } from '../actions';
import { benchEntryOf } from '../bench-entry';
import { BenchForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage({ params }: PageProps<'/workshop/benches/[id]'>) {
  const id = routeId((await params).id);
  const { workshop, benches, machines } = await openFor('change machines');
  const bench = await benches.get(id);
  if (!bench || bench.removedAt) notFound();
  return (
    <main className="max-w-2xl px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">{bench.name}</h1>
        <Link href="/workshop/benches" className="underline">
          All benches
        </Link>
      </div>
      <BenchForm
        key={bench.version}
        name={`bench ${id}`}
        version={bench.version}
        initial={benchEntryOf(bench)}
        machines={await machines.all(bench.machineId)}
        action="Save this bench"
        save={changeBench.bind(null, workshop.id, id, bench.version)}
      />
      <p className="mt-6">
        <RemoveButton
          what="bench"
          remove={removeBench.bind(null, workshop.id, id)}
          restore={restoreBench.bind(null, workshop.id, id)}
          listHref="/workshop/benches"
        />
      </p>
    </main>
  );
}
