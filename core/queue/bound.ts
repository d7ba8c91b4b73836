/** What no plan can better: how late the latest job is at least. */
import type { Span } from './clock';
import { minutesOn, startIn, suits, type QueueBench, type QueueJob } from './jobs';

/** When so many minutes of work are done at the earliest, if all benches share them, from the spans that are open. */
function doneBy(spans: readonly Span[]): (work: number) => number {
  const times = [...new Set(spans.flat())].toSorted((a, b) => a - b);
  const parts: { readonly from: number; readonly done: number; readonly benches: number }[] = [];
  let done = 0;
  times.forEach((from, i) => {
    const benches = spans.filter(([a, b]) => a <= from && b > from).length;
    parts.push({ from, done, benches });
    done += benches * ((times[i + 1] ?? from) - from);
  });
  return (work) => {
    const part = parts.findLast((each) => each.done < work && each.benches > 0);
    if (!part) return work > 0 ? Infinity : -Infinity;
    const at = part.from + (work - part.done) / part.benches;
    return work > done + 1e-9 ? Infinity : at;
  };
}

/**
 * The lateness, min, that some job has in every plan: each alone on the bench where it is finished first; and whatever
 * is ready from some time on and promised by another needs as much room on all benches between the two, even if jobs
 * could be split and shared. No larger than the largest lateness of the best plan.
 */
export function leastLateness(
  benches: readonly QueueBench[],
  jobs: readonly QueueJob[],
  free: readonly number[],
): number {
  const shortest = jobs.map((job) =>
    Math.min(
      ...benches.filter(({ name }) => suits(job, name)).map(({ name }) => minutesOn(job, name)),
    ),
  );
  const alone = jobs.map((job, i) => {
    const finishes = benches.flatMap((bench, b) => {
      const minutes = minutesOn(job, bench.name);
      const start = suits(job, bench.name)
        ? startIn(bench.open, Math.max(job.ready, free[b] ?? 0), minutes)
        : undefined;
      return start === undefined ? [] : [start + minutes];
    });
    return { job, minutes: shortest[i] ?? 0, finish: Math.min(...finishes) };
  });
  let least = Math.max(0, ...alone.map(({ job, finish }) => finish - job.promised));
  const byPromise = alone.toSorted((a, b) => a.job.promised - b.job.promised);
  for (const begin of new Set(jobs.map(({ ready }) => ready))) {
    const open = benches.flatMap((bench, b) =>
      bench.open.flatMap(([a, z]): Span[] => {
        const from = Math.max(a, begin, free[b] ?? 0);
        return z > from ? [[from, z]] : [];
      }),
    );
    const by = doneBy(open);
    let work = 0;
    for (const { job, minutes } of byPromise) {
      if (job.ready < begin) continue;
      work += minutes;
      const at = by(work);
      if (Number.isFinite(at)) least = Math.max(least, at - job.promised);
    }
  }
  return least;
}
