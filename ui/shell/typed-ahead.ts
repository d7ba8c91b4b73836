/** What is typed between the key that opens the search, or the counter, and the moment its first field stands there. */

interface Ahead {
  readonly text: string;
  /** Enter was pressed after it. */
  readonly entered: boolean;
  /** A Tab has left the field that is not there yet. */
  readonly left: boolean;
}

const NOTHING: Ahead = { text: '', entered: false, left: false };

let ahead = NOTHING;
let listening = false;
let timer: ReturnType<typeof setTimeout> | undefined;

function keep(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const { key } = event;
  // What comes after the first field is for another one, which is not there yet either.
  if (key === 'Tab' || ahead.left) ahead = { ...ahead, left: true };
  else if (key.length === 1) ahead = { ...ahead, text: ahead.text + key };
  else if (key === 'Backspace') ahead = { ...ahead, text: ahead.text.slice(0, -1) };
  else if (key === 'Enter') ahead = { ...ahead, entered: true };
  else return;
  event.preventDefault();
  event.stopPropagation();
}

/** From the key that opens it on, for so long at most; a slow connection loses no letter. */
export function startTypingAhead(mostMs?: number): void {
  if (listening) return;
  listening = true;
  ahead = NOTHING;
  if (mostMs !== undefined) timer = setTimeout(takeTypedAhead, mostMs);
  window.addEventListener('keydown', keep, { capture: true });
}

/** The field stands there and takes what was typed; what comes now goes to it. */
export function takeTypedAhead(): Ahead {
  window.removeEventListener('keydown', keep, { capture: true });
  clearTimeout(timer);
  listening = false;
  const taken = ahead;
  ahead = NOTHING;
  return taken;
}
