import type { Metadata } from 'next';
import { openWorkshop } from '@/db/workshop';
import { saveWorkshop } from './actions';
import { workshopEntryOf } from './workshop-entry';
import { WorkshopForm } from './workshop-form';

export const metadata: Metadata = { title: 'Workshop' };

export default async function WorkshopPage() {
  const { workshop } = await openWorkshop();
  return (
    <main className="px-6 py-6">
      <h1 className="figure mb-4 text-4xl">Workshop</h1>
      <WorkshopForm
        key={workshop.version}
        name={`workshop ${workshop.version}`}
        initial={workshopEntryOf(workshop)}
        save={saveWorkshop.bind(null, workshop.version)}
      />
    </main>
  );
}
