/** What the lengths that a job is cut from are to the plan of its cut. */
import type { CutSourceKind } from '../cut/plan';
import type { Mm } from '../measure/quantities';
import type { ShelfLength } from './day-cuts';

/** From which length of the shelf each piece of a job is cut. */
export type Allocation = readonly { readonly piece: string; readonly lengthId: string }[];

/**
 * What an allocation is to the plan of a cut: a whole set, half of each, a reel, or lengths at hand.
 *
 * @example
 * sourceOf([{ piece: 'whole', lengthId: 'a' }], [{ id: 'a', kind: 'reel', mm: 200000, leftMm: 90000, priceMinor: 0, key: 'x' }]) // { cutFrom: 'reel', remnantsMm: [] }
 */
export function sourceOf(
  allocation: Allocation,
  lengths: readonly ShelfLength[],
): { readonly cutFrom: CutSourceKind; readonly remnantsMm: readonly Mm[] } | undefined {
  const found = allocation.flatMap(
    ({ lengthId }) => lengths.find(({ id }) => id === lengthId) ?? [],
  );
  const used = [...new Set(found)];
  if (used.length === 0 || found.length < allocation.length) return undefined;
  const isWholeSet = ({ kind, mm, leftMm }: ShelfLength) => kind === 'set' && leftMm >= mm;
  if (used.every(({ kind }) => kind === 'reel')) return { cutFrom: 'reel', remnantsMm: [] };
  if (used.every(isWholeSet))
    return { cutFrom: used.length === 1 ? 'one set' : 'two half sets', remnantsMm: [] };
  return { cutFrom: 'remnant', remnantsMm: used.map(({ leftMm }) => leftMm) };
}
