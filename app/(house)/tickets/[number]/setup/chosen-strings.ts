/** The two strings of a bed as they are chosen from the library, each in its thickness. */
import { parseGauge } from '@/core/measure/gauge';
import { isHybrid, type JobString } from '@/core/strings/job-string';
import type { Sport } from '@/core/terms/sport';
import type { StringRow } from '@/db/strings';
import type { StringsEntry } from './strings-entry';

export interface ChosenString<S = StringRow> {
  readonly string: S;
  readonly gaugeMm: number;
  /** The client brought it. */
  readonly supplied: boolean;
}

export interface ChosenStrings<S = StringRow> {
  readonly mains: ChosenString<S>;
  readonly crosses: ChosenString<S>;
}

/** The strings of an entry; nothing before both are chosen and their thickness can be read. */
export function chosenStrings<S extends { readonly id: string }>(
  entry: StringsEntry,
  known: readonly S[],
  sport: Sport,
): ChosenStrings<S> | undefined {
  const chosen = (id: string, gauge: string, supplied: boolean): ChosenString<S> | undefined => {
    const string = known.find((each) => each.id === id);
    const thickness = parseGauge(gauge, sport);
    return string && thickness.ok ? { string, gaugeMm: thickness.value, supplied } : undefined;
  };
  const mains = chosen(entry.mainStringId, entry.mainGauge, entry.mainSupplied);
  const crosses = entry.hybrid
    ? chosen(entry.crossStringId, entry.crossGauge, entry.crossSupplied)
    : mains;
  return mains && crosses && { mains, crosses };
}

/** A chosen string as it goes into a job. */
export const jobString = ({ string, gaugeMm, supplied }: ChosenString): JobString => ({
  name: string.name,
  family: string.family,
  shape: string.shape,
  gaugeMm,
  suppliedByClient: supplied,
  setMm: string.setMm,
  stretch: string.stretch,
});

/** Whether what is chosen makes two pieces; by its strings as a record keeps them. */
export const isHybridSetup = ({ mains, crosses }: ChosenStrings): boolean =>
  isHybrid({ mains: jobString(mains), crosses: jobString(crosses) });
