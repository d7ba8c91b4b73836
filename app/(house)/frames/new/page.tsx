import { openFor } from '@/app/identity/at-work';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { addFrame } from '../actions';
import { emptyFrameEntry } from '../frame-entry';
import { FrameForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'A new frame' };

export default async function NewFramePage() {
  const { workshop } = await openFor('change frames');
  return (
    <main className="px-6 py-6">
      <h1 className="figure mb-4 text-4xl">A new frame</h1>
      <FrameForm
        name="frame new"
        initial={emptyFrameEntry('tennis')}
        study={undefined}
        save={addFrame.bind(null, workshop.id, randomUUID())}
        action="Keep this frame"
        houseUnit={workshop.tensionUnit}
        lengthSystem={workshop.lengthSystem}
      />
    </main>
  );
}
