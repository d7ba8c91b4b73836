'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { benchLog, type LoggedDeed, type BenchLog, type Deed } from '@/core/bench/log';
import { backlogOf, type AsideDeed } from './backlog';
import { keptSchema, MOST_DEEDS, type SentDeeds } from './deeds/sent';

interface Bench {
  /** It has its name and knows what waits in the browser: it may take deeds. */
  readonly ready: boolean;
  readonly log: BenchLog;
  /** Notes a deed, with the steps that are done after it. */
  readonly note: (done: number, deed: Deed) => void;
  /** Events that the server does not have yet. */
  readonly waiting: number;
  /** The job was closed: what is done now is kept as late. */
  readonly closed: boolean;
  /** Events that the server does not keep, with the reason; shown until somebody has seen them. */
  readonly setAside: readonly AsideDeed[];
  readonly forgetAside: () => void;
  /** Why nothing is sent, in words; what waits stays here. */
  readonly shut: string | undefined;
  /** Another bench was at work on this job just now. */
  readonly others: boolean;
}

/** By the status of an answer. */
const SHUT: Readonly<Record<number, string>> = {
  401: 'Nobody is at this bench: give your code or sign in. All of it waits in this browser.',
  403: 'Somebody has to watch: nothing is sent, all of it waits in this browser.',
  409: 'Another workshop answers here: nothing is sent, all of it waits in this browser.',
};

const RETRY_MS = 2000;
/** A bench that did something so recently is still there. */
const RECENT_MS = 2 * 60_000;

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
export function useBench(
  workshopId: string,
  number: number,
  personId: string,
  plan: string,
  kept: readonly LoggedDeed[],
): Bench {
  const backlog = useMemo(() => backlogOf(workshopId, number), [workshopId, number]);
  const [server, setServer] = useState(kept);
  const [own, setOwn] = useState<readonly LoggedDeed[]>([]);
  const [closed, setClosed] = useState(false);
  const [others, setOthers] = useState(false);
  const [setAside, setSetAside] = useState<readonly AsideDeed[]>([]);
  const [shut, setShut] = useState<string>();
  /** When another bench last did something, on this clock, ms. */
  const otherAt = useRef(-Infinity);
  const [ready, setReady] = useState(false);
  const bench = useRef('');
  const sending = useRef(false);
  const known = useRef(kept);

  const learn = useCallback((deeds: readonly LoggedDeed[]) => {
    const before = new Set(known.current.map(({ id }) => id));
    if (deeds.some((logged) => !before.has(logged.id) && logged.bench !== bench.current))
      otherAt.current = Date.now();
    known.current = deeds;
    setServer(deeds);
  }, []);

  const look = useCallback(() => {
    setOwn(backlog.sound());
    setSetAside(backlog.aside());
  }, [backlog]);

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      // Once at least, to hear of other benches; then as long as something waits and is taken.
      for (let more = true; more;) {
        const part = backlog.next(MOST_DEEDS);
        const body: SentDeeds = {
          madeFor: workshopId,
          known: known.current.length,
          deeds: [...part.deeds],
        };
        const response = await fetch(`/bench/${number}/deeds`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        });
        setShut(SHUT[response.status]);
        if (!response.ok) return;
        const answer = keptSchema.parse(await response.json());
        if (answer.closed) setClosed(true);
        part.answered(answer.setAside);
        if (answer.deeds) learn(answer.deeds);
        look();
        more = part.deeds.length > 0 && backlog.next(1).deeds.length > 0;
      }
    } catch {
      // No connection: what waits is sent when the timer comes round again.
    } finally {
      sending.current = false;
      setOthers(Date.now() - otherAt.current < RECENT_MS);
    }
  }, [backlog, learn, look, number, workshopId]);

  const note = useCallback(
    (done: number, deed: Deed) => {
      const at = new Date().toISOString();
      const logged = { id: crypto.randomUUID(), bench: bench.current, plan, at, done, deed };
      backlog.add(logged, personId);
      look();
      void send();
    },
    [backlog, look, personId, plan, send],
  );

  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined;
    let left = false;
    void benchName().then((name) => {
      if (left) return;
      bench.current = name;
      const theirs = known.current.findLast((logged) => logged.bench !== name);
      if (theirs) otherAt.current = Date.parse(theirs.at);
      note(benchLog([...known.current, ...backlog.sound()]).done, { kind: 'open' });
      setReady(true);
      timer = setInterval(() => void send(), RETRY_MS);
    });
    return () => {
      left = true;
      clearInterval(timer);
    };
  }, [backlog, note, send]);

  const log = useMemo(() => {
    const there = new Set(server.map(({ id }) => id));
    return benchLog([...server, ...own.filter(({ id }) => !there.has(id))]);
  }, [server, own]);

  const forgetAside = useCallback(() => {
    backlog.forgetAside();
    look();
  }, [backlog, look]);

  return {
    ready,
    log,
    note,
    waiting: own.length,
    closed,
    others,
    setAside,
    forgetAside,
    shut,
  };
}
