'use client';

import { METHOD_WORDS } from '@/core/terms/method';
import { tensionCautions } from '@/core/advice/tension';
import { pathCautions } from '@/core/cut/methods';
import { planCut } from '@/core/cut/plan';
import { formatMoney } from '@/core/measure/money';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { Cautions } from '@/ui/cautions';
import { SkipFacts } from '@/ui/frame/skip-facts';
import { Facts } from '@/ui/facts';
import { Tape } from '@/ui/tape/tape';
import { KnownPanel } from '../take-in/known-panel';
import { usualCut } from './usual-cut';
import type { ShortOf, ShortState } from './use-short';

/** The way of a bed's strings does not hang on which they are. */
const ANY_STRING = { family: 'multifilament', gaugeMm: 1.3, stretch: null } as const;

/** What is known, the bed with its way, the tape, and what it costs. */
export function BedAndTape({
  short: { entry, bed, result, waits },
  of: { workshopId, lengthSystem, prices },
}: {
  readonly short: ShortState;
  readonly of: ShortOf;
}) {
  const { racketId, frameLabel } = entry;
  if (!bed)
    return (
      <section aria-label="The bed" className="label max-w-prose">
        {waits ? (
          <p>Looking it up …</p>
        ) : racketId || frameLabel.trim() ? (
          <p>
            The holes of this frame are not all known yet. They are entered at its first station,
            once; strings and tension come after it.
          </p>
        ) : (
          <p>
            Choose a racket or a frame: its bed, lengths and tension stand here, also when somebody
            is just asking.
          </p>
        )}
      </section>
    );
  const choice = result?.choice ?? usualCut(bed.bed, bed.cut, false).choice;
  const { path } =
    result?.plan ??
    planCut(
      bed.bed,
      { mains: ANY_STRING, crosses: ANY_STRING },
      choice,
      bed.assumptions,
      {},
      bed.house,
    );
  return (
    <section aria-label="The bed" className="flex min-w-0 flex-col gap-3">
      <BedDrawing still bed={bed.bed} path={path} lengthSystem={lengthSystem} className="h-96" />
      {result ? (
        <>
          <div className="overflow-x-auto">
            <Tape pieces={result.tape} lengthSystem={lengthSystem} />
          </div>
          <p className="flex flex-wrap items-baseline justify-between gap-x-6">
            <span className="inline-block font-medium first-letter:uppercase">
              {METHOD_WORDS[choice.method]}. {result.advice.word}
            </span>
            <span>
              <span className="label">to pay </span>
              <span className="figure text-3xl">
                {formatMoney(result.toPayMinor, prices.currency, prices.locale)}
              </span>
            </span>
          </p>
        </>
      ) : (
        <p className="label">Choose a string: its lengths and its price stand here.</p>
      )}
      <Cautions
        cautions={[
          ...(result?.advice.caution ? [result.advice.caution] : []),
          ...(result?.tension
            ? tensionCautions(
                bed.frame.spec,
                result.tension,
                result.strung.mains.family,
                result.strung.crosses.family,
              )
            : []),
          ...pathCautions(bed.bed, path),
          ...bed.doubts,
        ]}
      />
      <Facts>
        <SkipFacts skips={bed.bed.skips} />
      </Facts>
      {racketId && <KnownPanel workshopId={workshopId} racketId={racketId} />}
    </section>
  );
}
