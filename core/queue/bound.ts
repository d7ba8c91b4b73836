/** What no plan can better: how late the latest job is at least. */
import type { Span } from './clock';
import { minutesOn, startIn, suits, type QueueBench, type QueueJob } from './jobs';

/** Open minutes of all benches between two times. */
function room(
  benches: readonly QueueBench[],
  free: readonly number[],
  from: number,
  to: number,
): number {
  return benches.reduce(
    (sum, { open }, b) =>
      sum +
      open.reduce(
        (minutes, [a, z]: Span) =>
          minutes + Math.max(0, Math.min(z, to) - Math.max(a, from, free[b] ?? 0)),
        0,
      ),
    0,
  );
}

/**
 * The lateness, min, that some job has in every plan: each alone on the bench where it is finished first; and whatever
 * is ready from some time on and promised by another needs as much room on all benches between the two. Found by
 * halving; no larger than that of the best plan.
 */
export function leastLateness(
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
  free: readonly number[],
): number {
  const shortest = jobs.map((job) => {
    const on = benches.filter(({ name }) => suits(job, name));
    return Math.min(...on.map(({ name }) => minutesOn(job, name)));
  });
  const alone = jobs.map((job) =>
    Math.min(
      ...benches.map((bench, b) => {
        if (!suits(job, bench.name)) return Infinity;
        const minutes = minutesOn(job, bench.name);
        const start = startIn(bench.open, Math.max(job.ready, free[b] ?? 0), minutes);
        return start === undefined ? Infinity : start + minutes;
      }),
    ),
  );
  let least = Math.max(0, ...jobs.map(({ promised }, i) => (alone[i] ?? 0) - promised));
  const from = [...new Set(jobs.map(({ ready }) => ready))];
  const by = [...new Set(jobs.map(({ promised }) => promised))];
  const fits = (late: number): boolean =>
    from.every((begin) =>
      by.every((end) => {
        const work = jobs.reduce(
          (sum, { ready, promised }, i) =>
            ready >= begin && promised <= end ? sum + (shortest[i] ?? 0) : sum,
          0,
        );
        return work === 0 || work <= room(benches, free, begin, end + late) + 1e-9;
      }),
    );
  if (fits(least)) return least;
  let most = least + 1;
  while (!fits(most) && most < 1e7) most *= 2;
  // To the minute, and to the side that can be proven.
  while (most - least > 0.5) {
    const middle = (least + most) / 2;
    if (fits(middle)) most = middle;
    else least = middle;
  }
  return least;
}
