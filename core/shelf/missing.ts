/** Which open tickets run out of string, before anybody has planned their cuts. */
import type { Mm } from '../measure/quantities';

export interface StringWanted {
  readonly number: number;
  readonly promised: string;
  /** What it takes of each string, by its key. */
  readonly needs: readonly { readonly key: string; readonly mm: Mm }[];
}

/**
 * The tickets for which something is missing, and what: those that are promised first take what is there first, whole
 * sets as they come. A rough count; the cuts of the day are exact.
 *
 * @example
 * missingFor(new Map([['w', 12000]]), [{ number: 4, promised: '2026-01-05T10:00', needs: [{ key: 'w', mm: 12200 }] }]) // [{ number: 4, key: 'w' }]
 */
export function missingFor(
  there: ReadonlyMap<string, Mm>,
  wanted: readonly StringWanted[],
): readonly { readonly number: number; readonly key: string }[] {
  const left = new Map(there);
  return wanted
    .toSorted((a, b) => a.promised.localeCompare(b.promised) || a.number - b.number)
    .flatMap(({ number, needs }) => {
      const missing = needs.filter(({ key, mm }) => (left.get(key) ?? 0) < mm);
      if (missing.length > 0) return missing.map(({ key }) => ({ number, key }));
      for (const { key, mm } of needs) left.set(key, (left.get(key) ?? 0) - mm);
      return [];
    });
}
