/** What all timings have in common. */

/** The value below which a share of them lies. */
export function quantile(values: readonly number[], share: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

/** How long it takes each time, ms. */
export function timesOf(work: () => unknown, runs: number): readonly number[] {
  return Array.from({ length: runs }, () => {
    const started = performance.now();
    work();
    return performance.now() - started;
  });
}

/** Median of many runs, after as many that make the code fast, ms. */
export const medianMs = (work: () => unknown, runs = 25): number =>
  quantile(timesOf(work, 2 * runs).slice(runs), 0.5);

export type Ask = (i: number) => Promise<unknown>;

export interface Timed {
  readonly took: readonly number[];
  readonly p50: number;
  readonly p95: number;
}

export const summed = (took: readonly number[]): Timed => ({
  took,
  p50: quantile(took, 0.5),
  p95: quantile(took, 0.95),
});

/** Asked so often first, so that every process that serves has seen the page. */
const BEFORE = 8;

/** How long an answer takes, asked one after the other; of several houses in turn, so that a machine that slows slows all of them. */
export async function timedInTurn(times: number, asks: readonly Ask[]): Promise<readonly Timed[]> {
  const took = asks.map((): number[] => []);
  for (let i = -Math.min(BEFORE, times); i < times; i++)
    for (const [house, ask] of asks.entries()) {
      const started = performance.now();
      await ask(Math.abs(i));
      if (i >= 0) took[house]?.push(performance.now() - started);
    }
  return took.map(summed);
}

/** Whether it keeps what is asked of it, as a word for the end of a line. */
export const verdict = (holds: boolean, goal: string): string =>
  `${holds ? 'holds' : 'MISSED'} (${goal})`;
