/** What each string earns in an hour at the bench. */

/** A closed job whose minutes at the bench are known. */
export interface EarningJob {
  /** What is in the bed, in words. */
  readonly strings: string;
  /** Labour and string as they were asked for. */
  readonly incomeMinor: number;
  readonly minutes: number;
  /** What was cut from the shop's string; none where the client brought it. */
  readonly cuts: readonly { readonly key: string; readonly mm: number }[];
}

export interface Earning {
  readonly strings: string;
  readonly jobs: number;
  /** What is left for an hour when the string is paid. */
  readonly hourMinor: number;
  readonly minutesAJob: number;
}

/**
 * What is left of a job when its string is paid, by the hour at the bench, for each string or pair of strings; those that
 * earn most first. A job whose string has no price on the shelf is left out, for it would look like a gift.
 *
 * Source: (income − string) / hours, arithmetic; what a string costs is what was paid for a metre of it on average.
 * Limits: what happens beside the bench is not counted; tax is in it where prices have it.
 *
 * @param pricePerMm what was paid for a millimetre, by string and gauge
 *
 * @example
 * earnings([{ strings: 'A', incomeMinor: 3000, minutes: 30, cuts: [{ key: 'a', mm: 10000 }] }], new Map([['a', 0.1]])) // [{ strings: 'A', jobs: 1, hourMinor: 4000, minutesAJob: 30 }]
 */
export function earnings(
  jobs: readonly EarningJob[],
  pricePerMm: ReadonlyMap<string, number>,
): readonly Earning[] {
  const sums = new Map<string, { jobs: number; leftMinor: number; minutes: number }>();
  for (const { strings, incomeMinor, minutes, cuts } of jobs) {
    const costs = cuts.map(({ key, mm }) => (pricePerMm.get(key) ?? NaN) * mm);
    const cost = costs.reduce((sum, each) => sum + each, 0);
    if (Number.isNaN(cost) || minutes <= 0) continue;
    const sum = sums.get(strings) ?? { jobs: 0, leftMinor: 0, minutes: 0 };
    sums.set(strings, {
      jobs: sum.jobs + 1,
      leftMinor: sum.leftMinor + incomeMinor - cost,
      minutes: sum.minutes + minutes,
    });
  }
  return [...sums]
    .map(([strings, { jobs: count, leftMinor, minutes }]) => ({
      strings,
      jobs: count,
      hourMinor: Math.round((leftMinor / minutes) * 60),
      minutesAJob: Math.round(minutes / count),
    }))
    .toSorted((a, b) => b.hourMinor - a.hourMinor || a.strings.localeCompare(b.strings));
}
