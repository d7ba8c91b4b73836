import type { ExternalToast } from 'sonner';

/** A word at the foot of the page that goes by itself: what is done, and perhaps a way back. */
export function say(words: string, options?: ExternalToast): void {
  void import('sonner').then(({ toast }) => toast(words, options));
}

/** The same for what did not work. */
export function sayRefusal(words: string): void {
  void import('sonner').then(({ toast }) => toast.error(words));
}
