/**
 * What is typed and pressed before the code of a page is there. A few lines run with the page itself and write it down;
 * the part of the page that it belongs to plays it again when it wakes (`ui/form/opens-awake`). A button outside of such
 * a part is pressed when the page as a whole is awake (`app/page-awake`). Who loads the page anew before that finds what they
 * typed in forms that keep what is typed; a secret is in none of them.
 */
export const EARLY = `(() => {
  const early = (window.orthotensEarly = []);
  const left = () => 'left ' + location.pathname + location.search;
  try {
    window.orthotensLeft = JSON.parse(sessionStorage.getItem(left())) ?? {};
    sessionStorage.removeItem(left());
  } catch {
    window.orthotensLeft = {};
  }
  addEventListener('pagehide', () => {
    // Two forms of a page may have fields of one name; of each field its last text counts.
    const texts = early.flatMap(({ target, value }) => {
      const part = value !== undefined && target.closest('[data-asleep=kept]');
      return part ? [[part.id + ' ' + (target.name || target.id), value]] : [];
    });
    if (texts.length === 0) return;
    try {
      sessionStorage.setItem(left(), JSON.stringify(Object.fromEntries(texts)));
    } catch {}
  });
  // A page that is shown again as it was plays it itself.
  addEventListener('pageshow', ({ persisted }) => persisted && sessionStorage.removeItem(left()));
  const waiting = new Set();
  let awake = false;
  window.orthotensAwake = () => {
    awake = true;
    // One after the other: each meets the page as the one before has left it.
    for (const [i, pressed] of [...waiting].entries()) setTimeout(() => pressed.isConnected && pressed.click(), i);
    waiting.clear();
  };
  const asleep = (target) => target instanceof Element && target.closest('[data-asleep]');
  document.addEventListener('input', ({ target }) => {
    // No script may choose a file, and a choice is no text.
    if (asleep(target) && !['file', 'radio', 'checkbox'].includes(target.type)) early.push({ target, value: target.value });
  }, true);
  document.addEventListener('click', (event) => {
    const pressed = event.target instanceof Element && event.target.closest('button, [role=radio], [role=checkbox]');
    const part = pressed && asleep(pressed);
    if (!pressed || (awake && !part)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (part) early.push({ target: pressed });
    else waiting.add(pressed);
  }, true);
  document.addEventListener('submit', (event) => {
    if (asleep(event.target)) event.preventDefault();
  }, true);
})()`;

/**
 * A press counts where it began. What comes in from the server while a button is held down moves the page, the finger
 * comes up beside the button, and a browser then takes it for no press at all.
 */
export const PRESSES = `(() => {
  // Lists take their options as the button goes down already.
  const PRESSED = 'button, a[href], [role=radio], [role=checkbox]';
  const STILL_PX = 8;
  let held, waited;
  // Before whoever else listens, and may stop it or draw the button anew.
  window.addEventListener('click', ({ target }) => {
    if (waited && target instanceof Node && waited.contains(target)) waited = undefined;
  }, true);
  document.addEventListener('pointerdown', ({ target, pointerType, button, clientX, clientY }) => {
    const on = target instanceof Element && target.closest(PRESSED);
    // A touch counts where it began without this.
    held = pointerType === 'mouse' && button === 0 && on ? { on, clientX, clientY } : undefined;
  }, true);
  document.addEventListener('pointerup', ({ clientX, clientY }) => {
    const press = held;
    held = undefined;
    if (!press || Math.hypot(clientX - press.clientX, clientY - press.clientY) > STILL_PX) return;
    waited = press.on;
    setTimeout(() => {
      if (waited !== press.on) return;
      waited = undefined;
      if (press.on.isConnected) press.on.click();
    });
  }, true);
  document.addEventListener('pointercancel', () => { held = undefined; }, true);
})()`;
