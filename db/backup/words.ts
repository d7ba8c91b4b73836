/** How the backups stand, in words for the Workshop page. */
import { formatDistanceStrict } from 'date-fns';
import type { BackupState } from './daily';

const HOUR_MS = 60 * 60_000;
const WARN_AFTER_MS = 48 * HOUR_MS;

export interface BackupWords {
  readonly words: string;
  /** More to say: what failed, where else it goes. */
  readonly note: string | undefined;
  /** Two days without a proven backup, one of a day that has not come, or none at all. */
  readonly overdue: boolean;
}

export function backupWords(
  { proven, failure, second, secondFailure }: BackupState,
  now: Date,
): BackupWords {
  const age = proven ? now.getTime() - Date.parse(proven.made) : Infinity;
  const notes = [
    failure === null ? undefined : `The latest try: ${failure}`,
    second === null
      ? 'In one folder only: the README, under Your records, says how to name a second one'
      : undefined,
    second !== null && secondFailure !== null
      ? `The copy to ${second} failed: ${secondFailure}`
      : undefined,
    second !== null && secondFailure === null ? `Also in ${second}` : undefined,
  ].filter((note) => note !== undefined);
  return {
    words: proven
      ? age < -HOUR_MS
        ? `Proven, and dated ${formatDistanceStrict(Date.parse(proven.made), now)} from now: a clock was wrong`
        : `${formatDistanceStrict(Date.parse(proven.made), now)} old, proven`
      : 'None is proven yet: the first is made soon after the start',
    note: notes.join(' · ') || undefined,
    overdue: age > WARN_AFTER_MS || age < -HOUR_MS,
  };
}
