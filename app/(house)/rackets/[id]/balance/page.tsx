import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { openFor } from '@/app/identity/at-work';
import { routeId } from '@/app/route-id';
import { stringsAsPart } from '@/core/balance/bed-strings';
import { formatParts, type KeptBalance, type NamedPart } from '@/core/balance/parts';
import { massCaution, withParts, type Figures } from '@/core/balance/racket';
import { matchPair, usualPlaces } from '@/core/balance/reach';
import type { Bed } from '@/core/frame/bed';
import { studied } from '@/app/studied';
import { formatGauge } from '@/core/measure/gauge';
import { roundTo } from '@/core/measure/units';
import type { StringRow } from '@/db/strings';
import { Table } from '@/ui/list-page';
import { RacketHead } from '../racket-head';
import { putOn, weighRacket } from './actions';
import { BalanceForm, WantedPanel, StringPanel } from '@/app/(house)/when-used';
import { balanceEntryOf } from './balance-entry';
import type { StringChoice } from './string-panel';

export const metadata: Metadata = { title: 'Mass and balance' };

/** With all that was put on. */
function wholeOf(kept: KeptBalance): Figures {
  const whole = withParts(kept, kept.parts);
  return whole.ok ? whole.value : kept;
}

const figuresOf = ({ massG, balanceMm, swingKgCm2 }: Figures): readonly string[] => [
  `${massG.toFixed(1)} g`,
  `${balanceMm.toFixed(1)} mm`,
  `${swingKgCm2.toFixed(1)} kg·cm²`,
];

/** What each string of the house would make of a racket, beside the one that it was weighed with. */
function stringChoices(
  bed: Bed,
  now: Figures,
  inIt: NamedPart | undefined,
  strings: readonly StringRow[],
): readonly StringChoice[] {
  return strings.flatMap(({ id, name, family, gaugesMm }) =>
    gaugesMm.flatMap((gaugeMm): readonly StringChoice[] => {
      const string = { family, gaugeMm };
      const whole = stringsAsPart(bed, { mains: string, crosses: string });
      const part = {
        ...whole,
        name: `${name} ${formatGauge(gaugeMm)}`,
        massG: roundTo(whole.massG - (inIt?.massG ?? 0), 0.1),
      };
      const after = withParts(now, [part]);
      return after.ok
        ? [
            {
              id: `${id} ${gaugeMm}`,
              text: part.name,
              massG: whole.massG,
              part: part.massG === 0 ? '' : formatParts([part]),
              figures: figuresOf(after.value).join(', '),
            },
          ]
        : [];
    }),
  );
}

/** What a racket weighs where, before and after, and how it becomes what somebody wants. */
export default async function BalancePage({ params }: PageProps<'/rackets/[id]/balance'>) {
  const id = routeId((await params).id);
  const { workshop, rackets, frames, strings, tickets } = await openFor('take in');
  const racket = await rackets.get(id);
  if (!racket) notFound();
  const [frame, others, known, [last]] = await Promise.all([
    racket.frameId ? frames.get(racket.frameId) : undefined,
    rackets.ofClient(racket.clientId),
    strings.find(''),
    tickets.lastOfRacket(id, 1),
  ]);
  const bed = frame && studied(frame.spec).bed;
  const kept = racket.balance;
  const now = kept && wholeOf(kept);
  const places = usualPlaces(frame?.spec.sport ?? 'tennis');
  const twins = others.flatMap((other) =>
    other.id !== id && other.balance && now
      ? [
          {
            other,
            figures: wholeOf(other.balance),
            matched: matchPair(now, wholeOf(other.balance), places),
          },
        ]
      : [],
  );
  const added = kept?.parts.reduce((sum, { massG }) => sum + massG, 0) ?? 0;
  const caution = massCaution(added);
  const setup = kept?.strung ? last?.record?.setup : undefined;
  const inIt = bed && setup && stringsAsPart(bed, setup);
  const putWords = (puts: readonly { readonly name: string; readonly massG: number }[]) =>
    puts.map(({ name, massG }) => `${massG.toFixed(1)} g ${name}`).join(', ') || 'nothing';
  return (
    <main className="px-6 py-6">
      <RacketHead title="Mass and balance" racket={racket} />
      <div className="grid gap-10 lg:grid-cols-2">
        <section aria-label="Measured">
          <BalanceForm
            key={racket.version}
            name={`balance ${id}`}
            version={racket.version}
            initial={balanceEntryOf(kept)}
            save={weighRacket.bind(null, workshop.id, id, racket.version)}
          />
        </section>
        <div className="flex flex-col gap-8">
          {kept && now ? (
            <>
              <section aria-label="Before and after">
                <h2 className="figure mb-1 text-2xl">Before and after</h2>
                <Table
                  head={['', 'Mass', 'Balance', 'Swing weight']}
                  empty=""
                  rows={[
                    { key: 'before', cells: ['as measured', ...figuresOf(kept)] },
                    { key: 'after', cells: ['with what was put on', ...figuresOf(now)] },
                  ]}
                />
                {caution && <p className="text-warn mt-1 font-medium">{caution}</p>}
              </section>
              <WantedPanel key={racket.version} now={now} places={places} />
              {bed && (inIt ?? !kept.strung) && (
                <StringPanel
                  key={`strings ${racket.version}`}
                  choices={stringChoices(bed, now, inIt, known)}
                  inIt={
                    setup && inIt
                      ? `${[...new Set([setup.mains.name, setup.crosses.name])].join(' / ')}, ${inIt.massG.toFixed(1)} g`
                      : ''
                  }
                  putOn={putOn.bind(null, workshop.id, id, racket.version)}
                />
              )}
              {twins.length > 0 && (
                <section aria-label="A pair">
                  <h2 className="figure mb-1 text-2xl">To be a pair</h2>
                  <Table
                    head={['With', 'On this one', 'On the other', '']}
                    empty=""
                    rows={twins.map(({ other, matched }) => ({
                      key: other.id,
                      cells: [
                        `${other.frameName}${other.mark && `, ${other.mark}`}`,
                        putWords(matched.one),
                        putWords(matched.other),
                        matched.reached ? figuresOf(matched.figures).join(', ') : 'not quite alike',
                      ],
                    }))}
                  />
                </section>
              )}
            </>
          ) : (
            <p className="max-w-prose">
              Weigh it, balance it on an edge, and let it swing on a nail through the grommets or on
              a pivot at the butt: ten swings there and back, by ten. The rest follows.
            </p>
          )}
        </div>
      </div>
    </main>
  );
}
