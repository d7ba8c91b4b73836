'use client';

import { useEffect, useRef, useSyncExternalStore } from 'react';

/** Something on this page that is typed and not saved yet. */
export interface InHand {
  /** What people call it: the heading of its part of the page. */
  readonly title: () => string;
  readonly isTouched: () => boolean;
  /** Saves it without leading anywhere; false where it was refused. Left out where it cannot be saved by itself. */
  readonly send?: () => Promise<boolean>;
}

/** A way that waits for what is in hand. */
export interface Held {
  readonly others: readonly InHand[];
  readonly goOn: () => void;
}

const onPage = new Set<InHand>();
const listeners = new Set<() => void>();
let held: Held | undefined;

function hold(next: Held | undefined): void {
  held = next;
  for (const listener of listeners) listener();
}

/** Says that a part of the page may hold something; what is returned takes it off again. */
export function putInHand(part: InHand): () => void {
  onPage.add(part);
  return () => {
    onPage.delete(part);
  };
}

/**
 * Goes on at once where nothing else on the page is in hand; else it waits, and the foot of the page asks
 * (`StillInHand`). So no save of one part leads away from what was typed in another.
 */
export function goOnPast(self: InHand, goOn: () => void): void {
  const others = [...onPage].filter((part) => part !== self && part.isTouched());
  if (others.length === 0) return goOn();
  hold({ others, goOn });
}

/** The same for a part of a page that is no `KeptForm`. */
export function useInHand(title: string, isTouched: boolean, send?: () => Promise<boolean>): void {
  const latest = useRef({ title, isTouched, send });
  useEffect(() => {
    latest.current = { title, isTouched, send };
  });
  const sends = send !== undefined;
  useEffect(
    () =>
      putInHand({
        title: () => latest.current.title,
        isTouched: () => latest.current.isTouched,
        ...(sends && { send: async () => (await latest.current.send?.()) ?? false }),
      }),
    [sends],
  );
}

export const letGo = (): void => hold(undefined);

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

/** What waits for an answer just now. */
export const useHeld = (): Held | undefined =>
  useSyncExternalStore(
    subscribe,
    () => held,
    () => undefined,
  );
