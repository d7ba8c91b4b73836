import { sameName } from '@/core/measure/typed';
import { openFor } from '@/app/identity/at-work';
import { Link } from '@/ui/link';
import { changeFrame, enterFrameForRacket, pickFrameForRacket } from '@/app/(house)/frames/actions';
import { emptyFrameEntry, frameEntryOf } from '@/app/(house)/frames/frame-entry';
import { FrameForm, FromLibrary } from '@/app/(house)/when-used';
import { BedDrawing } from '@/ui/when-used';
import { BedKey } from '@/ui/bed/bed-key';
import { Assumed, Cautions } from '@/ui/cautions';
import { FrameFacts } from '@/ui/frame/frame-facts';
import { LookChart } from '@/ui/frame/look-chart';
import { Proposals } from '@/ui/frame/proposals';
import { openTicket } from '../ticket';
import { stationTitle } from '../station-title';

export const generateMetadata = stationTitle('Frame');

/** Shows the frame of the racket; `?edit` opens its form, and a racket without a frame gets an empty one. */
export default async function FrameStation({
  params,
  searchParams,
}: PageProps<'/tickets/[number]/frame'>) {
  const { frames } = await openFor('set up');
  const { number } = await params;
  const { ticket, frame, study, workshop, racketVersion } = await openTicket(number);
  const here = `/tickets/${ticket.number}/frame`;
  const { short, ...asked } = await searchParams;
  // Who came from a short ticket goes on there.
  const onwards = short === undefined ? undefined : `/short?ticket=${ticket.number}`;
  const editing = asked.edit !== undefined && !ticket.closedAt;
  const units = { houseUnit: workshop.tensionUnit, lengthSystem: workshop.lengthSystem };

  if (!frame) {
    const library = await frames.all();
    const namesakes = library.filter(({ name }) => sameName(name) === sameName(ticket.frameName));
    return (
      <>
        <p className="mb-4 max-w-prose">
          {namesakes.length > 0
            ? `A frame of the name “${ticket.frameName}” is in the library. Is it this one? Else count it from the old strings, before cutting them out.`
            : `“${ticket.frameName}” is not in the library yet. Count it from the old strings, before cutting them out.`}
        </p>
        <FromLibrary
          frames={library.map(({ id, name, sport }) => ({ id, text: name, detail: sport }))}
          namesakes={namesakes.map(({ id, name, spec: { pattern } }) => ({
            id,
            text: name,
            detail: `${pattern.mains} × ${pattern.crosses}`,
          }))}
          pick={pickFrameForRacket.bind(null, workshop.id, ticket.racketId, racketVersion)}
        />
        <FrameForm
          name={`ticket ${ticket.id} frame`}
          initial={emptyFrameEntry('tennis', ticket.frameName)}
          study={undefined}
          save={enterFrameForRacket.bind(
            null,
            workshop.id,
            ticket.racketId,
            racketVersion,
            onwards ?? here,
          )}
          action="Keep this frame"
          {...units}
        />
      </>
    );
  }
  if (editing || !study?.bed)
    return (
      <FrameForm
        key={frame.version}
        name={`frame ${frame.id}`}
        version={frame.version}
        initial={frameEntryOf(frame.name, frame.spec)}
        study={study}
        save={changeFrame.bind(null, workshop.id, frame.id, frame.version, here)}
        action="Save the frame"
        {...units}
      />
    );
  return (
    <div className="grid gap-8 lg:grid-cols-[1.35fr_1fr]">
      <div>
        <BedDrawing
          bed={study.bed}
          lengthSystem={workshop.lengthSystem}
          className="h-[calc(100vh-12.5rem)] min-h-[34rem]"
        />
        <BedKey />
      </div>
      <div className="flex flex-col gap-4">
        <h2 className="figure text-3xl break-words">{frame.name}</h2>
        <FrameFacts bed={study.bed} lengthSystem={workshop.lengthSystem} />
        <Cautions cautions={study.cautions} />
        <Assumed assumed={study.assumed} />
        {!ticket.closedAt && (
          <p className="flex flex-wrap items-center gap-6">
            <Link
              href={onwards ?? `/tickets/${ticket.number}/setup`}
              className="bg-ink text-paper px-5 py-2 font-medium"
            >
              {onwards
                ? 'The holes are right: back to the ticket'
                : 'The holes are right: go to setup'}
            </Link>
            <Link href={`${here}?edit`} className="underline">
              Correct this frame
            </Link>
          </p>
        )}
        <LookChart bed={study.bed} lengthSystem={workshop.lengthSystem} />
        <Proposals bed={study.bed} />
      </div>
    </div>
  );
}
