import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeId } from '@/app/route-id';
import { studied } from '@/app/studied';
import { may } from '@/core/house/role-rights';
import { Seen } from '@/ui/form/only-seen';
import { Link } from '@/ui/link';
import { RemoveButton } from '@/ui/remove-button';
import { RemovedNotice } from '@/ui/removed-notice';
import { changeFrame, removeFrame, restoreFrame } from '../actions';
import { frameEntryOf } from '../frame-entry';
import { FrameForm } from '@/app/(house)/when-used';

/** Asked once for the title and the page. */
const frameAt = cache(async (id: string) => {
  const open = await openFor('see frames');
  return { ...open, frame: await open.frames.get(id) };
});

export async function generateMetadata({ params }: PageProps<'/frames/[id]'>): Promise<Metadata> {
  const { frame } = await frameAt(routeId((await params).id));
  return { title: frame?.name ?? 'Nothing' };
}

export default async function FramePage({ params }: PageProps<'/frames/[id]'>) {
  const id = routeId((await params).id);
  const { workshop, role, frame } = await frameAt(id);
  if (!frame) notFound();
  return (
    <main className="px-6 py-6">
      <Seen only={!may(role, 'change frames')}>
        {frame.removedAt && (
          <RemovedNotice what="frame" restore={restoreFrame.bind(null, workshop.id, id)} />
        )}
        <h1 className="figure mb-4 text-4xl break-words">{frame.name}</h1>
        <FrameForm
          key={frame.version}
          name={`frame ${id}`}
          version={frame.version}
          initial={frameEntryOf(frame.name, frame.spec)}
          study={studied(frame.spec)}
          save={changeFrame.bind(null, workshop.id, id, frame.version, null)}
          action="Save the frame"
          houseUnit={workshop.tensionUnit}
          lengthSystem={workshop.lengthSystem}
        />
        {!frame.removedAt && (
          <p className="mt-8 flex gap-6">
            {may(role, 'see house rules') && (
              <Link href={`/frames/${id}/load`} className="underline">
                Under load
              </Link>
            )}
            <a href={`/frames/${id}/document`} download className="underline">
              Save to a file
            </a>
            <RemoveButton
              what="frame"
              remove={removeFrame.bind(null, workshop.id, id)}
              restore={restoreFrame.bind(null, workshop.id, id)}
              listHref="/frames"
            />
          </p>
        )}
      </Seen>
    </main>
  );
}
