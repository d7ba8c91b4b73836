import { openFor } from '@/app/identity/at-work';
import { inspectionWords, isCracked, stopsTicket } from '@/core/counter/inspection';
import { extraWorkWords } from '@/core/counter/extra-work';
import { formatDay } from '@/core/measure/promised-time';
import { Link } from '@/ui/link';
import { Fact, Facts } from '@/ui/facts';
import { stationTitle } from '../station-title';
import { openTicket } from '../ticket';
import { removePhoto, restorePhoto, saveInspect } from './actions';
import { InspectForm, PhotoPanel } from '@/app/(house)/when-used';
import { inspectEntryOf } from './inspect-entry';

export const generateMetadata = stationTitle('Inspect');

/** What is seen with the racket in hand, photographed and agreed, before it goes to the bench. */
export default async function InspectStation({ params }: PageProps<'/tickets/[number]/inspect'>) {
  const { photos, priceList } = await openFor('take in');
  const { ticket, study, workshop } = await openTicket((await params).number);
  const { id, number, version, inspection } = ticket;
  const [seen, items] = await Promise.all([photos.ofTicket(id), priceList.all()]);
  const pictures = seen.map((photo) => ({ id: photo.id, caption: photo.caption }));
  if (ticket.closedAt)
    return (
      <div className="grid gap-10 lg:grid-cols-2">
        <Facts className="content-start">
          <Fact name="Seen">
            {inspectionWords(inspection).join(' · ') || 'nothing was written'}
          </Fact>
          <Fact name="Extra work">{extraWorkWords(ticket.extra) || '–'}</Fact>
        </Facts>
        <PhotoPanel workshopId={workshop.id} number={number} photos={pictures} />
      </div>
    );
  const word = inspection?.ownersWord;
  return (
    <>
      {stopsTicket(inspection) && (
        <div role="alert" className="bg-warn-wash mb-5 flex flex-wrap gap-x-6 gap-y-1 px-4 py-3">
          <p className="text-warn font-semibold">
            The frame is cracked, so this ticket stops here: a cracked frame can fly apart under the
            load of a new bed.
          </p>
          <p>
            Hand it back:{' '}
            <Link href={`/tickets/${number}/take-in`} className="underline">
              withdraw the ticket
            </Link>
            , with{' '}
            <Link href={`/papers/${number}/unstrung`} className="underline">
              its paper
            </Link>
            . Or have its owner write below that it is to be strung all the same.
          </p>
        </div>
      )}
      {isCracked(inspection) && word && (
        <p role="status" className="bg-warn-wash mb-5 px-4 py-3">
          The frame is cracked. Its owner wrote on {formatDay(word.day)}: “{word.text}”, taken by{' '}
          {word.takenBy}. Mount it gently, wear glasses, and stop when it gives.
        </p>
      )}
      <InspectForm
        key={version}
        name={`ticket ${id} inspect`}
        version={version}
        initial={inspectEntryOf(ticket, workshop.currency)}
        bed={study?.bed}
        priceList={{
          currency: workshop.currency,
          locale: workshop.locale,
          items: items.map(({ name, kind, unitMinor, taxBp }) => ({
            name,
            kind,
            unitMinor,
            taxBp,
          })),
          usualTaxBp: workshop.stringTaxBp,
        }}
        save={saveInspect.bind(null, workshop.id, number, version)}
      >
        <PhotoPanel
          workshopId={workshop.id}
          number={number}
          photos={pictures}
          remove={removePhoto.bind(null, workshop.id)}
          restore={restorePhoto.bind(null, workshop.id)}
        />
      </InspectForm>
    </>
  );
}
