import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeId } from '@/app/route-id';
import { may } from '@/core/house/role-rights';
import { countWords } from '@/core/terms/count-words';
import { Seen } from '@/ui/form/only-seen';
import { RemoveButton } from '@/ui/remove-button';
import { RemovedNotice } from '@/ui/removed-notice';
import { changeString, removeString, restoreString } from '../actions';
import { stringEntryOf } from '@/core/strings/string-facts';
import { StringForm } from '@/app/(house)/when-used';

/** Asked once for the title and the page. */
const stringAt = cache(async (id: string) => {
  const open = await openFor('see strings');
  return { ...open, string: await open.strings.get(id) };
});

export async function generateMetadata({ params }: PageProps<'/strings/[id]'>): Promise<Metadata> {
  const { string } = await stringAt(routeId((await params).id));
  return { title: string?.name ?? 'Nothing' };
}

export default async function StringPage({ params }: PageProps<'/strings/[id]'>) {
  const id = routeId((await params).id);
  const { workshop, role, string, jobs } = await stringAt(id);
  if (!string) notFound();
  const lasting = may(role, 'see records') ? await jobs.lasting(id) : undefined;
  return (
    <main className="px-6 py-6">
      <Seen only={!may(role, 'change strings')}>
        {string.removedAt && (
          <RemovedNotice what="string" restore={restoreString.bind(null, workshop.id, id)} />
        )}
        <h1 className="figure mb-4 text-4xl break-words">{string.name}</h1>
        {lasting && lasting.beds > 0 && (
          <p className="mb-4">
            In the mains here it stayed out {Math.round(lasting.days ?? 0)} days as a rule (
            {countWords(lasting.beds, 'bed')} that came again; {lasting.early} of them within three
            weeks)
            {lasting.hours !== null &&
              `; it broke after ${Math.round(lasting.hours)} hours of play, as clients say`}
            .
          </p>
        )}
        <StringForm
          key={string.version}
          name={`string ${id}`}
          version={string.version}
          initial={stringEntryOf(string, workshop.currency)}
          save={changeString.bind(null, workshop.id, id, string.version)}
          action="Save the string"
          currency={workshop.currency}
        />
        {!string.removedAt && (
          <p className="mt-8">
            <RemoveButton
              what="string"
              remove={removeString.bind(null, workshop.id, id)}
              restore={restoreString.bind(null, workshop.id, id)}
              listHref="/strings"
            />
          </p>
        )}
      </Seen>
    </main>
  );
}
