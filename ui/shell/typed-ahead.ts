/** What is typed between the key that opens the search and the moment its field stands there. */

interface Ahead {
  readonly text: string;
  /** Enter was pressed after it. */
  readonly entered: boolean;
}

const NOTHING: Ahead = { text: '', entered: false };

let ahead = NOTHING;
let listening = false;

function keep(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const { key } = event;
  if (key.length === 1) ahead = { ...ahead, text: ahead.text + key };
  else if (key === 'Backspace') ahead = { ...ahead, text: ahead.text.slice(0, -1) };
  else if (key === 'Enter') ahead = { ...ahead, entered: true };
  else return;
  event.preventDefault();
  event.stopPropagation();
}

/** From the key that opens the search on; a slow connection loses no letter. */
export function startTypingAhead(): void {
  if (listening) return;
  listening = true;
  ahead = NOTHING;
  window.addEventListener('keydown', keep, { capture: true });
}

/** The field stands there and takes what was typed; what comes now goes to it. */
export function takeTypedAhead(): Ahead {
  window.removeEventListener('keydown', keep, { capture: true });
  listening = false;
  const taken = ahead;
  ahead = NOTHING;
  return taken;
}
