/** What was done at benches of this browser and waits for the server, in the browser's store. */
import { z } from 'zod';
import { loggedDeedSchema, type LoggedDeed } from '@/core/bench/log';
import type { SetAside } from './deeds/sent';

/** A deed that the server does not keep: what it was, in words, and why it is not kept. */
const asideSchema = z.object({ what: z.string(), why: z.string() });
export type AsideDeed = z.infer<typeof asideSchema>;

export interface Backlog {
  /** With whose hands it was: hands may change before it is sent. */
  readonly add: (logged: LoggedDeed, by: string) => void;
  /** Those that can be read, in the order of their time. */
  readonly sound: () => readonly LoggedDeed[];
  /** The next ones to send, readable or not; `answered` takes them away, and keeps apart what is set aside. */
  readonly next: (most: number) => {
    readonly deeds: readonly unknown[];
    readonly answered: (setAside: readonly SetAside[]) => void;
  };
  readonly aside: () => readonly AsideDeed[];
  readonly forgetAside: () => void;
}

/** A list in the store; nothing where there is none, or where it is torn beyond reading. */
function list(store: Storage, key: string): readonly unknown[] {
  try {
    const read: unknown = JSON.parse(store.getItem(key) ?? '[]');
    return Array.isArray(read) ? read : [];
  } catch {
    return [];
  }
}

function keep(store: Storage, key: string, values: readonly unknown[]): void {
  if (values.length > 0) store.setItem(key, JSON.stringify(values));
  else store.removeItem(key);
}

const timeOf = (value: unknown): string => {
  const at = (value as { at?: unknown } | null)?.at;
  return typeof at === 'string' ? at : '';
};

function wordsFor(value: unknown): string {
  const read = loggedDeedSchema.safeParse(value);
  if (!read.success) return JSON.stringify(value).slice(0, 200);
  const { deed, done } = read.data;
  return deed.kind === 'note' ? `note: ${deed.text}` : `${deed.kind}, after ${done} steps`;
}

/**
 * The backlog of one job of one workshop. Each window writes under a name of its own, and any of them
 * sends what all have left: a window that was closed may have left some.
 */
export function backlogOf(workshopId: string, number: number): Backlog {
  const prefix = `bench ${workshopId} ${number} `;
  const asideKey = `aside ${workshopId} ${number}`;
  const keys = () => Object.keys(localStorage).filter((key) => key.startsWith(prefix));
  const all = () =>
    keys()
      .flatMap((key) => list(localStorage, key))
      .toSorted((a, b) => timeOf(a).localeCompare(timeOf(b)));

  return {
    add(logged, by) {
      const key = prefix + logged.bench;
      keep(localStorage, key, [...list(localStorage, key), { ...logged, by }]);
    },
    sound: () =>
      all().flatMap((value) => {
        const read = loggedDeedSchema.safeParse(value);
        return read.success ? [read.data] : [];
      }),
    next(most) {
      const deeds = all().slice(0, most);
      const texts = new Set(deeds.map((logged) => JSON.stringify(logged)));
      return {
        deeds,
        answered(setAside) {
          const odd = setAside.flatMap(({ at, why }) =>
            at < deeds.length ? [{ what: wordsFor(deeds[at]), why }] : [],
          );
          // What is set aside is written down before it is taken away.
          if (odd.length > 0)
            keep(localStorage, asideKey, [...list(localStorage, asideKey), ...odd]);
          for (const key of keys())
            keep(
              localStorage,
              key,
              list(localStorage, key).filter((logged) => !texts.has(JSON.stringify(logged))),
            );
        },
      };
    },
    aside: () =>
      list(localStorage, asideKey).flatMap((value) => {
        const read = asideSchema.safeParse(value);
        return read.success ? [read.data] : [];
      }),
    forgetAside: () => localStorage.removeItem(asideKey),
  };
}
