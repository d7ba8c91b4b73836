import type { ExternalToast } from 'sonner';

/** A word at the foot of the page that goes by itself. */
export function say(words: string, options?: ExternalToast): void {
  void import('sonner').then(({ toast }) => toast(words, options));
}

/** The same for what did not work. */
export function sayRefusal(words: string): void {
  void import('sonner').then(({ toast }) => toast.error(words));
}

const UNDO_TOAST = 'undo';
const UNDO_MS = 20_000;
let undoing: (() => void) | undefined;

/** Takes back what was said last with a way back, by the one key that its words name; false where there is nothing. */
export function undoLast(): boolean {
  const undo = undoing;
  if (!undo) return false;
  undoing = undefined;
  void import('sonner').then(({ toast }) => toast.dismiss(UNDO_TOAST));
  undo();
  return true;
}

const IN_USE = 'input, textarea, select, a[href], button:not(:disabled), [role=button]';

/** Where what was pressed is gone, the keyboard stands before the way back, so that the next Tab is on it. */
function standBefore(toastId: string): void {
  const seek = (left: number) => {
    const found = document.querySelector<HTMLElement>(`[data-sonner-toast].${toastId}`);
    if (!found && left > 0) return void setTimeout(seek, 50, left - 1);
    if (!document.activeElement?.matches(IN_USE)) found?.focus({ preventScroll: true });
  };
  seek(40);
}

/** What is done, with the way back: one key, or the button at the next Tab. */
export function sayDone(words: string, undo: () => void): void {
  undoing = undo;
  const gone = () => {
    if (undoing === undo) undoing = undefined;
  };
  void import('sonner').then(({ toast }) => {
    toast(`${words} Press u to undo.`, {
      id: UNDO_TOAST,
      className: UNDO_TOAST,
      duration: UNDO_MS,
      action: { label: 'Undo', onClick: () => void undoLast() },
      onDismiss: gone,
      onAutoClose: gone,
    });
    standBefore(UNDO_TOAST);
  });
}
