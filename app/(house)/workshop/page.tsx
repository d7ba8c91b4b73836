import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import Link from 'next/link';
import { roundTo } from '@/core/units';
import { openWorkshop } from '@/db/workshop';
import { RemoveButton } from '@/ui/remove-button';
import { addMachine, changeMachine, removeMachine, restoreMachine, saveWorkshop } from './actions';
import { MachineForm } from './machine-form';
import { workshopEntryOf } from './workshop-entry';
import { WorkshopForm } from './workshop-form';

export const metadata: Metadata = { title: 'Workshop' };

export default async function WorkshopPage() {
  const { workshop, machines } = await openWorkshop();
  const known = await machines.all();
  return (
    <main className="px-6 py-6">
      <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
        <h1 className="figure text-4xl">Workshop</h1>
        <Link href="/workshop/house-rules" className="underline">
          House rules
        </Link>
      </div>
      <WorkshopForm
        key={workshop.version}
        name={`workshop ${workshop.version}`}
        initial={workshopEntryOf(workshop)}
        save={saveWorkshop.bind(null, workshop.version)}
      />
      <section aria-label="Machines" className="mt-10 max-w-2xl">
        <h2 className="figure text-2xl">Machines</h2>
        <p className="label mb-3">
          When two machines reach differently, name them here and choose one at the Cut station. The
          distance above stands for any other.
        </p>
        <ul>
          {known.map(({ id, name, gripperMm, version }) => (
            <li key={`${id}${version}`} className="border-hair border-t py-3">
              <MachineForm
                name={`machine ${id} ${version}`}
                initial={{ name, gripperMm: String(roundTo(gripperMm / 10, 0.1)) }}
                action="Save this machine"
                save={changeMachine.bind(null, id, version)}
              />
              <RemoveButton
                what="machine"
                remove={removeMachine.bind(null, id)}
                restore={restoreMachine.bind(null, id)}
                listHref="/workshop"
              />
            </li>
          ))}
          <li className="border-hair border-t py-3">
            <MachineForm
              key={known.length}
              name="machine new"
              initial={{ name: '', gripperMm: '' }}
              action="Add a machine"
              save={addMachine.bind(null, randomUUID())}
            />
          </li>
        </ul>
      </section>
    </main>
  );
}
