import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { addMachine } from '../actions';
import { NEW_MACHINE } from '../machine-entry';
import { MachineForm } from '../machine-form';

export const metadata: Metadata = { title: 'New machine' };

export default function NewMachinePage() {
  return (
    <main className="max-w-2xl px-6 py-6">
      <h1 className="figure mb-4 text-4xl">New machine</h1>
      <MachineForm
        name="machine new"
        initial={NEW_MACHINE}
        action="Add the machine"
        save={addMachine.bind(null, randomUUID())}
      />
    </main>
  );
}
