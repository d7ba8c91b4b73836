import { methodProblem, usualChoice } from '@/core/cut/methods';
import type { CutSourceKind } from '@/core/cut/plan';
import type { Bed } from '@/core/frame/bed';
import type { PathChoice } from '@/core/path/path';
import type { CutFacts } from '@/db/tickets';

/** How the last job on a racket was cut, as far as it was settled. */
export type LastCut = Pick<
  CutFacts,
  'method' | 'shortSide' | 'crossStart' | 'cutFrom' | 'machineId'
>;

/**
 * How a racket is cut when nobody chooses: as it was last time, where these strings still take it. A remnant is used up,
 * so what it was cut from is asked anew.
 */
export function usualCut(
  bed: Bed,
  last: LastCut | undefined,
  hybrid: boolean,
): { readonly choice: PathChoice; readonly cutFrom: CutSourceKind } {
  const choice =
    last?.method &&
    last.shortSide &&
    last.crossStart &&
    methodProblem(bed, last.method, hybrid) === undefined
      ? { method: last.method, shortSide: last.shortSide, crossStart: last.crossStart }
      : usualChoice(bed, hybrid);
  const usual = hybrid ? 'two half sets' : 'one set';
  const fits =
    last?.cutFrom === 'reel' ||
    (last?.cutFrom === 'one set' && !hybrid) ||
    (last?.cutFrom === 'two half sets' && choice.method === 'two-piece');
  return { choice, cutFrom: fits && last.cutFrom ? last.cutFrom : usual };
}
