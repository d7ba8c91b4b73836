/** Single letters as shortcuts: where they act, and whether they are wanted on this device at all (WCAG 2.1.4). */

const STORE = 'single keys off';

export const areSingleKeysOn = (): boolean => {
  try {
    return localStorage.getItem(STORE) === null;
  } catch {
    return true;
  }
};

export function turnSingleKeys(on: boolean): void {
  try {
    if (on) localStorage.removeItem(STORE);
    else localStorage.setItem(STORE, 'yes');
  } catch {
    // A forbidden store leaves them as they are.
  }
}

const TAKES_KEYS =
  'input, textarea, select, button, a[href], summary, [contenteditable], [role=radio], [role=checkbox], [role=option], [role=slider], [role=dialog]';

/** Whether the focus is on something that has a use for keys of its own. */
export const takesKeys = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest(TAKES_KEYS) !== null;

/** Whether letters that are typed there make a text. */
export const takesLetters = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable]') !== null;
