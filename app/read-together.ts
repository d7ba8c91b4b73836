/** What many ask for at the same instant is read once for all of them. */

interface Read {
  readonly now: Promise<unknown>;
  /** The one after it, for who came when it had begun. */
  next: Promise<unknown> | undefined;
}

// Each route has modules of its own, and those who ask are of all of them.
const holder = globalThis as { orthotensReads?: Map<string, Read> };

/**
 * Reads, or waits for the read of somebody else that begins after this was asked for, so that nobody is shown what was there
 * before they asked. Two of the same key must be allowed to see the same: it names the workshop and the role.
 */
export function readTogether<T>(key: string, read: () => Promise<T>): Promise<T> {
  const reads = (holder.orthotensReads ??= new Map());
  const begin = (): Promise<T> => {
    const now = read();
    const mine: Read = { now, next: undefined };
    reads.set(key, mine);
    const end = () => {
      if (!mine.next && reads.get(key) === mine) reads.delete(key);
    };
    now.then(end, end);
    return now;
  };
  const running = reads.get(key);
  if (!running) return begin();
  // One that fails has failed for who asked it; who waits for the next one has not asked yet.
  running.next ??= running.now.then(begin, begin);
  return running.next as Promise<T>;
}
