'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { z } from 'zod';
import {
  benchEventSchema,
  benchLog,
  type BenchEvent,
  type BenchLog,
  type Deed,
} from '@/core/bench-log';
import type { KeptEvents, SentEvents } from './events/route';

interface Bench {
  /** It has its name and knows what waits in the browser: it may take deeds. */
  readonly ready: boolean;
  readonly log: BenchLog;
  /** Notes a deed, with the steps that are done after it. */
  readonly note: (done: number, deed: Deed) => void;
  /** Events that the server does not have yet. */
  readonly waiting: number;
  /** The job was closed, so nothing is kept any more. */
  readonly closed: boolean;
  /** Another bench was at work on this job just now. */
  readonly others: boolean;
}

const RETRY_MS = 2000;
/** A bench that did something so recently is still there. */
const RECENT_MS = 2 * 60_000;

const answerSchema = z.object({
  closed: z.boolean(),
  events: z.array(benchEventSchema).optional(),
}) satisfies z.ZodType<KeptEvents>;

const storedSchema = z.array(benchEventSchema);

function stored(key: string): readonly BenchEvent[] {
  try {
    return storedSchema.parse(JSON.parse(localStorage.getItem(key) ?? '[]'));
  } catch {
    return [];
  }
}

function store(key: string, events: readonly BenchEvent[]): void {
  if (events.length > 0) localStorage.setItem(key, JSON.stringify(events));
  else localStorage.removeItem(key);
}

/** Holds a name for as long as this page lives; false when another window holds it. */
const hold = (name: string): Promise<boolean> =>
  new Promise((resolve) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });

let ownName: Promise<string> | undefined;

/** This window's own name: the same after a reload, another in a window that was copied from it. */
function benchName(): Promise<string> {
  ownName ??= (async () => {
    const known = sessionStorage.getItem('bench') ?? crypto.randomUUID();
    const name = (await hold(`bench ${known}`)) ? known : crypto.randomUUID();
    sessionStorage.setItem('bench', name);
    return name;
  })();
  return ownName;
}

/**
 * What was done on a job at all its benches. Each deed goes into the browser's store first and from
 * there to the server, in order and each once, so a reload or a lost connection loses nothing; what
 * other benches did comes back with the answers.
 */
export function useBench(number: number, plan: string, kept: readonly BenchEvent[]): Bench {
  const prefix = `bench ${number} `;
  const [server, setServer] = useState(kept);
  const [own, setOwn] = useState<readonly BenchEvent[]>([]);
  const [closed, setClosed] = useState(false);
  const [others, setOthers] = useState(false);
  /** When another bench last did something, on this clock, ms. */
  const otherAt = useRef(-Infinity);
  const [ready, setReady] = useState(false);
  const bench = useRef('');
  const sending = useRef(false);
  const known = useRef(kept);

  /** Everything of this job that waits in the browser; a window that was closed may have left some. */
  const waitingKeys = useCallback(
    () => Object.keys(localStorage).filter((key) => key.startsWith(prefix)),
    [prefix],
  );

  const waiting = useCallback(
    () =>
      waitingKeys()
        .flatMap(stored)
        .toSorted((a, b) => a.at.localeCompare(b.at)),
    [waitingKeys],
  );

  const learn = useCallback((events: readonly BenchEvent[]) => {
    const before = new Set(known.current.map(({ id }) => id));
    if (events.some((event) => !before.has(event.id) && event.bench !== bench.current))
      otherAt.current = Date.now();
    known.current = events;
    setServer(events);
  }, []);

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      for (let more = true; more;) {
        const keys = waitingKeys();
        const events = waiting();
        const body: SentEvents = { known: known.current.length, events: [...events] };
        const response = await fetch(`/bench/${number}/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        });
        if (!response.ok) return;
        const answer = answerSchema.parse(await response.json());
        if (answer.closed) setClosed(true);
        if (answer.events) learn(answer.events);
        const sent = new Set(events.map(({ id }) => id));
        for (const key of keys)
          store(
            key,
            stored(key).filter(({ id }) => !sent.has(id)),
          );
        const left = waiting();
        setOwn(left);
        more = left.length > 0 && !answer.closed;
      }
    } catch {
      // No connection: what waits is sent when the timer comes round again.
    } finally {
      sending.current = false;
      setOthers(Date.now() - otherAt.current < RECENT_MS);
    }
  }, [learn, number, waiting, waitingKeys]);

  const note = useCallback(
    (done: number, deed: Deed) => {
      const event: BenchEvent = {
        id: crypto.randomUUID(),
        bench: bench.current,
        plan,
        at: new Date().toISOString(),
        done,
        deed,
      };
      store(prefix + bench.current, [...stored(prefix + bench.current), event]);
      setOwn(waiting());
      void send();
    },
    [plan, prefix, send, waiting],
  );

  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined;
    let left = false;
    void benchName().then((name) => {
      if (left) return;
      bench.current = name;
      const theirs = known.current.findLast((event) => event.bench !== name);
      if (theirs) otherAt.current = Date.parse(theirs.at);
      note(benchLog([...known.current, ...waiting()]).done, { kind: 'open' });
      setReady(true);
      timer = setInterval(() => void send(), RETRY_MS);
    });
    return () => {
      left = true;
      clearInterval(timer);
    };
  }, [note, send, waiting]);

  const log = useMemo(() => {
    const there = new Set(server.map(({ id }) => id));
    return benchLog([...server, ...own.filter(({ id }) => !there.has(id))]);
  }, [server, own]);

  return { ready, log, note, waiting: own.length, closed, others };
}
