import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { FrameImportForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Frames from files' };

export default async function ImportFramesPage() {
  const { workshop } = await openFor('change frames');
  return (
    <main className="max-w-4xl px-6 py-6">
      <h1 className="figure mb-2 text-4xl">Frames from files</h1>
      <p className="mb-4 max-w-prose">
        Choose files, drop them here, or paste their text: one frame a file or a list of them, in
        the open format of <span className="figure">docs/formats</span>. What is wrong is said with
        its line; the sound ones can come in all the same.
      </p>
      <FrameImportForm workshopId={workshop.id} />
    </main>
  );
}
