/**
 * Which daily backups stay: the last of each of 7 days, 4 weeks and 12 months. A gap longer than a month begins them anew, so
 * that those which a clock of a wrong year has dated never take the place of the good ones.
 */
import { getISOWeek, getISOWeekYear } from 'date-fns';

const NAME = /^orthotens-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d)\.backup$/;

/** Name of a daily backup; it sorts by time, and says it in UTC. */
export const dailyName = (made: Date): string =>
  `orthotens-${made.toISOString().slice(0, 19).replaceAll(':', '-')}.backup`;

/** When a daily backup was made; undefined for a file that is none. */
export function madeAt(name: string): Date | undefined {
  const time = NAME.exec(name)?.[1];
  if (time === undefined) return undefined;
  const made = new Date(`${time.slice(0, 10)}T${time.slice(11).replaceAll('-', ':')}Z`);
  return Number.isNaN(made.getTime()) ? undefined : made;
}

const PERIODS: readonly (readonly [count: number, of: (made: Date) => string])[] = [
  [7, (made) => made.toISOString().slice(0, 10)],
  // UTC, as the names are.
  [4, (made) => weekOf(new Date(made.getTime() + made.getTimezoneOffset() * 60_000))],
  [12, (made) => made.toISOString().slice(0, 7)],
];

const weekOf = (day: Date): string => `${getISOWeekYear(day)} ${getISOWeek(day)}`;

interface Dated {
  readonly name: string;
  readonly made: Date;
}

/** Longer than from the last of a month to the last of the next. */
const GAP_MS = 45 * 24 * 60 * 60_000;

/** Parts of a row of backups, the latest first, between which nothing was made for longer than a month. */
function runsOf(latestFirst: readonly Dated[]): readonly (readonly Dated[])[] {
  const runs: Dated[][] = [];
  for (const each of latestFirst) {
    const run = runs.at(-1);
    const next = run?.at(-1);
    if (run && next && next.made.getTime() - each.made.getTime() <= GAP_MS) run.push(each);
    else runs.push([each]);
  }
  return runs;
}

/** The daily backups among these files that may go; never the one named `proven`. What is no daily backup is never among them. */
export function mayGo(names: readonly string[], proven?: string): readonly string[] {
  const latestFirst = names
    .flatMap((name) => {
      const made = madeAt(name);
      return made ? [{ name, made }] : [];
    })
    .sort((a, b) => b.made.getTime() - a.made.getTime());
  const stays = new Set<string>(proven === undefined ? [] : [proven]);
  for (const run of runsOf(latestFirst))
    for (const [count, of] of PERIODS) {
      const lasts = new Map<string, string>();
      for (const { name, made } of run) if (!lasts.has(of(made))) lasts.set(of(made), name);
      for (const name of [...lasts.values()].slice(0, count)) stays.add(name);
    }
  return latestFirst.map(({ name }) => name).filter((name) => !stays.has(name));
}
