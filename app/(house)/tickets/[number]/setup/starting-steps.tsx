import type { StartingPoint } from '@/core/tension';
import { inTensionUnit, type TensionUnit } from '@/core/units';

/** From the range to the start, a line for each reason. */
export function StartingSteps({
  start,
  unit,
}: {
  readonly start: StartingPoint;
  readonly unit: TensionUnit;
}) {
  const figure = (n: number) => inTensionUnit(n, unit, 0.1);
  return (
    <ol className="mt-2">
      {start.steps.map(({ what, why, source, mainN, crossN }) => (
        <li key={what} className="border-hair grid grid-cols-[1fr_auto] gap-x-6 border-t py-2">
          <span className="font-medium">{what}</span>
          <span className="figure text-xl">
            {figure(mainN)}/{figure(crossN)} {unit}
          </span>
          <span className="label max-w-prose">
            {why} <em>{source === 'from memory' ? 'From memory.' : 'Common practice.'}</em>
          </span>
        </li>
      ))}
    </ol>
  );
}
