import { Semaphore } from 'async-mutex';

/** Of each kind of work, for whoever asks: while more wait, pages are still answered. */
const AT_ONCE = 2;

/** What is made here and keeps a core busy for long, and files that are read beside the server. */
type Queue = 'made' | 'read';

// Each route has modules of its own, and the machine is one.
const holder = globalThis as { orthotensQueues?: Partial<Record<Queue, Semaphore>> };

/** Does what takes long (a PDF, a photograph, a long file) when its turn comes, two of a queue at once at most. */
export function inTheQueue<T>(queue: Queue, work: () => Promise<T>): Promise<T> {
  const queues = (holder.orthotensQueues ??= {});
  return (queues[queue] ??= new Semaphore(AT_ONCE)).runExclusive(work);
}
