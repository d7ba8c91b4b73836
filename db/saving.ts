/** What became of a change: kept, or too late because somebody else changed or removed the row. */
export type Saved = 'saved' | 'changed' | 'gone';

interface VersionedRow {
  readonly removedAt: Date | null;
}

/** Tells a missed update apart: the row is gone, or there in a newer version. */
export const missed = (row: VersionedRow | undefined): Exclude<Saved, 'saved'> =>
  row && row.removedAt === null ? 'changed' : 'gone';

/** A search text as a pattern for `ilike`, with its own wildcards taken literally. */
export const containing = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;
