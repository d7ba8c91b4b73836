import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { BackupFact } from './backup-fact';
import { saveWorkshop } from './actions';
import { workshopEntryOf } from './workshop-entry';
import { WorkshopForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Workshop' };

export default async function WorkshopPage() {
  const { workshop } = await openFor('change the workshop');
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Workshop</h1>
        <Link href="/workshop/house-rules" className="underline">
          House rules
        </Link>
        <Link href="/workshop/papers" className="underline">
          Papers and prices
        </Link>
        <Link href="/workshop/benches" className="underline">
          Benches
        </Link>
        <Link href="/workshop/machines" className="underline">
          Machines
        </Link>
        <Link href="/workshop/people" className="underline">
          People
        </Link>
        <Link href="/workshop/trail" className="underline">
          Every change
        </Link>
      </div>
      <BackupFact />
      <WorkshopForm
        key={workshop.version}
        name={`workshop ${workshop.id}`}
        version={workshop.version}
        initial={workshopEntryOf(workshop)}
        save={saveWorkshop.bind(null, workshop.id, workshop.version)}
      />
    </main>
  );
}
