/** The day as it changes: one line to the server for a browser, however many of its tabs look on. */

const NAME = 'orthotens day';
/** A page that hears so soon after it was made has missed nothing. */
const SOON_MS = 1500;
/** A line that was refused, as by a server that is busy for a moment, is asked for again after this; no browser does it. */
const AGAIN_MS = 3000;

/**
 * Calls `heard` at each change of the day, until what it answers is called. A browser has six lines to a server and no
 * more: the tab that has the lock keeps the one for all, and a tab that nobody sees keeps none.
 */
export function hearDay(heard: () => void): () => void {
  const others = new BroadcastChannel(NAME);
  let leave: (() => void) | undefined;
  let hasHeard = false;

  const open = (): (() => void) => {
    let events: EventSource;
    let waits: ReturnType<typeof setTimeout> | undefined;
    const tell = () => {
      others.postMessage('changed');
      heard();
    };
    const ask = () => {
      events = new EventSource('/day/live');
      events.addEventListener('message', tell);
      // Between one line and the next, and while the server was away, nobody heard.
      events.addEventListener('hearing', () => {
        if (hasHeard || performance.now() > SOON_MS) tell();
        hasHeard = true;
      });
      events.addEventListener('error', () => {
        if (events.readyState === EventSource.CLOSED) waits = setTimeout(ask, AGAIN_MS);
      });
    };
    ask();
    return () => {
      clearTimeout(waits);
      events.close();
    };
  };
  const begin = () => {
    if (leave) return;
    // Browsers keep locks only on addresses that they take for secure; elsewhere each tab that is seen hears for itself.
    if (!('locks' in navigator)) {
      leave = open();
      return;
    }
    const leaving = new AbortController();
    leave = () => leaving.abort();
    const keep = () => {
      const close = open();
      return new Promise<void>((resolve) => {
        leaving.signal.addEventListener('abort', () => {
          close();
          resolve();
        });
      });
    };
    // Whoever leaves while it waits for its turn is no failure.
    navigator.locks.request(NAME, { signal: leaving.signal }, keep).catch(() => undefined);
  };
  const end = () => {
    leave?.();
    leave = undefined;
  };
  const turn = () => {
    if (document.hidden) return end();
    begin();
    // What has changed meanwhile was heard by nobody here.
    heard();
  };

  others.addEventListener('message', heard);
  document.addEventListener('visibilitychange', turn);
  if (!document.hidden) begin();
  return () => {
    end();
    others.close();
    document.removeEventListener('visibilitychange', turn);
  };
}
