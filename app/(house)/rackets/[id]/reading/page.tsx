import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ringsNear } from '@/core/ageing/readings';
import { ageingOf } from '@/app/ageing-of';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { studied } from '@/app/studied';
import { formatWall, wallTime } from '@/core/measure/promised-time';
import { readBed } from '@/core/reading/read-bed';
import { bedFacts, signsOf } from '@/core/reading/signs';
import { seenWords, storyWords } from '@/core/reading/words';
import { english } from '@/core/terms/words/english';
import { Table } from '@/ui/list-page';
import { Press } from '@/ui/press';
import { RacketHead } from '../racket-head';
import { keepReading, takeBackReading } from './actions';
import { ReadingDesk } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Reading the bed' };

/** How a finished bed was strung, from what is seen of it. */
export default async function ReadingPage({ params }: PageProps<'/rackets/[id]/reading'>) {
  const id = routeId((await params).id);
  const open = await openFor('take in');
  const { workshop, rackets, frames, bedsRead } = open;
  const racket = await rackets.get(id);
  if (!racket) notFound();
  const now = wallTime(new Date(), workshop.timeZone);
  const [frame, kept, ageing] = await Promise.all([
    racket.frameId ? frames.get(racket.frameId) : undefined,
    bedsRead.ofRacket(id),
    ageingOf(open, workshop, racket, now.slice(0, 10)),
  ]);
  const bed = frame && studied(frame.spec).bed;
  const head = <RacketHead title="Reading the bed" racket={racket} />;
  if (!frame || !bed)
    return (
      <main className="px-6 py-6">
        {head}
        <p>Its frame is not known yet: say which it is on the page of the racket, and come back.</p>
      </main>
    );
  const facts = bedFacts(bed);
  return (
    <main className="px-6 py-6">
      {head}
      <ReadingDesk
        key={kept.length}
        name={`reading the bed ${id} ${kept.length}`}
        spec={frame.spec}
        setHz={ageing?.setHz === undefined ? '' : ringsNear(ageing.setHz).toFixed(0)}
        save={keepReading.bind(null, workshop.id, id, randomUUID())}
      />
      {kept.length > 0 && (
        <section aria-label="Read before" className="mt-10">
          <h2 className="figure mb-1 text-2xl">Read before</h2>
          <Table
            head={['When', 'What it told', 'What was seen', 'Who', '']}
            empty=""
            rows={kept.map(({ id: readingId, takenOn, seen, who }) => {
              const { ranked, found, tells } = readBed(seen, facts);
              const stories = found.length > 0 ? found : [ranked[0]?.story ?? null];
              return {
                key: readingId,
                cells: [
                  formatWall(takenOn, now),
                  tells
                    ? stories.map((story) => english(storyWords(story))).join('; ')
                    : 'what was seen did not tell',
                  signsOf(seen, facts)
                    .map((sign) => english(seenWords(sign)))
                    .join('; '),
                  who,
                  <Press
                    key="back"
                    action="Take back"
                    press={takeBackReading.bind(null, workshop.id, readingId)}
                  />,
                ],
              };
            })}
          />
        </section>
      )}
    </main>
  );
}
