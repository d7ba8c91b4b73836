import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { addMachine } from '../actions';
import { NEW_MACHINE } from '../machine-entry';
import { MachineForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'New machine' };

export default async function NewMachinePage() {
  const { workshop } = await openFor('change machines');
  return (
    <main className="max-w-2xl px-6 py-6">
      <h1 className="figure mb-4 text-4xl">New machine</h1>
      <MachineForm
        name="machine new"
        initial={NEW_MACHINE}
        action="Add the machine"
        save={addMachine.bind(null, workshop.id, randomUUID())}
      />
    </main>
  );
}
