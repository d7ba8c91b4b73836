import clsx from 'clsx';
import type { BenchStep, coveredSoon } from '@/core/bench/plan';
import { formatTension, type TensionUnit } from '@/core/measure/units';
import { placeName } from '@/core/path/segments';
import { english } from '@/core/terms/words/english';

interface AheadProps {
  readonly soon: ReturnType<typeof coveredSoon>;
  readonly next: BenchStep | undefined;
  readonly unit: TensionUnit;
}

/** The hole that a run is about to cover, and the step after this one. */
export function Ahead({ soon, next, unit }: AheadProps) {
  return (
    <div className="mt-auto pt-2">
      {soon && (
        <p className="bench-line" role="note">
          <span className="label">Covered next </span>
          {soon.step.at && <span className="figure">{placeName(soon.step.at)}</span>}
          {soon.inSteps === 0
            ? ', now'
            : `, in ${soon.inSteps} ${soon.inSteps === 1 ? 'step' : 'steps'}`}
        </p>
      )}
      <p className={clsx('text-soft bench-line', !next && 'invisible')}>
        {next
          ? `Then: ${english(next.words)}${next.pullN === undefined ? '' : ` (${formatTension(next.pullN, unit)})`}`
          : '–'}
      </p>
    </div>
  );
}
