import { isDeepStrictEqual } from 'node:util';

/** What became of a change: kept, or too late because somebody else changed or removed the row. */
export type Saved = 'saved' | 'changed' | 'gone';

interface VersionedRow {
  readonly removedAt: Date | null;
}

/**
 * Tells a missed update apart. A row that already says what was to be saved is the same form sent
 * twice, its first answer lost on the way; otherwise it is there in a newer version, or gone.
 */
export function missed<Row extends VersionedRow>(
  row: Row | undefined,
  facts: { readonly [K in keyof Row]?: unknown } & object,
): Saved {
  if (!row || row.removedAt !== null) return 'gone';
  const same = Object.entries(facts).every(([name, value]) =>
    isDeepStrictEqual(row[name as keyof Row], value),
  );
  return same ? 'saved' : 'changed';
}

/** A search text as a pattern for `ilike`, with its own wildcards taken literally. */
export const containing = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;
