import { strungWords } from '@/core/record/as-strung';
import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { ageingOf } from '@/app/ageing-of';
import { routeId } from '@/app/route-id';
import { lossWords } from '@/core/ageing/bed-today';
import { COME_BACK_WORDS } from '@/core/ageing/comes-back';
import { formatDay, formatWall, wallTime } from '@/core/measure/promised-time';
import { formatTension, inTensionUnit, type TensionUnit } from '@/core/measure/units';
import { countWords } from '@/core/terms/count-words';
import type { BedReading } from '@/db/readings';
import { AgeingChart } from '@/ui/ageing-chart';
import { Fact, Facts } from '@/ui/facts';
import { OneField } from '@/ui/form/one-field';
import { Table } from '@/ui/list-page';
import { Press } from '@/ui/press';
import { addReading, liesIn, removeReading, strungElsewhere } from './actions';
import { HeatChoice } from './heat-choice';
import { MainsPanel, ReadingForm, TapPanel } from '@/app/(house)/when-used';
import { RacketHead } from '../racket-head';

export const metadata: Metadata = { title: 'How it ages' };

/** `512.3 Hz`, `34 by a tester (units)`, `6.2 mm under 2000 g` */
function readingWords({ kind, value, massG, unit }: BedReading, house: TensionUnit): string {
  switch (kind) {
    case 'tap':
      return `${value.toFixed(1)} Hz, tapped`;
    case 'tester':
      return `${value} ${unit}, by a tester`;
    case 'weight':
      return `${value} mm under ${massG ?? 0} g`;
    case 'spring scale':
      return `${formatTension(value, house)}, by a spring scale`;
  }
}

/** How the bed of a racket ages, what was measured of it, and when it comes back. */
export default async function AgeingPage({ params }: PageProps<'/rackets/[id]/ageing'>) {
  const id = routeId((await params).id);
  const open = await openFor('take in');
  const { workshop } = open;
  const racket = await open.rackets.get(id);
  if (!racket) notFound();
  const now = wallTime(new Date(), workshop.timeZone);
  const ageing = await ageingOf(open, workshop, racket, now.slice(0, 10));
  const head = <RacketHead title="How it ages" racket={racket} />;
  if (!ageing)
    return (
      <main className="px-6 py-6">
        {head}
        {racket.elsewhereOn ? (
          <p className="flex flex-wrap gap-x-4">
            It was strung elsewhere on {formatDay(racket.elsewhereOn)}: the curve of our bed ended
            there, and a new one begins when it is strung here again.
            <Press
              action="No, it was not"
              press={strungElsewhere.bind(null, workshop.id, id, '')}
            />
          </p>
        ) : (
          <p>It was never strung here: there is no bed whose age is known.</p>
        )}
      </main>
    );
  const { record, strungDay, today, chart, narrowed, from, rough } = ageing;
  const unit = record.setup.unit;
  const figure = (lost: number) => inTensionUnit(chart.setN * (1 - lost), unit, 0.1).toFixed(1);
  const left = ({ low, high }: typeof today.loss) => `${figure(high)} to ${figure(low)} ${unit}`;
  return (
    <main className="px-6 py-6">
      {head}
      {racket.openNumber !== null && (
        <p role="status" className="bg-sheet mb-4 px-3 py-2">
          It is here on a ticket: when it is strung anew, a new curve begins.
        </p>
      )}
      <div className="grid gap-10 lg:grid-cols-[1.5fr_1fr]">
        <section aria-label="The curve">
          <AgeingChart {...chart} unit={unit} />
          <p className="label mt-2 max-w-prose">
            Four of five rackets lie in the band.{' '}
            {from === 0
              ? 'Nothing was measured of this one yet: it is the band of its kind.'
              : narrowed < 0
                ? `${countWords(from, 'reading')} of this racket made it ${Math.round(-narrowed * 100)} % wider than that of its kind: they do not agree with each other, or with any such bed.`
                : `${countWords(from, 'reading')} of this racket made it ${Math.round(narrowed * 100)} % narrower than that of its kind.`}
            {rough &&
              ' Its one tap has none just after stringing beside it: what a model says of a bed lies a fifth to a third above what rackets ring at, so it says little.'}
          </p>
          <Facts className="mt-4">
            <Fact name="Strung" note={`job ${ageing.number}, ${formatDay(strungDay)}`} figure>
              {strungWords(record)}
            </Fact>
            <Fact name="Left by now" figure note={`it has lost ${lossWords(today.loss)}`}>
              {left(today.loss)}
            </Fact>
            <Fact name="Due" figure note={COME_BACK_WORDS[today.due.by]}>
              {today.isDue ? (
                <span className="text-warn">since {formatDay(today.due.day)}</span>
              ) : (
                `in ${countWords(chart.due - today.days, 'day')}, ${formatDay(today.due.day)}`
              )}
            </Fact>
            <Fact name="Plays">
              {today.playsAWeek ? `${today.playsAWeek} a week` : 'nobody said: it only lies'}
            </Fact>
          </Facts>
          <HeatChoice
            key={racket.version}
            heat={racket.heat}
            save={liesIn.bind(null, workshop.id, id)}
          />
          <div className="mt-5">
            <p className="label">Strung elsewhere since? On which day; this curve ends there.</p>
            <OneField
              label="Strung elsewhere on"
              value=""
              action="It is another bed"
              save={strungElsewhere.bind(null, workshop.id, id)}
            />
          </div>
          <h2 className="figure mt-6 mb-1 text-2xl">By each school</h2>
          <Table
            head={['School', 'Says']}
            empty=""
            rows={ageing.schools.map(({ school, day }) => ({
              key: school,
              cells: [
                <span
                  key="school"
                  className={school === today.due.by ? 'font-semibold' : undefined}
                >
                  {school}
                  {school === today.due.by && ', which decides'}
                </span>,
                day ? formatDay(day) : 'nothing of such a bed',
              ],
            }))}
          />
        </section>
        <div className="flex flex-col gap-8">
          <TapPanel
            setHz={ageing.setHz}
            keep={addReading.bind(null, workshop.id, randomUUID(), ageing.number)}
            key={ageing.readings.length}
          />
          <MainsPanel />
          <section aria-label="Measured otherwise">
            <h2 className="figure mb-2 text-2xl">Measured otherwise</h2>
            <ReadingForm
              key={ageing.readings.length}
              name={`reading ${ageing.number} ${ageing.readings.length}`}
              unit={unit}
              strungDay={strungDay}
              now={now}
              save={addReading.bind(null, workshop.id, randomUUID(), ageing.number)}
            />
          </section>
          <section aria-label="Readings">
            <h2 className="figure mb-1 text-2xl">Readings</h2>
            <Table
              head={['When', 'What', 'Who', '']}
              empty="None yet. One just after stringing makes all later ones exact."
              rows={ageing.readings.toReversed().map((reading) => ({
                key: reading.id,
                cells: [
                  formatWall(reading.takenOn, now),
                  readingWords(reading, unit),
                  reading.who,
                  <Press
                    key="back"
                    action="Take back"
                    press={removeReading.bind(null, workshop.id, reading.id)}
                  />,
                ],
              }))}
            />
          </section>
        </div>
      </div>
    </main>
  );
}
